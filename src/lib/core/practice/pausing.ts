/**
 * Minutes without an answer after which a student has left a set that is to be done in one go. Ours: longer than any one question
 * takes, shorter than a recess.
 */
export const LEFT_AFTER_MINUTES = 10;

/** Where a student is in a set that is to be done in one go. */
interface InOneGo {
	/** When their last answer was given; null before the first. */
	lastAnswerAt: Date | null;
	/** When a person last let them go on; null where nobody had to. */
	goesOnAt: Date | null;
}

/**
 * Whether a student has left a set that is done in one go, so that a person has to let them go on. Who has answered nothing has
 * not begun, and who may go on again has as long as they need for the next answer.
 *
 * @example
 * wasLeft({ lastAnswerAt: new Date('2026-11-30T09:00Z'), goesOnAt: null }, new Date('2026-11-30T09:12Z')); // true
 */
export function wasLeft({ lastAnswerAt, goesOnAt }: InOneGo, at: Date): boolean {
	if (lastAnswerAt === null || (goesOnAt !== null && goesOnAt >= lastAnswerAt)) return false;
	return at.getTime() - lastAnswerAt.getTime() > LEFT_AFTER_MINUTES * 60_000;
}
