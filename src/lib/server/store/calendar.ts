import { addDays, schoolDateOf, type SchoolDate } from '../../core/calendar';
import type { FluencyMeasure } from '../../core/fluency';
import { usualCut } from '../../core/screening';
import type { Database } from '../database';

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

/** Which cut scores are meant: those of a diagnostic (null) or of a measure that is given, in a term. */
export interface CutScoresOf {
	measure: FluencyMeasure | null;
	term: number;
}

/** Cut score for each grade, in points or correct a minute: the school's own where set, else the usual. */
export async function cutScores(
	database: Database,
	schoolId: number,
	{ measure, term }: CutScoresOf
): Promise<Record<number, number>> {
	const own = await database.rows<{ grade: number; points: number }>(
		'SELECT grade, points FROM cut_score WHERE school_id = ? AND measure = ? AND term = ?',
		[schoolId, measure ?? 'diagnostic', term]
	);
	const cuts: Record<number, number> = {};
	for (let grade = 1; grade <= 8; grade++) cuts[grade] = usualCut(measure, grade, term);
	for (const { grade, points } of own) cuts[grade] = points;
	return cuts;
}
