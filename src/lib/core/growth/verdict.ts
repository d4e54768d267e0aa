import type { Advice, Verdict } from './advise';

export const VERDICTS: Verdict[] = ['continue', 'adjust', 'intensify', 'fade', 'exit'];

/** The verdict that is the same as an advice: while nothing can be told, or too little was delivered, the plan goes on. */
export const verdictOf = (advice: Advice): Verdict =>
	advice === 'deliver first' || advice === 'not enough yet' ? 'continue' : advice;

/** Whether a verdict is what was advised. */
export const isAsAdvised = (verdict: Verdict, advice: Advice): boolean => verdict === verdictOf(advice);

type Tier = 1 | 2 | 3;

/** The tier that usually goes with a verdict. */
export function tierAfter(verdict: Verdict, tier: Tier): Tier {
	switch (verdict) {
		case 'continue':
		case 'adjust':
			return tier;
		case 'intensify':
			return tier === 1 ? 2 : 3;
		case 'fade':
			return tier === 3 ? 2 : 1;
		case 'exit':
			return 1;
	}
}

/** A verdict with what came after it. */
export interface VerdictSince {
	verdict: Verdict;
	advice: Advice;
	/** Of the next verdict on the same student; null while there is none. */
	next: Verdict | null;
	/** Whether the student was in tier 2 or 3 again within eight weeks after an exit. */
	cameBack: boolean;
}

/** Days within which somebody who comes back into a tier came back from their exit. */
export const BACK_WITHIN_DAYS = 56;

/**
 * What has become of a verdict: *better* when the next one lessens the support, or the student has stayed out for eight weeks;
 * *worse* when it changes the plan or gives more, or the student came back; null while that cannot be said.
 *
 * @param isOver whether eight weeks have passed since
 */
export function whatBecame(
	{ verdict, next, cameBack }: VerdictSince,
	isOver: boolean
): 'better' | 'same' | 'worse' | null {
	if (cameBack) return 'worse';
	if (next === null) return verdict === 'exit' && isOver ? 'better' : null;
	if (next === 'exit' || next === 'fade') return 'better';
	return next === 'continue' ? 'same' : 'worse';
}
