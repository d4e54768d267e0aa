import type { MarkedSheet } from '../../../core/fluency';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { refreshPlaces } from './places';
import { type Staff, undoesAll, type VisibleId } from '../../request';

/** One giving of a measure to a student, as it was marked. */
export interface GivenMeasure extends MarkedSheet {
	id: string;
	studentId: number;
	/** The grade whose passage or fact sheet was given. */
	sheetGrade: number;
	sheetLength: number;
	givenBy: string;
	givenAt: Date;
}

export interface NewMeasure extends MarkedSheet {
	/** Made by the page that marked it. */
	id: string;
	/** The window, or the series with the number of its sheet there. */
	givenFor: { windowId: number } | { seriesId: number; sheetNumber: number };
	studentId: number;
	sheetGrade: number;
	sheetLength: number;
}

/** Stores what was marked; the same again changes nothing. @returns whether it was new */
export async function saveMeasure(database: RootDatabase, staff: Staff, given: NewMeasure, at: Date): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { givenFor, studentId } = given;
		const windowId = 'windowId' in givenFor ? givenFor.windowId : null;
		const { seriesId = null, sheetNumber = null } = 'seriesId' in givenFor ? givenFor : {};
		await requireOwn(transaction, staff, { student: [studentId], window: [windowId], measureSeries: [seriesId] });
		const { affected } = await transaction.run(
			`INSERT IGNORE INTO given_measure (id, window_id, series_id, student_id, sheet_grade, sheet_number, sheet_length, seconds,
				reached, missed, given_by, given_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				...[given.id, windowId, seriesId, studentId, given.sheetGrade, sheetNumber, given.sheetLength, given.seconds],
				...[given.reached, JSON.stringify(given.missed), staff.id, at]
			]
		);
		if (affected === 0) return false;
		if (windowId) await refreshPlaces(transaction, windowId, [studentId]);
		await audit(transaction, staff, at, 'give measure', {
			...(windowId ? { window: windowId } : { series: seriesId }),
			student: studentId
		});
		return true;
	});
}

/** The giving that counts of each student in a window: the newest that is not set aside. */
export async function windowMeasures(
	database: Database,
	windowId: number,
	studentIds: VisibleId[]
): Promise<Map<number, GivenMeasure>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<Omit<GivenMeasure, 'missed' | 'seconds'> & { missed: string; seconds: string }>(
		`SELECT given_measure.id, given_measure.student_id AS studentId, given_measure.sheet_grade AS sheetGrade,
			given_measure.sheet_length AS sheetLength, given_measure.seconds, given_measure.reached, given_measure.missed,
			given_measure.given_at AS givenAt, account.display_name AS givenBy
		FROM given_measure
		JOIN account ON account.id = given_measure.given_by
		WHERE given_measure.window_id = ? AND given_measure.student_id IN (?) AND given_measure.set_aside_at IS NULL
		ORDER BY given_measure.given_at, given_measure.id`,
		[windowId, studentIds]
	);
	return new Map(
		rows.map((row) => [row.studentId, { ...row, seconds: Number(row.seconds), missed: JSON.parse(row.missed) }])
	);
}

/** The student a measure was given to; null for none of the school. */
export async function measuredStudent(database: Database, staff: Staff, id: string): Promise<number | null> {
	const row = await database.row<{ studentId: number }>(
		`SELECT given_measure.student_id AS studentId FROM given_measure
		JOIN student ON student.id = given_measure.student_id
		WHERE given_measure.id = ? AND student.school_id = ?`,
		[id, staff.schoolId]
	);
	return row?.studentId ?? null;
}

/** Sets a giving aside, so that it feeds nothing, or takes it back in: an own one, specialists and coordinators anyone's. @returns whether anything changed */
export async function setMeasureAside(
	database: RootDatabase,
	staff: Staff,
	id: string,
	isAside: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND given_measure.given_by = ?';
		const { affected } = await transaction.run(
			`UPDATE given_measure
			JOIN student ON student.id = given_measure.student_id
			SET given_measure.set_aside_at = ?
			WHERE given_measure.id = ? AND student.school_id = ? AND (given_measure.set_aside_at IS NULL) = ? ${ownOnly}`,
			[isAside ? at : null, id, staff.schoolId, isAside, ...(ownOnly ? [staff.id] : [])]
		);
		if (affected === 0) return false;
		const place = (await transaction.row<{ windowId: number | null; studentId: number }>(
			'SELECT window_id AS windowId, student_id AS studentId FROM given_measure WHERE id = ?',
			[id]
		))!;
		if (place.windowId) await refreshPlaces(transaction, place.windowId, [place.studentId]);
		await audit(transaction, staff, at, isAside ? 'set measure aside' : 'take measure back in', { measure: id });
		return true;
	});
}
