import type { SeriesReading } from '../growth';

/** Columns of a table, and its rows cell by cell. */
export interface SheetTable {
	columns: string[];
	rows: string[][];
}

/** A part of a sheet that can be left out. */
export interface SheetPart<Key extends string = string> {
	key: Key;
	heading: string;
	lines: string[];
	table?: SheetTable;
	/** A series of probes that is drawn. */
	series?: { reading: SeriesReading; questions: number; goal: number; weeks: number };
	/** Words of its own, which an adult can put in place of those drawn up. */
	editable?: boolean;
}

/** A page to take to a meeting or to send home: all of it in words already. */
export interface Sheet<Key extends string = string> {
	title: string;
	/** Below the title. */
	about: string;
	/** At the right above. */
	printed: string;
	/** BCP 47. */
	language: string;
	parts: SheetPart<Key>[];
	foot: string;
}

/** A sheet with some of its parts, in its own order; all where none is named. */
export const withParts = <Key extends string>(sheet: Sheet<Key>, keys: readonly string[]): Sheet<Key> => ({
	...sheet,
	parts: keys.length ? sheet.parts.filter(({ key }) => keys.includes(key)) : sheet.parts
});

/** A sheet with an adult's own words in place of what was drawn up. @param own by part, a line each */
export const withOwnWords = <Key extends string>(sheet: Sheet<Key>, own: Map<string, string>): Sheet<Key> => ({
	...sheet,
	parts: sheet.parts.map((part) =>
		part.editable && own.has(part.key) ? { ...part, lines: own.get(part.key)!.split('\n').filter(Boolean) } : part
	)
});

/** All that a sheet says, as one text. */
export const textOf = ({ title, about, parts, foot }: Sheet): string =>
	[
		title,
		about,
		...parts.flatMap(({ heading, lines, table }) => [
			heading,
			...lines,
			...(table ? [table.columns.join(' '), ...table.rows.map((row) => row.join(' '))] : [])
		]),
		foot
	].join('\n');
