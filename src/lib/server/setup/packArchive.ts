import { Zip, ZipDeflate } from 'fflate';
import Papa from 'papaparse';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { audit, type Database } from '../database';
import { allStudentIds } from '../people';
import type { Staff } from '../request';
import type { School } from '../school';
import { type ArchiveFile, archiveRows, type Cell, PEOPLE_FILES, SCHOOL_FILES, WORK_FILES } from './store/archive';

/** Students whose rows are read at once. */
const AT_ONCE = 5;
/** Bytes that are packed at once: more would keep others waiting. */
const PACKED_AT_ONCE = 200_000;

/** Rows of a file, a part at a time; none comes twice. */
async function* partsOf(
	database: Database,
	file: ArchiveFile,
	of: number | number[]
): AsyncGenerator<Record<string, Cell>[]> {
	if (!Array.isArray(of)) {
		yield await archiveRows(database, file, of);
		return;
	}
	const told = new Set<string>();
	for (let from = 0; from < of.length; from += AT_ONCE) {
		const rows = await archiveRows(database, file, of.slice(from, from + AT_ONCE));
		yield rows.filter((row) => {
			if (!file.once) return true;
			const key = file.once.map((name) => row[name]).join(' ');
			return !told.has(key) && told.add(key);
		});
	}
}

/** A row as JSON has it: what is JSON itself is part of it, not text. */
export function asJson(row: Record<string, Cell>, { json = [] }: ArchiveFile): Record<string, unknown> {
	const parsed = (text: Cell) => {
		try {
			return typeof text === 'string' ? JSON.parse(text) : text;
		} catch {
			// Cut, as what is very long is in the log.
			return text;
		}
	};
	return Object.fromEntries(
		Object.entries(row).map(([name, value]) => [name, json.includes(name) ? parsed(value) : value])
	);
}

async function* csvOf(database: Database, file: ArchiveFile, of: number | number[]): AsyncGenerator<string> {
	const columns = Object.keys(file.columns);
	yield `${columns.join(',')}\r\n`;
	for await (const rows of partsOf(database, file, of))
		if (rows.length)
			yield `${Papa.unparse(
				rows.map((row) => columns.map((name) => row[name])),
				{ escapeFormulae: true }
			)}\r\n`;
}

async function* jsonOf(database: Database, file: ArchiveFile, of: number | number[]): AsyncGenerator<string> {
	let before = '[\n';
	for await (const rows of partsOf(database, file, of)) {
		if (rows.length === 0) continue;
		yield before + rows.map((row) => JSON.stringify(asJson(row, file))).join(',\n');
		before = ',\n';
	}
	yield before === '[\n' ? '[]\n' : '\n]\n';
}

/** What each file and column of an archive means. */
export const dictionaryOf = (files: ArchiveFile[]) => ({
	about:
		'Each file is there as CSV and as JSON. Times are UTC, days are of the school. In CSV a text that begins like a formula has an apostrophe before it.',
	files: files.map(({ name, says, columns }) => ({ name, row: says, columns }))
});

/**
 * Everything of a school, as the bytes of a ZIP: each table as CSV and as JSON, and what its columns mean. It is made while
 * it is read, so that it needs little room however large the school is. Who fetched it is written down.
 */
export async function* packArchive(
	database: Database,
	staff: Staff,
	school: School,
	at: Date
): AsyncGenerator<Uint8Array> {
	const students = await allStudentIds(database, school.id);
	await audit(database, staff, at, 'fetch archive', { size: students.length });
	let ready: Uint8Array[] = [];
	const zip = new Zip((error, chunk) => {
		if (error) throw error;
		ready.push(chunk);
	});
	const encoder = new TextEncoder();
	const files = [...SCHOOL_FILES, ...PEOPLE_FILES, ...WORK_FILES];
	async function* write(name: string, parts: AsyncIterable<string> | string[]) {
		const entry = new ZipDeflate(name, { level: 6 });
		zip.add(entry);
		for await (const part of parts) {
			const bytes = encoder.encode(part);
			for (let from = 0; from < bytes.length; from += PACKED_AT_ONCE) {
				entry.push(bytes.subarray(from, from + PACKED_AT_ONCE));
				yield* ready;
				ready = [];
				// So that others are heard in between.
				await nextTurn();
			}
		}
		entry.push(new Uint8Array(0), true);
	}
	yield* write('dictionary.json', [JSON.stringify(dictionaryOf(files), null, '\t')]);
	for (const file of files) {
		const of = SCHOOL_FILES.includes(file) ? school.id : students;
		yield* write(`csv/${file.name}.csv`, csvOf(database, file, of));
		yield* write(`json/${file.name}.json`, jsonOf(database, file, of));
	}
	zip.end();
	yield* ready;
}
