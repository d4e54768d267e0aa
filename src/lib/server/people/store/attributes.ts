import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
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

/** What is said of a student; of whom nothing is said under that name, the value is null. */
export interface SaidOf {
	student: number;
	value: string | null;
}

/** What is said of students of a school, by student, in the order of the names. */
export async function saidOf(
	database: Database,
	{ schoolId }: Staff,
	ids: number[]
): Promise<Map<number, { name: string; value: string }[]>> {
	if (ids.length === 0) return new Map();
	const rows = await database.rows<{ student: number; name: string; value: string }>(
		`SELECT attribute.student_id AS student, attribute.name, attribute.value
		FROM student JOIN student_attribute AS attribute ON attribute.student_id = student.id
		WHERE student.id IN (?) AND student.school_id = ?
		ORDER BY student.id, attribute.name`,
		[ids, schoolId]
	);
	const said = new Map<number, { name: string; value: string }[]>();
	for (const { student, ...one } of rows) said.set(student, [...(said.get(student) ?? []), one]);
	return said;
}

/**
 * Says one thing of students, or nothing any more where a value is null.
 *
 * @returns what was said before of those of whom it is another now
 */
export async function sayOf(
	database: RootDatabase,
	staff: Staff,
	name: string,
	said: SaidOf[],
	at: Date
): Promise<SaidOf[]> {
	return database.transaction(async (transaction) => {
		const ids = said.map(({ student }) => student);
		await requireOwn(transaction, staff, { student: ids });
		const was = new Map(
			(
				await transaction.rows<{ id: number; value: string }>(
					'SELECT student_id AS id, value FROM student_attribute WHERE student_id IN (?) AND name = ? FOR UPDATE',
					[[0, ...ids], name]
				)
			).map(({ id, value }) => [id, value])
		);
		const changed = said.filter(({ student, value }) => (was.get(student) ?? null) !== value);
		const before = changed.map(({ student }) => ({ student, value: was.get(student) ?? null }));
		const gone = changed.filter(({ value }) => value === null);
		if (gone.length)
			await transaction.run('DELETE FROM student_attribute WHERE student_id IN (?) AND name = ?', [
				gone.map(({ student }) => student),
				name
			]);
		await transaction.insertMany(
			'INSERT INTO student_attribute (student_id, name, value) VALUES ? ON DUPLICATE KEY UPDATE value = VALUES(value)',
			changed.flatMap(({ student, value }) => (value === null ? [] : [[student, name, value]]))
		);
		// One entry a student: with them goes what it says.
		for (const [i, { student, value }] of changed.entries())
			await audit(transaction, staff, at, 'say of a student', {
				student,
				before: { [name]: before[i].value },
				after: { [name]: value }
			});
		return before;
	});
}
