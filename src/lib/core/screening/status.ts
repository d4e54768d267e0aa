/** Where a student is in a screening window. */
export type ScreeningStatus =
	'not started' | 'under way' | 'finished' | 'needs another look' | 'set aside' | 'from a file';

/** All of them, in the order in which they ask for attention. */
export const SCREENING_STATUSES: ScreeningStatus[] = [
	'not started',
	'under way',
	'needs another look',
	'set aside',
	'finished',
	'from a file'
];

/**
 * The status from the newest sitting and the sources of the scores that count. A flagged sitting asks for a person before
 * anything else is said; a score from elsewhere stands in for a diagnostic that gave none.
 *
 * @param sitting the newest, undefined before the first
 * @param sources of the scores of the window, `diagnostic` for our own
 */
export function screeningStatus(
	sitting: { trust: 'open' | 'trusted' | 'flagged' | 'kept' | 'set aside' } | undefined,
	sources: string[]
): ScreeningStatus {
	if (sitting?.trust === 'flagged') return 'needs another look';
	if (sources.includes('diagnostic')) return 'finished';
	if (sources.length > 0) return 'from a file';
	if (!sitting) return 'not started';
	return sitting.trust === 'set aside' ? 'set aside' : 'under way';
}
