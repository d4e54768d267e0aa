/** Answering time in one day after which a sitting is put off to the next: about as long as attention lasts. */
const ENOUGH_MS = 40 * 60_000;

/** What a student is allowed in a diagnostic beyond the usual. */
interface SittingLimits {
	/** Time for what is timed, as a multiple of the usual. */
	timeFactor: number;
	/** Most questions a day; null for no such limit. */
	itemsADay: number | null;
}

/**
 * Whether a student has answered enough of a diagnostic for one day: their own limit of questions, or 40 minutes of
 * answering, longer for those who get more time.
 *
 * @param today answers given today, and the time (ms) they took
 */
export function isEnoughForToday(
	today: { answers: number; milliseconds: number },
	{ timeFactor, itemsADay }: SittingLimits
): boolean {
	if (itemsADay !== null && today.answers >= itemsADay) return true;
	return today.milliseconds >= ENOUGH_MS * timeFactor;
}
