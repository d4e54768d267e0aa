import { addDays, schoolDateOf, type SchoolDate } from '../../core/calendar';
import { defaultCutScore } from '../../core/screening';
import type { Database, RootDatabase } from '../database/pool';
import type { Staff } from '../viewer';
import { audit } from './audit';

export interface School {
	id: number;
	name: string;
	timeZone: string;
	today: SchoolDate;
}

export async function findSchool(database: Database, id: number, at: Date): Promise<School> {
	const row = await database.row<{ id: number; name: string; timeZone: string }>(
		'SELECT id, name, time_zone AS timeZone FROM school WHERE id = ?',
		[id]
	);
	if (!row) throw new Error(`school ${id} does not exist`);
	return { ...row, today: schoolDateOf(at, row.timeZone) };
}

export interface Cycle {
	id: number;
	number: number;
	startsOn: SchoolDate;
	weeks: number;
	/** The last day of the cycle. */
	endsOn: SchoolDate;
}

/** The cycle a day lies in, else the last one that began before it; null before the first. */
export async function currentCycle(database: Database, schoolId: number, today: SchoolDate): Promise<Cycle | null> {
	const row = await database.row<Omit<Cycle, 'endsOn'>>(
		`SELECT id, number, starts_on AS startsOn, weeks FROM cycle
		WHERE school_id = ? AND starts_on <= ?
		ORDER BY starts_on DESC LIMIT 1`,
		[schoolId, today]
	);
	return row && { ...row, endsOn: addDays(row.startsOn, 7 * row.weeks - 1) };
}

export interface ScreeningWindow {
	id: number;
	name: string;
	term: number;
	opensOn: SchoolDate;
	closesOn: SchoolDate;
}

/** The year's windows, newest first. */
export async function screeningWindows(database: Database, schoolId: number): Promise<ScreeningWindow[]> {
	return database.rows<ScreeningWindow>(
		`SELECT id, name, term, opens_on AS opensOn, closes_on AS closesOn FROM screening_window
		WHERE school_id = ? ORDER BY opens_on DESC`,
		[schoolId]
	);
}

export async function addWindow(
	database: RootDatabase,
	staff: Staff,
	window: Omit<ScreeningWindow, 'id'>,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const { insertId } = await transaction.run(
			'INSERT INTO screening_window (school_id, name, term, opens_on, closes_on) VALUES (?, ?, ?, ?, ?)',
			[staff.schoolId, window.name, window.term, window.opensOn, window.closesOn]
		);
		await audit(transaction, {
			schoolId: staff.schoolId,
			accountId: staff.id,
			at,
			action: 'add window',
			detail: { window: insertId }
		});
		return insertId;
	});
}

/** Cut score in points for each grade in a term: the school's own where set, else the default. */
export async function cutScores(database: Database, schoolId: number, term: number): Promise<Record<number, number>> {
	const own = await database.rows<{ grade: number; points: number }>(
		'SELECT grade, points FROM cut_score WHERE school_id = ? AND term = ?',
		[schoolId, term]
	);
	const cuts: Record<number, number> = {};
	for (let grade = 1; grade <= 8; grade++) cuts[grade] = defaultCutScore(grade, term);
	for (const { grade, points } of own) cuts[grade] = points;
	return cuts;
}
