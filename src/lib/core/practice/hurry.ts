/** Time (ms) within which hardly any question can be read and answered. */
export const HURRIED_MS = 2_000;
/** So many in a row are no chance. */
export const HURRIED_IN_A_ROW = 3;

/** A first try, as far as its haste is looked at. */
interface QuickTry {
	milliseconds: number;
	correct: boolean;
}

/**
 * Whether a student has just rushed: the last three first tries took two seconds at most each, and not all were right, so
 * that who simply knows is left alone. Answers faster than a question can be read are guesses (Wise & Kong 2005).
 *
 * @param tries first tries in the order in which they were given
 */
export function hasJustRushed(tries: readonly QuickTry[]): boolean {
	const last = tries.slice(-HURRIED_IN_A_ROW);
	return (
		last.length === HURRIED_IN_A_ROW &&
		last.every(({ milliseconds }) => milliseconds <= HURRIED_MS) &&
		last.some(({ correct }) => !correct)
	);
}

/** Whether that was so at any time. */
export const hasRushed = (tries: readonly QuickTry[]): boolean =>
	tries.some((_, i) => hasJustRushed(tries.slice(0, i + 1)));
