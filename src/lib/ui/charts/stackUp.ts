/**
 * Where labels stand that should each be at a height but must not overlap: from the lowest up, each as near to its place
 * as the one below it leaves room.
 *
 * @param wanted in pixels from the top, the lowest label first
 * @param apart pixels from one label to the next
 */
export function stackUp(wanted: number[], apart: number): number[] {
	let below = Infinity;
	return wanted.map((height) => (below = Math.min(height, below - apart)));
}
