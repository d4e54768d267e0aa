import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import { rosterSql, SUMMARY, type Roster, type RosterCount } from '../../people';

/** Students with a set that is open on a day and not finished. */
export const withWork = (today: SchoolDate): RosterCount => ({
	sql: 'COALESCE(summary.waiting_from <= ?, 0)',
	values: [today],
	join: SUMMARY
});

/** Ids of a roster's students with such a set. */
export async function studentsWithWork(database: Database, roster: Roster, today: SchoolDate): Promise<Set<number>> {
	const among = rosterSql(roster);
	const { sql, values } = withWork(today);
	const rows = await database.rows<{ id: number }>(
		`SELECT roster.id FROM ${among.sql} AS roster ${SUMMARY.sql} WHERE ${sql}`,
		[...among.values, ...values]
	);
	return new Set(rows.map(({ id }) => id));
}
