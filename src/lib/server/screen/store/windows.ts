import type { SchoolDate } from '../../../core/calendar';
import { MEASURES, type FluencyMeasure } from '../../../core/fluency';
import type { ScreeningMode } from '../../../core/screening';
import { audit, type Database, type RootDatabase } from '../../database';
import { may, type Staff, type VisibleId } from '../../request';
import { refreshPlaces } from './places';

export interface ScreeningWindow {
	id: number;
	name: string;
	subject: string;
	mode: ScreeningMode;
	/** What is given, in a teacher-given window; else null. */
	measure: FluencyMeasure | null;
	/** Whose benchmarks count. */
	term: number;
	opensOn: SchoolDate;
	closesOn: SchoolDate;
}

const WINDOW = `screening_window.id, screening_window.name, screening_window.subject, screening_window.mode,
	screening_window.measure, screening_window.term, screening_window.opens_on AS opensOn,
	screening_window.closes_on AS closesOn`;

/** The school's windows, newest first. */
export async function screeningWindows(database: Database, schoolId: number): Promise<ScreeningWindow[]> {
	return database.rows<ScreeningWindow>(
		`SELECT ${WINDOW} FROM screening_window
		WHERE school_id = ? AND withdrawn_at IS NULL
		ORDER BY opens_on DESC, id DESC`,
		[schoolId]
	);
}

/** Classes whose students a window asks. */
export async function windowClasses(database: Database, windowId: number): Promise<Set<number>> {
	const rows = await database.rows<{ classId: number }>(
		'SELECT class_id AS classId FROM window_class WHERE window_id = ?',
		[windowId]
	);
	return new Set(rows.map(({ classId }) => classId));
}

/** For each window of a school: how many students it asks today, and how many of them have sat or have a score. */
export async function windowCounts(
	database: Database,
	schoolId: number,
	today: SchoolDate
): Promise<Map<number, { classes: number; students: number; begun: number; scored: number }>> {
	const [asked, sizes, places] = await Promise.all([
		database.rows<{ windowId: number; classId: number }>(
			`SELECT window_class.window_id AS windowId, window_class.class_id AS classId
			FROM screening_window
			JOIN window_class ON window_class.window_id = screening_window.id
			WHERE screening_window.school_id = ? AND screening_window.withdrawn_at IS NULL`,
			[schoolId]
		),
		database.rows<{ classId: number; size: number }>(
			`SELECT class.id AS classId, COUNT(*) AS size
			FROM class
			JOIN class_membership AS membership ON membership.class_id = class.id
				AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)
			WHERE class.school_id = ?
			GROUP BY class.id`,
			[today, today, schoolId]
		),
		database.rows<Record<'windowId' | 'begun' | 'scored', number>>(
			`SELECT window_place.window_id AS windowId, SUM(window_place.status NOT IN ('absent', 'excused')) AS begun,
				SUM(window_place.status IN ('finished', 'from a file')) AS scored
			FROM screening_window
			JOIN window_place ON window_place.window_id = screening_window.id
			WHERE screening_window.school_id = ?
			GROUP BY window_place.window_id`,
			[schoolId]
		)
	]);
	const sizeOf = new Map(sizes.map(({ classId, size }) => [classId, Number(size)]));
	const counts = new Map<number, { classes: number; students: number; begun: number; scored: number }>();
	for (const { windowId, classId } of asked) {
		const { classes, students, ...more } = counts.get(windowId) ?? { classes: 0, students: 0, begun: 0, scored: 0 };
		counts.set(windowId, { ...more, classes: classes + 1, students: students + (sizeOf.get(classId) ?? 0) });
	}
	for (const { windowId, begun, scored } of places)
		if (counts.has(windowId))
			counts.set(windowId, { ...counts.get(windowId)!, begun: Number(begun), scored: Number(scored) });
	return counts;
}

export interface NewWindow extends Omit<ScreeningWindow, 'id'> {
	classIds: number[];
}

