import { GRID, weigh, type Level } from './levelGrid';
import { levelFor, MASTERED_SHARE, shareAt } from './share';

/**
 * How much a check is expected to lessen the chance of deciding wrongly whether a skill is mastered: whoever decides says
 * what is likelier, now or after so many usual questions, and is wrong as often as the other is true (expected value of
 * sample information, Raiffa & Schlaifer 1961; summed over all numbers of right answers).
 *
 * @param level what is believed of it now, in logits
 * @param difficulty of the usual question, in logits
 * @param questions asked, at least 1
 * @returns 0 to 0.5
 */
export function checkGain(level: Level, difficulty: number, questions: number): number {
	const line = levelFor(MASTERED_SHARE, difficulty) - level.mean;
	const weights = weigh({ mean: 0, standardError: level.standardError }, new Float64Array(GRID.length));
	let isMastered = 0;
	for (let node = 0; node < GRID.length; node++) if (GRID[node] >= line) isMastered += weights[node];
	const lossNow = Math.min(isMastered, 1 - isMastered);
	let lossThen = 0;
	for (let right = 0, ways = 1; right <= questions; right++) {
		let [all, above] = [0, 0];
		for (let node = 0; node < GRID.length; node++) {
			const share = shareAt(level.mean + GRID[node], difficulty);
			const chance = weights[node] * ways * share ** right * (1 - share) ** (questions - right);
			all += chance;
			if (GRID[node] >= line) above += chance;
		}
		lossThen += Math.min(above, all - above);
		ways *= (questions - right) / (right + 1);
	}
	return Math.max(0, lossNow - lossThen);
}
