import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** No school from the first day up to, not including, the second. */
export interface DaysOff {
	id: number;
	fromOn: SchoolDate;
	untilOn: SchoolDate;
	name: string;
}

/** When there is no school, from a day on, the next first. */
export async function daysOff(database: Database, schoolId: number, since: SchoolDate): Promise<DaysOff[]> {
	return database.rows<DaysOff>(
		`SELECT id, from_on AS fromOn, until_on AS untilOn, name FROM day_off
		WHERE school_id = ? AND until_on > ? ORDER BY from_on, id`,
		[schoolId, since]
	);
}

/** Adds days off; those that are there already, day for day, are passed by. @returns the ids of the new ones */
export async function addDaysOff(
	database: RootDatabase,
	staff: Staff,
	days: Omit<DaysOff, 'id'>[],
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [staff.schoolId]);
		const there = new Set(
			(await daysOff(transaction, staff.schoolId, '1970-01-01')).map(({ fromOn, untilOn }) => `${fromOn} ${untilOn}`)
		);
		const added: number[] = [];
		for (const { fromOn, untilOn, name } of days) {
			const key = `${fromOn} ${untilOn}`;
			if (there.has(key)) continue;
			there.add(key);
			const { insertId } = await transaction.run(
				'INSERT INTO day_off (school_id, from_on, until_on, name) VALUES (?, ?, ?, ?)',
				[staff.schoolId, fromOn, untilOn, name]
			);
			added.push(insertId);
		}
		if (added.length) await audit(transaction, staff, at, 'add days off', { days });
		return added;
	});
}

/** Takes days off away. @returns those that were there and are gone */
export async function removeDaysOff(database: RootDatabase, staff: Staff, ids: number[], at: Date): Promise<DaysOff[]> {
	return database.transaction(async (transaction) => {
		const gone = (await daysOff(transaction, staff.schoolId, '1970-01-01')).filter(({ id }) => ids.includes(id));
		if (gone.length === 0) return [];
		await transaction.run('DELETE FROM day_off WHERE school_id = ? AND id IN (?)', [
			staff.schoolId,
			gone.map(({ id }) => id)
		]);
		await audit(transaction, staff, at, 'remove days off', { days: gone });
		return gone;
	});
}
