import type { Score } from './outcome';

/** Students whose runs come to much the same. */
export interface ScoreBin {
	/** Right at the first try, from and up to so many of `of`; in hundredths where students had sets of several lengths. */
	from: number;
	to: number;
	of: number;
	studentIds: number[];
}

/** Where sets have several lengths, shares of a hundred fall into five bins. */
const SHARE_BINS = 5;

/**
 * How scores are spread: where all have as many questions, by how many are right at the first try, each count a bin; else by
 * fifths of the share of those answered. Only of runs with an answer.
 */
export function distributionOf(
	runs: { studentId: number; score: Pick<Score, 'asked' | 'answered' | 'right'> }[]
): ScoreBin[] {
	const counted = runs.filter(({ score }) => score.answered > 0);
	if (counted.length === 0) return [];
	const [{ score: first }] = counted;
	const isSame = counted.every(({ score }) => score.asked === first.asked && score.answered === score.asked);
	const bins: ScoreBin[] = isSame
		? Array.from({ length: first.asked + 1 }, (_, right) => ({
				from: right,
				to: right,
				of: first.asked,
				studentIds: []
			}))
		: Array.from({ length: SHARE_BINS }, (_, i) => ({
				from: (100 / SHARE_BINS) * i,
				to: (100 / SHARE_BINS) * (i + 1),
				of: 100,
				studentIds: []
			}));
	for (const { studentId, score } of counted) {
		const bin = isSame
			? score.right
			: Math.min(SHARE_BINS - 1, Math.floor((SHARE_BINS * score.right) / score.answered));
		bins[bin].studentIds.push(studentId);
	}
	return bins;
}
