import type { SchoolDate } from '../../../core/calendar';
import type { PlannedYear } from '../../../core/measurement';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** The years of a school of which somebody has said when they begin and end, newest first. */
export async function schoolYears(database: Database, schoolId: number): Promise<PlannedYear[]> {
	return database.rows<PlannedYear>(
		`SELECT starts_on AS startsOn, ends_on AS endsOn, winter_on AS winterOn, spring_on AS springOn FROM school_year
		WHERE school_id = ? ORDER BY starts_on DESC`,
		[schoolId]
	);
}

/** Takes a planned year away. */
export async function removeYear(database: RootDatabase, staff: Staff, startsOn: SchoolDate, at: Date): Promise<void> {
	await database.transaction(async (transaction) => {
		await transaction.run('DELETE FROM school_year WHERE school_id = ? AND starts_on = ?', [staff.schoolId, startsOn]);
		await audit(transaction, staff, at, 'remove year', { before: { startsOn } });
	});
}

/**
 * Plans a year, or changes the one that began on a day.
 *
 * @param was the first day of the year that is changed; null for a new one
 * @returns the year that it would overlap, and then nothing is changed; else null
 */
export async function planYear(
	database: RootDatabase,
	staff: Staff,
	was: SchoolDate | null,
	year: PlannedYear,
	at: Date
): Promise<PlannedYear | null> {
	return database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [staff.schoolId]);
		const all = await schoolYears(transaction, staff.schoolId);
		const others = all.filter(({ startsOn }) => startsOn !== was);
		const overlapped = others.find(({ startsOn, endsOn }) => startsOn <= year.endsOn && year.startsOn <= endsOn);
		if (overlapped) return overlapped;
		if (was)
			await transaction.run('DELETE FROM school_year WHERE school_id = ? AND starts_on = ?', [staff.schoolId, was]);
		await transaction.run(
			'INSERT INTO school_year (school_id, starts_on, ends_on, winter_on, spring_on) VALUES (?, ?, ?, ?, ?)',
			[staff.schoolId, year.startsOn, year.endsOn, year.winterOn, year.springOn]
		);
		const before = all.find(({ startsOn }) => startsOn === was) ?? null;
		await audit(transaction, staff, at, 'plan year', { before, after: year });
		return null;
	});
}
