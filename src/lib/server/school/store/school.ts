import { addDays, schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { SchoolYear } from '../../../core/measurement';
import type { Database } from '../../database';

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

interface Cycle {
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

/** The years of a school of which somebody has said when they begin and end, newest first. */
export async function schoolYears(database: Database, schoolId: number): Promise<SchoolYear[]> {
	return database.rows<SchoolYear>(
		`SELECT starts_on AS startsOn, ends_on AS endsOn FROM school_year
		WHERE school_id = ? ORDER BY starts_on DESC`,
		[schoolId]
	);
}
