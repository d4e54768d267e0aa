import type { Database } from '../../database';

/** Rows that one statement takes away at most, so that nobody waits for long. */
const AT_ONCE = 5_000;
const DAY_MS = 86_400_000;

/** How long (ms) rows of a table are kept after a time that they hold. */
const KEPT = [
	['sign_in', 'ends_at', 0],
	// A lock of students ends with the day, and no other count is looked at after a day.
	['sign_in_try', 'last_at', 2 * DAY_MS],
	['known_browser', 'last_at', 400 * DAY_MS]
] as const;

/** Takes away what is over: sign-ins, counts of tries, browsers not seen for a year. @returns how many rows */
export async function clearSignIns(database: Database, at: Date): Promise<number> {
	let cleared = 0;
	for (const [table, column, keptMs] of KEPT) {
		for (let affected = AT_ONCE; affected === AT_ONCE; cleared += affected) {
			({ affected } = await database.run(`DELETE FROM ${table} WHERE ${column} < ? LIMIT ${AT_ONCE}`, [
				new Date(at.getTime() - keptMs)
			]));
		}
	}
	return cleared;
}
