/** A longer gap than this (ms) is not work: the student was elsewhere. Ours: a question seldom takes a child more than a minute. */
export const LONGEST_GAP_MS = 60_000;

/** An answer as it was given. */
export interface TimedAnswer {
	/** Instant (ms). */
	at: number;
	/** From the question's being shown to the answer, by the device's clock (ms). */
	milliseconds: number;
}

/**
 * Active time (ms) that some answers stand for: from one to the next, where no more than a minute lies between; of a longer
 * gap, and of the first answer, the time that the question was worked on, up to a minute.
 *
 * @param answers of one student, in any order
 */
export function activeMs(answers: TimedAnswer[]): number {
	const inOrder = [...answers].sort((one, other) => one.at - other.at || one.milliseconds - other.milliseconds);
	return inOrder.reduce((sum, { at, milliseconds }, i) => {
		const gap = i === 0 ? Infinity : at - inOrder[i - 1].at;
		return sum + (gap <= LONGEST_GAP_MS ? gap : Math.min(Math.max(0, milliseconds), LONGEST_GAP_MS));
	}, 0);
}
