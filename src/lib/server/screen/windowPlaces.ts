import { screeningStatus, type ScreeningStatus } from '../../core/screening';
import type { Database } from '../database';
import { windowMeasures, type GivenMeasure } from './store/givenMeasures';
import { screeningWindows, windowClasses, windowNotes, type ScreeningWindow, type WindowNote } from './store/windows';
import type { School } from '../school';
import type { RosterStudent } from '../people';
import { windowScores, type Score } from './store/scores';
import { type BoardSitting, windowSittings } from '../sitting';

/**
 * The school's windows, and the one in view: the wanted one, else the last that opened, else the next to open; one with
 * a diagnostic before one in which a measure is given.
 */
export async function windowInView(database: Database, school: School, wanted: number | null = null) {
	const windows = await screeningWindows(database, school.id);
	const diagnostics = windows.filter(({ measure }) => !measure);
	const hasBegun = (window: ScreeningWindow) => window.opensOn <= school.today;
	const window =
		windows.find(({ id }) => id === wanted) ??
		diagnostics.find(hasBegun) ??
		windows.find(hasBegun) ??
		diagnostics.at(-1) ??
		windows.at(-1) ??
		null;
	return { windows, window };
}

/** Where a student is in a window. */
export interface WindowPlace {
	status: ScreeningStatus;
	sitting: BoardSitting | null;
	note: WindowNote | null;
	scores: Score[];
	/** The giving that counts, in a teacher-given window. */
	given: GivenMeasure | null;
}

/** Where each student is in a window: every one of them, asked or not. */
export async function windowPlaces(
	database: Database,
	window: ScreeningWindow,
	students: RosterStudent[]
): Promise<Map<number, WindowPlace>> {
	const ids = students.map(({ id }) => id);
	const [sittings, scores, notes, classes, givings] = await Promise.all([
		windowSittings(database, window.id, ids),
		windowScores(database, window.id, ids),
		windowNotes(database, window.id, ids),
		windowClasses(database, window.id),
		window.measure ? windowMeasures(database, window.id, ids) : new Map<number, GivenMeasure>()
	]);
	return new Map(
		students.map(({ id, classId }) => {
			const sitting = sittings.get(id) ?? null;
			const own = scores.get(id) ?? [];
			const note = notes.get(id) ?? null;
			const given = givings.get(id) ?? null;
			const status = screeningStatus({
				sitting: sitting ?? undefined,
				sources: given ? ['teacher-given'] : own.map(({ source }) => source),
				note: note?.kind,
				asked: classes.has(classId)
			});
			return [id, { status, sitting, note, scores: own, given }];
		})
	);
}
