/** z of a 95% interval. */
const Z = 1.959964;

/**
 * 95% interval of a share from a count (score interval, Wilson 1927): how sure a share of a class is when only so many of
 * it have shown it.
 *
 * @returns lower and upper end, 0 to 1; all of it for a count of nothing
 */
export function shareInterval(count: number, of: number): { lower: number; upper: number } {
	if (of <= 0) return { lower: 0, upper: 1 };
	const share = count / of;
	const spread = 1 + Z ** 2 / of;
	const middle = (share + Z ** 2 / (2 * of)) / spread;
	const half = (Z / spread) * Math.sqrt((share * (1 - share)) / of + Z ** 2 / (4 * of ** 2));
	return { lower: Math.max(0, middle - half), upper: Math.min(1, middle + half) };
}
