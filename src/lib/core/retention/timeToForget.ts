import { cardFrom, type Recall } from './card';

/** Times to forget that are looked at, beside the usual of 1. */
const GRID = Array.from({ length: 13 }, (_, i) => 2 ** ((i - 6) / 2));
/** Spread of students' times to forget around the usual: a factor of two either way is one standard deviation. */
const SPREAD = Math.log(2);
/** Right without knowing, and wrong in spite of it. */
const [GUESS, SLIP] = [0.08, 0.05];

/**
 * How long a student keeps what they know beside what is usual: each later day at a skill is a test of what the card
 * said before it. The posterior mean of its logarithm on a grid of factors, with a prior around 1; so a student of whom
 * nothing is known has 1, and a few days say little.
 *
 * @param histories the days of each skill, as in `cardFrom`
 */
export function timeToForget(histories: readonly (readonly Recall[])[]): number {
	const logs = GRID.map((factor) => {
		let log = -((Math.log(factor) / SPREAD) ** 2) / 2;
		for (const recalls of histories)
			cardFrom(recalls, factor, (known, { right, of }) => {
				const share = GUESS + (1 - GUESS - SLIP) * known;
				// One look a day: what is known at the first question is known at the next.
				log += Math.log(right / of >= 0.5 ? share : 1 - share);
			});
		return log;
	});
	const most = Math.max(...logs);
	const weights = logs.map((log) => Math.exp(log - most));
	const total = weights.reduce((sum, weight) => sum + weight, 0);
	return Math.exp(weights.reduce((sum, weight, i) => sum + weight * Math.log(GRID[i]), 0) / total);
}
