import { randomBytes } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { addDays } from '../../src/lib/core/calendar';
import { noteBrowser } from '../../src/lib/server/auth/store/knownBrowsers';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import { changeGroup } from '../../src/lib/server/store/groupChanges';
import { NOW, TODAY } from '../smallSchool';
import { twoSchools, type FilledSchool } from './twoSchools';

/** What a row refers to: the columns of a foreign key and those they are equal to in the other table. */
interface Reference {
	table: string;
	columns: string[];
	parent: string;
	parentColumns: string[];
}

let schools: Awaited<ReturnType<typeof twoSchools>>;
let tables: string[];
let references: Reference[];

/** Of each table the columns of its way, as docs/data-model.md has them; none for what is of no school. */
const ways = waysIn(readFileSync('docs/data-model.md', 'utf8'));

function waysIn(text: string) {
	const found = new Map<string, string[]>();
	const list = text.split("## Every table's way to its school")[1];
	for (const [, columns, named] of list.matchAll(/^- (.+?): (.+)$/gm)) {
		const way = [...columns.matchAll(/`(\w+)`/g)].map(([, column]) => column);
		for (const [, table] of named.matchAll(/`(\w+)`/g)) found.set(table, way);
	}
	return found;
}

/** The school of a row as SQL: a column, or what the rows it refers to say. */
function schoolOf(table: string, row: string): string {
	const parts = ways.get(table)!.map((column) => {
		if (column === 'school_id') return `${row}.school_id`;
		const way = references.find((r) => r.table === table && r.columns.includes(column));
		if (!way) throw new Error(`${table}.${column} refers to nothing`);
		return parentSchool(way, row);
	});
	return parts.length === 1 ? parts[0] : `COALESCE(${parts.join(', ')})`;
}

function parentSchool({ parent, columns, parentColumns }: Reference, row: string) {
	const next = `${row}_${parent}`;
	const joined = columns.map((column, i) => `${next}.${parentColumns[i]} = ${row}.${column}`).join(' AND ');
	return `(SELECT ${schoolOf(parent, next)} FROM ${parent} ${next} WHERE ${joined})`;
}

/** References whose two ends are rows of different schools, with how many there are. */
async function crossing() {
	const found: string[] = [];
	for (const reference of references) {
		const { table, columns, parent } = reference;
		if (parent === 'school' || !ways.get(table)?.length || !ways.get(parent)?.length) continue;
		const count = await schools.database.row<{ n: number }>(
			`SELECT COUNT(*) AS n FROM ${table} t WHERE ${schoolOf(table, 't')} <> ${parentSchool(reference, 't')}`
		);
		if (count!.n) found.push(`${count!.n} of ${table}.${columns.join('+')}`);
	}
	return found;
}

/** What only sign-ins and changes leave behind. */
async function leaveMore({ staff, students, classes, groups, base }: FilledSchool) {
	const { database, skills } = schools;
	const place = { address: '10.0.0.1', browser: 'one' };
	const token = () => ({ tokenHash: randomBytes(32), heldHash: null });
	await beginSignIn(database, { accountId: staff.specialist.id }, token(), place, NOW);
	await beginSignIn(database, { studentId: students[0] }, token(), place, NOW);
	await noteBrowser(database, randomBytes(32), { accountId: staff.specialist.id }, NOW);
	await noteBrowser(database, randomBytes(32), { classId: classes.a }, NOW);
	const on = addDays(TODAY, 1);
	await changeGroup(database, staff.specialist, groups.a, { kind: 'focus', skillId: skills[2].id, on }, '', NOW);
	await changeGroup(database, staff.specialist, groups.b, { kind: 'pause', untilOn: null, on }, '', NOW);
	await database.run('INSERT INTO cut_score (school_id, grade, term, points) VALUES (?, 4, 2, 470)', [base]);
}

beforeAll(async () => {
	schools = await twoSchools('ways');
	const { database } = schools;
	await leaveMore(schools.one);
	await leaveMore(schools.other);
	const tableRows = await database.rows<{ name: string }>(
		`SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()`
	);
	tables = tableRows.map(({ name }) => name).sort();
	const keys = await database.rows<{ key: string; of: string; col: string; parent: string; parentCol: string }>(
		`SELECT constraint_name AS \`key\`, table_name AS \`of\`, column_name AS col,
			referenced_table_name AS parent, referenced_column_name AS parentCol
		FROM information_schema.key_column_usage
		WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL
		ORDER BY table_name, constraint_name, ordinal_position`
	);
	const keyOf = (row: (typeof keys)[number]) => `${row.of} ${row.key}`;
	references = [...new Set(keys.map(keyOf))].map((key) => {
		const columns = keys.filter((row) => keyOf(row) === key);
		return {
			table: columns[0].of,
			columns: columns.map(({ col }) => col),
			parent: columns[0].parent,
			parentColumns: columns.map(({ parentCol }) => parentCol)
		};
	});
	// The audit log outlives accounts and so has no key to them.
	references.push({ table: 'audit_entry', columns: ['account_id'], parent: 'account', parentColumns: ['id'] });
});
afterAll(() => schools.database.close());

describe("every table's way to its school", () => {
	it('is written, of each table there is and of no other', () => {
		expect([...ways.keys()].sort()).toEqual(tables);
	});

	it('leads every row to one of the two schools', async () => {
		const emptyOf: string[] = [];
		for (const [table, way] of ways) {
			if (!way.length) continue;
			const counts = await schools.database.rows<{ school: number | null; n: number }>(
				`SELECT ${schoolOf(table, 't')} AS school, COUNT(*) AS n FROM ${table} t GROUP BY 1`
			);
			const known = new Map(counts.map(({ school, n }) => [school, n]));
			const here = [schools.one.base, schools.other.base].map((school) => known.get(school) ?? 0);
			expect(here[0], `rows of ${table}, alike in both schools`).toBe(here[1]);
			if (!here[0]) emptyOf.push(table);
			for (const school of [schools.one.base, schools.other.base]) known.delete(school);
			if (['job', 'sign_in_try'].includes(table)) known.delete(null);
			expect([...known], `rows of ${table} of no school`).toEqual([]);
		}
		// What the filled schools have none of, so that it is not tested here.
		expect(emptyOf.sort()).toEqual(['family_parameters', 'late_answer', 'parameter_version']);
	});

	it('is the same by whatever reference it is followed', async () => {
		expect(await crossing()).toEqual([]);
	});

	it('is missed by a row that refers to both schools, and that is found', async () => {
		const { database, one, other } = schools;
		await database.run('UPDATE small_group SET slot_id = ? WHERE id = ?', [other.slots[0], one.groups.a]);
		expect(await crossing()).toContain('1 of small_group.slot_id');
		await database.run('UPDATE small_group SET slot_id = ? WHERE id = ?', [one.slots[0], one.groups.a]);
		expect(await crossing()).toEqual([]);
	});
});
