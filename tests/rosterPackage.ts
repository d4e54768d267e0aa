import { strFromU8, strToU8, unzipSync, zipSync } from 'fflate';
import Papa from 'papaparse';
import type { RosterFile, RosterRecords } from '../src/lib/core/interchange/oneRoster/records';
import { splitBySchool } from '../src/lib/core/interchange/oneRoster/rosterOfSchool';
import { RosterReader } from '../src/lib/core/interchange/oneRoster/rosterReader';

/** Files of a package, each as rows of cells with its head; `manifest` beside them. */
export type RosterFiles = Record<RosterFile | 'manifest', string[][]>;

/** One school's records out of files. @throws where anything is wrong with them */
export function recordsIn(files: RosterFiles, sourcedId: string): RosterRecords {
	const reader = new RosterReader();
	for (const [file, [head, ...rows]] of Object.entries(files) as [RosterFile, string[][]][])
		if ((file as string) !== 'manifest' && reader.begin(file, head)) rows.forEach((row, i) => reader.take(row, i + 2));
	const { records, problems } = reader.end();
	if (problems.count) throw new Error(JSON.stringify(problems.told));
	return splitBySchool(records, [sourcedId]).get(sourcedId)!;
}

/** Writes a value into the row of a file whose first cell is an id. */
export function setCell(rows: string[][], sourcedId: string, column: string, value: string): void {
	rows.find(([id]) => id === sourcedId)![rows[0].indexOf(column)] = value;
}

/** A row of a file, by its columns; those that are not named are empty. */
export const rowOf = (rows: string[][], cells: Record<string, string>) => rows[0].map((column) => cells[column] ?? '');

/** The files of a ZIP package. */
export const filesIn = (packed: Uint8Array): RosterFiles =>
	Object.fromEntries(
		Object.entries(unzipSync(packed)).map(([name, bytes]) => [
			name.replace('.csv', ''),
			Papa.parse<string[]>(strFromU8(bytes)).data
		])
	) as RosterFiles;

/** Files as a ZIP package. */
export const packageOf = (files: Record<string, string[][]>): Uint8Array =>
	zipSync(
		Object.fromEntries(Object.entries(files).map(([file, rows]) => [`${file}.csv`, strToU8(Papa.unparse(rows))]))
	);
