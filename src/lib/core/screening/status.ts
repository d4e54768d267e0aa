/** What is thought of a sitting: under way, it counts, it waits for a person, or what a person decided. */
export type Trust = 'open' | 'trusted' | 'flagged' | 'kept' | 'set aside' | 'resit';

/** How a window screens. */
export const SCREENING_MODES = ['adaptive', 'fixed form', 'teacher-given', 'imported score'] as const;
export type ScreeningMode = (typeof SCREENING_MODES)[number];

/** Where a student is in a screening window. */
export type ScreeningStatus =
	| 'not started'
	| 'under way'
	| 'absent'
	| 'needs another look'
	| 'to sit again'
	| 'excused'
	| 'finished'
	| 'from a file'
	| 'not in this window';

/** All of them, in the order in which they ask for attention. */
export const SCREENING_STATUSES: ScreeningStatus[] = [
	'needs another look',
	'to sit again',
	'absent',
	'not started',
	'under way',
	'excused',
	'finished',
	'from a file',
	'not in this window'
];

/** “1 needs another look”, “19 need another look”. */
export const sayStatusCount = (count: number, status: ScreeningStatus) =>
	`${count} ${count === 1 ? status : status.replace(/^needs /, 'need ')}`;

/** Statuses in which the window still waits for the student or for a decision. */
export const TO_FINISH: ReadonlySet<ScreeningStatus> = new Set([
	'needs another look',
	'to sit again',
	'absent',
	'not started',
	'under way'
]);

/** Statuses in which the student has something to sit: all that are to finish but for those that wait for a decision. */
export const TO_SIT: ReadonlySet<ScreeningStatus> = new Set(
	[...TO_FINISH].filter((status) => status !== 'needs another look')
);

/** What a student's status follows from. */
export interface WindowStanding {
	/** The newest sitting; absent before the first. */
	sitting?: { trust: Trust };
	/** Of the scores of the window that count; for our own `diagnostic` or `teacher-given`. */
	sources: string[];
	/** What staff noted of the student. */
	note?: 'absent' | 'excused' | null;
	/** Whether the window asks the student's class. */
	asked: boolean;
}

/** Sources of scores that were taken here. */
const OWN_SOURCES: ReadonlySet<string> = new Set(['diagnostic', 'teacher-given']);

/**
 * The status of a student in a window. A flagged sitting asks for a person before anything else is said; a score from
 * elsewhere stands in for a diagnostic that gave none; a sitting under way says more than an absence noted before it.
 */
export function screeningStatus({ sitting, sources, note, asked }: WindowStanding): ScreeningStatus {
	if (sitting?.trust === 'flagged') return 'needs another look';
	if (sources.some((source) => OWN_SOURCES.has(source))) return 'finished';
	if (sources.length > 0) return 'from a file';
	if (note === 'excused') return 'excused';
	if (sitting?.trust === 'set aside' || sitting?.trust === 'resit') return 'to sit again';
	if (sitting) return 'under way';
	if (!asked) return 'not in this window';
	return note === 'absent' ? 'absent' : 'not started';
}
