import { accuracyAt, areaUnderCurve, cutScoreFor, type RocPoint } from './roc';

/** Students of either kind under which nothing is said of a cut score. */
export const OUTCOMES_LEAST = 5;

/** How well a cut score has told who would do badly later. */
export interface CutJudgment {
	/** Students with a score and an outcome, and of those the ones who did badly. */
	students: number;
	didBadly: number;
	/** Null where too few did badly, or too few did well. */
	found: {
		area: { area: number; lower: number; upper: number };
		/** At the cut in use, and at the lowest cut that reaches the wanted sensitivity. */
		now: RocPoint;
		suggested: RocPoint;
	} | null;
}

/**
 * Judges a cut score by outcomes.
 *
 * @param scores in points
 * @param didBadly in the order of the scores
 */
export function judgeCut(scores: number[], didBadly: boolean[], cut: number, sensitivity: number): CutJudgment {
	const bad = didBadly.filter(Boolean).length;
	const enough = bad >= OUTCOMES_LEAST && scores.length - bad >= OUTCOMES_LEAST;
	return {
		students: scores.length,
		didBadly: bad,
		found: enough
			? {
					area: areaUnderCurve(scores, didBadly),
					now: accuracyAt(scores, didBadly, cut),
					suggested: cutScoreFor(scores, didBadly, { sensitivity })
				}
			: null
	};
}
