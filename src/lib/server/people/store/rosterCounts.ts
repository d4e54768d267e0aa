import type { Database } from '../../database';
import { rosterSql, type Roster } from './roster';

/** A number that each student of a roster adds to a count, as SQL about `roster` (`id`, `class_id`). */
export interface RosterCount {
	/** What a student adds. */
	sql: string;
	values: unknown[];
	/** LEFT JOINs that it needs, none of which gives a student twice; told once where several counts need the same. */
	join?: { sql: string; values: unknown[] };
}

/** What is kept of each student (`summary`). */
export const SUMMARY = {
	sql: 'LEFT JOIN student_summary AS summary ON summary.student_id = roster.id',
	values: []
} satisfies RosterCount['join'];

/** Counts over a roster, all of them in one pass over its students. */
export async function countRoster<Name extends string>(
	database: Database,
	roster: Roster,
	counts: Record<Name, RosterCount>
): Promise<Record<Name, number>> {
	const named = Object.entries<RosterCount>(counts);
	const joins = new Map(named.flatMap(([, { join }]) => (join ? [[join.sql, join.values]] : [])));
	const among = rosterSql(roster);
	const row = await database.row<Record<string, number | string | null>>(
		`SELECT ${named.map(([name, { sql }]) => `SUM(${sql}) AS \`${name}\``).join(', ')}
		FROM ${among.sql} AS roster ${[...joins.keys()].join(' ')}`,
		[...named.flatMap(([, { values }]) => values), ...among.values, ...[...joins.values()].flat()]
	);
	return Object.fromEntries(named.map(([name]) => [name, Number(row![name] ?? 0)])) as Record<Name, number>;
}

/** Ids of a roster's students who add something to a count. */
export async function idsCounted(
	database: Database,
	roster: Roster,
	{ sql, values, join }: RosterCount
): Promise<Set<number>> {
	const among = rosterSql(roster);
	const rows = await database.rows<{ id: number }>(
		`SELECT roster.id FROM ${among.sql} AS roster ${join?.sql ?? ''} WHERE ${sql}`,
		[...among.values, ...(join?.values ?? []), ...values]
	);
	return new Set(rows.map(({ id }) => id));
}
