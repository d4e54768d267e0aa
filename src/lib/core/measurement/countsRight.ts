/**
 * The chances of 0, 1, … of some events, each with a chance of its own, as of right answers to questions of unlike difficulty
 * (Poisson's binomial distribution).
 *
 * @example
 * countsRight([0.5, 0.5]); // [0.25, 0.5, 0.25]
 */
export function countsRight(chances: number[]): number[] {
	const counts = new Array<number>(chances.length + 1).fill(0);
	counts[0] = 1;
	chances.forEach((chance, asked) => {
		for (let n = asked + 1; n > 0; n--) counts[n] = counts[n] * (1 - chance) + counts[n - 1] * chance;
		counts[0] *= 1 - chance;
	});
	return counts;
}
