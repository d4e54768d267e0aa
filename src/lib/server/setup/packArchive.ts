import { Zip, ZipDeflate, ZipPassThrough } from 'fflate';
import Papa from 'papaparse';
import { setImmediate as nextTurn } from 'node:timers/promises';
import { audit, type Database } from '../database';
import { filePart, type KeptFile, PART_BYTES, schoolFiles } from '../materials';
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

/** What was given to students as a file, part by part. */
async function* contentOf(database: Database, { id, bytes }: KeptFile): AsyncGenerator<Uint8Array> {
	for (let number = 0; number * PART_BYTES < bytes; number++) yield await filePart(database, id, number);
}

/** A name of a file that is one on every computer. */
export const fileName = (name: string): string =>
	// eslint-disable-next-line no-control-regex -- characters that no file system takes
	name.replace(/[\u0000-\u001f\\/:*?"<>|]/g, '_').replace(/^\.+|[. ]+$/g, '_') || 'file';

/**
 * Everything of a school, as the bytes of a ZIP: each table as CSV and as JSON, what its columns mean, and the files that students
 * were given. It is made while
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
	async function* add(entry: ZipDeflate | ZipPassThrough, parts: AsyncIterable<Uint8Array>) {
		zip.add(entry);
		for await (const bytes of parts)
			for (let from = 0; from < bytes.length; from += PACKED_AT_ONCE) {
				entry.push(bytes.subarray(from, from + PACKED_AT_ONCE));
				yield* ready;
				ready = [];
				// So that others are heard in between.
				await nextTurn();
			}
		entry.push(new Uint8Array(0), true);
	}
	async function* encoded(parts: AsyncIterable<string> | string[]) {
		for await (const part of parts) yield encoder.encode(part);
	}
	const write = (name: string, parts: AsyncIterable<string> | string[]) =>
		add(new ZipDeflate(name, { level: 6 }), encoded(parts));
	yield* write('dictionary.json', [JSON.stringify(dictionaryOf(files), null, '\t')]);
	for (const file of files) {
		const of = SCHOOL_FILES.includes(file) ? school.id : students;
		yield* write(`csv/${file.name}.csv`, csvOf(database, file, of));
		yield* write(`json/${file.name}.json`, jsonOf(database, file, of));
	}
	// Pictures, PDF and sound are as small as they get.
	for (const file of await schoolFiles(database, school.id))
		yield* add(new ZipPassThrough(`files/${file.materialId}/${fileName(file.name)}`), contentOf(database, file));
	zip.end();
	yield* ready;
}
