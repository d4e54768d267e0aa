import type { AbilityPrior } from '../measurement';
import { levelOfShare, type ProbeAnswers, usualQuestion } from './series';
import { bell, dayLikelihoods, levelGrid, normalized, normalShift, weightOver } from './weights';

/** Before the first probe, and where a level starts afresh: around a share of six in ten, and far to either side (logits). */
const AFRESH: AbilityPrior = { mean: 0.3, sd: 1.5 };
/** In a week, the chance that a level starts afresh, learned or lost. */
const CHANGE = 0.08;
const FORM = 0.25;

/**
 * After each probe, the chance that at least a share of a focus's usual questions is right at first try, luck aside: what an
 * exit rests on. A change-point filter (Adams & MacKay 2007) that believes in no growth: a level stays until it starts afresh,
 * so that nobody is called secure for being expected to grow.
 *
 * @param series in the order of its weeks; at least one probe
 * @param difficulty of the focus's usual question (logits)
 * @param shares each between 0 and 1
 * @returns by probe, by share
 * @throws RangeError without probes
 */
export function shareReached(series: ProbeAnswers[], difficulty: number, shares: number[]): number[][] {
	const { discrimination } = usualQuestion(series);
	const grid = levelGrid(difficulty - 5, difficulty + 6);
	const form = normalShift({ mean: 0, sd: FORM });
	const afresh = normalized(grid.map((level) => bell(level - difficulty, AFRESH)));
	const lines = shares.map((share) => levelOfShare(share, { difficulty, discrimination }));
	let belief = afresh;
	let now = series[0].week;
	return series.map(({ week, answers }) => {
		const stays = (1 - CHANGE) ** Math.max(0, week - now);
		now = week;
		const likelihood = dayLikelihoods(grid, answers, form);
		belief = normalized(belief.map((weight, i) => (stays * weight + (1 - stays) * afresh[i]) * likelihood[i]));
		return lines.map((line) => weightOver(grid, belief, line));
	});
}