/**
 * Plans a window. Classes of other schools are left out; the subject of a measure that is given follows from it.
 *
 * @returns null when no class is left
 */
export async function addWindow(
	database: RootDatabase,
	staff: Staff,
	window: NewWindow,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		const classes = window.classIds.length
			? await transaction.rows<{ id: number }>('SELECT id FROM class WHERE school_id = ? AND id IN (?)', [
					staff.schoolId,
					window.classIds
				])
			: [];
		if (classes.length === 0) return null;
		const { insertId } = await transaction.run(
			`INSERT INTO screening_window (school_id, name, subject, mode, measure, term, opens_on, closes_on)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				staff.schoolId,
				window.name,
				window.measure ? MEASURES[window.measure].subject : window.subject,
				window.mode,
				window.measure,
				window.term,
				window.opensOn,
				window.closesOn
			]
		);
		await transaction.insertMany(
			'INSERT INTO window_class (window_id, class_id) VALUES ?',
			classes.map(({ id }) => [insertId, id])
		);
		await audit(transaction, staff, at, 'add window', { window: insertId, classes: classes.length });
		return insertId;
	});
}

/**
 * Moves a window's days, as to open or close it early. @returns the days before, or null for no such window
 */
export async function moveWindow(
	database: RootDatabase,
	staff: Staff,
	windowId: number,
	days: { opensOn: SchoolDate; closesOn: SchoolDate },
	at: Date
): Promise<{ opensOn: SchoolDate; closesOn: SchoolDate } | null> {
	return database.transaction(async (transaction) => {
		const before = await lockWindow(transaction, staff, windowId);
		if (!before) return null;
		await transaction.run('UPDATE screening_window SET opens_on = ?, closes_on = ? WHERE id = ?', [
			days.opensOn,
			days.closesOn,
			windowId
		]);
		await audit(transaction, staff, at, 'move window', { window: windowId, from: before, to: days });
		return before;
	});
}

async function lockWindow(transaction: Database, staff: Staff, windowId: number) {
	return transaction.row<{ opensOn: SchoolDate; closesOn: SchoolDate }>(
		`SELECT opens_on AS opensOn, closes_on AS closesOn FROM screening_window
		WHERE id = ? AND school_id = ? AND withdrawn_at IS NULL
		FOR UPDATE`,
		[windowId, staff.schoolId]
	);
}

/** Takes a planned window away while nothing has come of it yet. @returns whether it could be taken away */
export async function withdrawWindow(
	database: RootDatabase,
	staff: Staff,
	windowId: number,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		if (!(await lockWindow(transaction, staff, windowId))) return false;
		const used = await transaction.row(
			`SELECT 1 FROM sitting WHERE window_id = ? UNION SELECT 1 FROM score WHERE window_id = ?
			UNION SELECT 1 FROM given_measure WHERE window_id = ? LIMIT 1`,
			[windowId, windowId, windowId]
		);
		if (used) return false;
		await transaction.run('UPDATE screening_window SET withdrawn_at = ? WHERE id = ?', [at, windowId]);
		await audit(transaction, staff, at, 'withdraw window', { window: windowId });
		return true;
	});
}

/** What staff noted of a student in a window. */
export interface WindowNote {
	kind: 'absent' | 'excused' | null;
	reason: string;
	/** Until when the student may still sit after the window has closed. */
	makeUpUntil: SchoolDate | null;
}

/** Notes of a window by student; students without one are absent from the map. */
export async function windowNotes(
	database: Database,
	windowId: number,
	studentIds: VisibleId[]
): Promise<Map<number, WindowNote>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<WindowNote & { studentId: number }>(
		`SELECT student_id AS studentId, kind, reason, make_up_until AS makeUpUntil FROM window_student
		WHERE window_id = ? AND student_id IN (?)`,
		[windowId, studentIds]
	);
	return new Map(rows.map(({ studentId, ...note }) => [studentId, note]));
}

/**
 * Notes something of students of a window: absent, excused with a reason, or until when they can make up for it. A note
 * that says nothing takes away what was noted.
 *
 * @param notes by student, of those that the staff member may see
 * @returns what was noted of them before; null for no such window; `not yours` where somebody who does not run screening
 *   would excuse, let make up, or take that away
 */
export async function noteStudents(
	database: RootDatabase,
	staff: Staff,
	windowId: number,
	notes: Map<VisibleId, WindowNote>,
	at: Date
): Promise<Map<number, WindowNote> | 'not yours' | null> {
	return database.transaction(async (transaction) => {
		if (!(await lockWindow(transaction, staff, windowId))) return null;
		const before = await windowNotes(transaction, windowId, [...notes.keys()]);
		// What lets a window pass a student by, or stay open, is not given or taken away by everyone.
		const isMore = (note: WindowNote | undefined) => note?.kind === 'excused' || Boolean(note?.makeUpUntil);
		const changesMore = [...notes].some(([id, note]) => {
			const was = before.get(id);
			const isSame = was?.kind === note.kind && was.reason === note.reason && was.makeUpUntil === note.makeUpUntil;
			const keepsMore = was?.makeUpUntil === note.makeUpUntil && was?.kind !== 'excused' && note.kind !== 'excused';
			return !isSame && !keepsMore && (isMore(was) || isMore(note));
		});
		if (changesMore && !may(staff.role, 'run screening')) return 'not yours';
		const [empty, said]: [number[], [number, WindowNote][]] = [[], []];
		for (const [id, note] of notes) {
			if (note.kind === null && note.makeUpUntil === null) empty.push(id);
			else said.push([id, note]);
		}
		if (empty.length) {
			await transaction.run('DELETE FROM window_student WHERE window_id = ? AND student_id IN (?)', [windowId, empty]);
		}
		await transaction.insertMany(
			`INSERT INTO window_student (window_id, student_id, kind, reason, make_up_until, noted_by, noted_at) VALUES ?
			ON DUPLICATE KEY UPDATE kind = VALUES(kind), reason = VALUES(reason), make_up_until = VALUES(make_up_until),
				noted_by = VALUES(noted_by), noted_at = VALUES(noted_at)`,
			said.map(([id, { kind, reason, makeUpUntil }]) => [windowId, id, kind, reason, makeUpUntil, staff.id, at])
		);
		await refreshPlaces(transaction, windowId, [...notes.keys()]);
		await audit(transaction, staff, at, 'note in window', { window: windowId, notes: [...notes] });
		return before;
	});
}

/** Windows in which a student can sit a diagnostic of ours today, their make-ups among them. */
export async function windowsToSit(
	database: Database,
	studentId: VisibleId,
	today: SchoolDate
): Promise<(ScreeningWindow & { lastDay: SchoolDate })[]> {
	return database.rows<ScreeningWindow & { lastDay: SchoolDate }>(
		`SELECT ${WINDOW}, GREATEST(screening_window.closes_on, COALESCE(note.make_up_until, screening_window.closes_on)) AS lastDay
		FROM class_membership AS membership
		JOIN window_class ON window_class.class_id = membership.class_id
		JOIN screening_window ON screening_window.id = window_class.window_id
		LEFT JOIN window_student AS note
			ON note.window_id = screening_window.id AND note.student_id = membership.student_id
		WHERE membership.student_id = ? AND membership.from_on <= ?
			AND (membership.until_on IS NULL OR membership.until_on > ?)
			AND screening_window.withdrawn_at IS NULL AND screening_window.mode IN ('adaptive', 'fixed form')
			AND screening_window.opens_on <= ?
			AND (screening_window.closes_on >= ? OR note.make_up_until >= ?)
			AND (note.kind IS NULL OR note.kind <> 'excused')
		ORDER BY screening_window.closes_on`,
		[studentId, today, today, today, today, today]
	);
}
