import { areaUnderCurve, cutScoreFor } from './roc';
import { shareInterval } from './shareInterval';

/** Students of either kind under which nothing is said of a cut score. */
export const OUTCOMES_LEAST = 5;

/** So many of so many, with the 95% interval of the share. */
export interface CountedShare {
	count: number;
	of: number;
	lower: number;
	upper: number;
}

/** What a cut would have done. Few students prove little, so counts and intervals are told rather than shares. */
interface CutAccuracy {
	cut: number;
	/** Of those who did badly, who scored under it. */
	catches: CountedShare;
	/** Of the others, who did not. */
	spares: CountedShare;
}

/** How well a cut score has told who would do badly later. */
interface CutJudgment {
	/** Students with a score and an outcome, and of those the ones who did badly. */
	students: number;
	didBadly: number;
	/** Null where too few did badly, or too few did well. */
	found: {
		area: { area: number; lower: number; upper: number };
		/** At the cut in use, and at the lowest whole one that reaches the wanted sensitivity. */
		now: CutAccuracy;
		suggested: CutAccuracy;
	} | null;
}

const counted = (isIt: boolean[]): CountedShare => {
	const count = isIt.filter(Boolean).length;
	return { count, of: isIt.length, ...shareInterval(count, isIt.length) };
};

function accuracyOf(scores: number[], didBadly: boolean[], cut: number): CutAccuracy {
	return {
		cut,
		catches: counted(scores.filter((_, i) => didBadly[i]).map((score) => score < cut)),
		spares: counted(scores.filter((_, i) => !didBadly[i]).map((score) => score >= cut))
	};
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
					now: accuracyOf(scores, didBadly, cut),
					suggested: accuracyOf(scores, didBadly, Math.ceil(cutScoreFor(scores, didBadly, { sensitivity }).cut))
				}
			: null
	};
}
