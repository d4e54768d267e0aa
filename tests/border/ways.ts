import { readFileSync } from 'node:fs';
import type { Database } from '../../src/lib/server/database/pool';

/** What a row refers to: the columns of a foreign key and those they are equal to in the other table. */
interface Reference {
	table: string;
	columns: string[];
	parent: string;
	parentColumns: string[];
}

/**
 * How every row of a database is followed to its school, by docs/data-model.md.
 *
 * @returns the tables there are, and functions that give SQL or look through all of it
 */
export async function followWays(database: Database) {
	const { tables, references } = await readReferences(database);
	const ways = waysIn(readFileSync('docs/data-model.md', 'utf8'));

	/** The school of a row as SQL: a column, or what the rows it refers to say. */
	function schoolOf(table: string, row: string): string {
		if (table === 'school') return `${row}.id`;
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
	async function crossing(within: Database = database): Promise<string[]> {
		const found: string[] = [];
		for (const reference of references) {
			const { table, columns, parent } = reference;
			const hasSchool = (name: string) => name === 'school' || ways.get(name)?.length;
			if (parent === 'school' || !hasSchool(table) || !hasSchool(parent)) continue;
			const count = await within.row<{ n: number }>(
				`SELECT COUNT(*) AS n FROM ${table} t WHERE ${schoolOf(table, 't')} <> ${parentSchool(reference, 't')}`
			);
			if (count!.n) found.push(`${count!.n} of ${table}.${columns.join('+')}`);
		}
		return found;
	}
	return { tables, ways, schoolOf, crossing };
}

/** Of each table the columns of its way, as the document has them; none for what is of no school. */
function waysIn(text: string) {
	const found = new Map<string, string[]>();
	const list = text.split("## Every table's way to its school")[1];
	for (const [, columns, named] of list.matchAll(/^- (.+?): (.+)$/gm)) {
		const way = [...columns.matchAll(/`(\w+)`/g)].map(([, column]) => column);
		for (const [, table] of named.matchAll(/`(\w+)`/g)) found.set(table, way);
	}
	return found;
}

async function readReferences(database: Database): Promise<{ tables: string[]; references: Reference[] }> {
	const tableRows = await database.rows<{ name: string }>(
		`SELECT table_name AS name FROM information_schema.tables WHERE table_schema = DATABASE()`
	);
	const tables = tableRows.map(({ name }) => name).sort();
	const keys = await database.rows<{ key: string; of: string; col: string; parent: string; parentCol: string }>(
		`SELECT constraint_name AS \`key\`, table_name AS \`of\`, column_name AS col,
			referenced_table_name AS parent, referenced_column_name AS parentCol
		FROM information_schema.key_column_usage
		WHERE table_schema = DATABASE() AND referenced_table_name IS NOT NULL
		ORDER BY table_name, constraint_name, ordinal_position`
	);
	const keyOf = (row: (typeof keys)[number]) => `${row.of} ${row.key}`;
	const references = [...new Set(keys.map(keyOf))].map((key) => {
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
	return { tables, references };
}
