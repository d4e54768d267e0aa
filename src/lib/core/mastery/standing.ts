import type { SchoolDate } from '../calendar';
import type { KeptSkill } from './keptField';
import type { Level } from './levelGrid';
import { GAP_SHARE, MASTERED_SHARE, shareAtLeast, SURE } from './share';

/** What the evidence says of a student on a skill. */
export type Standing = 'gap' | 'forming' | 'secure' | 'slipping' | 'unseen';

/** A standing with what it rests on. `inferred` tells what the rest of the picture suggests where answers are missing. */
export interface StandingNow {
	standing: Standing;
	/** For Unseen skills only: what the rest of the picture suggests. Never evidence. */
	inferred: 'gap' | 'forming' | 'secure' | null;
	/** The chance that at least 70% of first tries are right on the skill's usual question. */
	mastered: number;
	/** In logits. */
	level: Level;
	/** Of the skill's usual question, in logits. */
	difficulty: number;
	/** First tries on the skill. */
	answers: number;
	/** Day of the last of them. */
	lastOn: SchoolDate | null;
}

/** Answers below which nothing is said of a skill. */
const MINIMUM_ANSWERS = 2;
/** A skill that was Secure is Slipping under this chance of being mastered. */
const SLIPPING = 0.5;

/**
 * The standing that follows from what is kept: Unseen under 2 answers of its own; Secure when a share of 70% is sure
 * enough and the own answers are enough; Slipping when it was Secure on two days or more and is rather not mastered any
 * more; Gap when a share under 50% is sure enough; Forming otherwise. Days that pass change nothing.
 *
 * @param difficulty of the skill's usual question, in logits
 */
export function standingOf(
	{ level, answers, lastOn, isEnough, wasSecure }: KeptSkill,
	difficulty: number
): StandingNow {
	const mastered = shareAtLeast(level, difficulty, MASTERED_SHARE);
	const isGap = 1 - shareAtLeast(level, difficulty, GAP_SHARE) >= SURE.gap;
	const found = { mastered, level, difficulty, answers, lastOn };
	if (answers < MINIMUM_ANSWERS) {
		const inferred = mastered >= SURE.secure ? 'secure' : isGap ? 'gap' : 'forming';
		return { standing: 'unseen', inferred, ...found };
	}
	const standing: Standing =
		mastered >= SURE.secure && isEnough
			? 'secure'
			: wasSecure && mastered < SLIPPING
				? 'slipping'
				: isGap
					? 'gap'
					: 'forming';
	return { standing, inferred: null, ...found };
}

/** The standing by the student's own answers, or, where there are too few, what is inferred. */
export function ownOrInferred(now: StandingNow): Standing {
	return now.inferred ?? now.standing;
}
