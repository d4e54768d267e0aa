import { addDays, type SchoolDate } from '../../../core/calendar';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** Six to ten weeks or so of screening, groups, practice and reviews. */
export interface Cycle {
	id: number;
	number: number;
	startsOn: SchoolDate;
	weeks: number;
	/** The last day of the cycle. */
	endsOn: SchoolDate;
}

type CycleRow = Omit<Cycle, 'endsOn'>;
const withEnd = (row: CycleRow): Cycle => ({ ...row, endsOn: addDays(row.startsOn, 7 * row.weeks - 1) });

/** The cycle a day lies in, else the last one that began before it; null before the first. */
export async function currentCycle(database: Database, schoolId: number, today: SchoolDate): Promise<Cycle | null> {
	const row = await database.row<CycleRow>(
		`SELECT id, number, starts_on AS startsOn, weeks FROM cycle
		WHERE school_id = ? AND starts_on <= ?
		ORDER BY starts_on DESC LIMIT 1`,
		[schoolId, today]
	);
	return row && withEnd(row);
}

/** The cycles of a school, newest first. */
export async function cycleList(database: Database, schoolId: number): Promise<Cycle[]> {
	const rows = await database.rows<CycleRow>(
		'SELECT id, number, starts_on AS startsOn, weeks FROM cycle WHERE school_id = ? ORDER BY starts_on DESC',
		[schoolId]
	);
	return rows.map(withEnd);
}

/**
 * Plans a cycle, or changes one.
 *
 * @param id of the cycle that is changed; null for a new one
 * @returns the cycle that it would overlap, and then nothing is changed; else null
 */
export async function planCycle(
	database: RootDatabase,
	staff: Staff,
	id: number | null,
	cycle: Omit<CycleRow, 'id'>,
	at: Date
): Promise<Cycle | null> {
	return database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [staff.schoolId]);
		const all = await cycleList(transaction, staff.schoolId);
		const planned = withEnd({ id: id ?? 0, ...cycle });
		const overlapped = all.find(
			(other) => other.id !== id && other.startsOn <= planned.endsOn && planned.startsOn <= other.endsOn
		);
		if (overlapped) return overlapped;
		const before = all.find((other) => other.id === id) ?? null;
		const values = [cycle.number, cycle.startsOn, cycle.weeks];
		if (before)
			await transaction.run('UPDATE cycle SET number = ?, starts_on = ?, weeks = ? WHERE id = ?', [
				...values,
				before.id
			]);
		else
			await transaction.run('INSERT INTO cycle (number, starts_on, weeks, school_id) VALUES (?, ?, ?, ?)', [
				...values,
				staff.schoolId
			]);
		await audit(transaction, staff, at, 'plan cycle', { before, after: cycle });
		return null;
	});
}

/** Takes a cycle away. @returns whether it was there */
export async function removeCycle(database: RootDatabase, staff: Staff, id: number, at: Date): Promise<Cycle | null> {
	return database.transaction(async (transaction) => {
		const before = (await cycleList(transaction, staff.schoolId)).find((cycle) => cycle.id === id);
		if (!before) return null;
		await transaction.run('DELETE FROM cycle WHERE id = ? AND school_id = ?', [id, staff.schoolId]);
		await audit(transaction, staff, at, 'remove cycle', { before });
		return before;
	});
}
