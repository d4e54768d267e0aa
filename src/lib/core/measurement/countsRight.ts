/**
 * The chances of 0, 1, … of some events, each with a chance of its own, as of right answers to questions of unlike difficulty
 * (Poisson's binomial distribution).
 *
 * @example
 * countsRight([0.5, 0.5]); // [0.25, 0.5, 0.25]
 */
export function countsRight(chances: number[]): number[] {
	let counts = [1];
	for (const chance of chances)
		counts = Array.from(
			{ length: counts.length + 1 },
			(_, n) => (counts[n] ?? 0) * (1 - chance) + (counts[n - 1] ?? 0) * chance
		);
	return counts;
}
