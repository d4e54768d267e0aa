import type { Database } from '../../database';
import { rosterSql, type Roster } from './roster';

/** What the roster says of students beyond name, grade and class: by name, each value with how many have it. */
interface AttributeChoices {
	name: string;
	choices: { value: string; count: number }[];
}

export async function attributeChoices(database: Database, roster: Roster): Promise<AttributeChoices[]> {
	const among = rosterSql(roster);
	const rows = await database.rows<{ name: string; value: string; count: number }>(
		`SELECT attribute.name, attribute.value, COUNT(*) AS count
		FROM ${among.sql} AS roster JOIN student_attribute AS attribute ON attribute.student_id = roster.id
		GROUP BY attribute.name, attribute.value
		ORDER BY attribute.name, attribute.value`,
		among.values
	);
	const names = [...new Set(rows.map(({ name }) => name))];
	return names.map((name) => ({
		name,
		choices: rows.filter((row) => row.name === name).map(({ value, count }) => ({ value, count: Number(count) }))
	}));
}

/** Those of a roster of whom it says this. */
export async function studentsWith(
	database: Database,
	roster: Roster,
	{ name, value }: { name: string; value: string }
): Promise<Set<number>> {
	const among = rosterSql(roster);
	const rows = await database.rows<{ id: number }>(
		`SELECT roster.id FROM ${among.sql} AS roster
		JOIN student_attribute AS attribute ON attribute.student_id = roster.id
		WHERE attribute.name = ? AND attribute.value = ?`,
		[...among.values, name, value]
	);
	return new Set(rows.map(({ id }) => id));
}
