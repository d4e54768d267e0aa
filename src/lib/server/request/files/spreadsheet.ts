import { SaxesParser } from 'saxes';
import { Parts } from './parts';
import { MOST_CHARACTERS, MOST_COLUMNS, MOST_ROWS, UnreadableFile } from './limits';

/** Unpacked, the parts of a spreadsheet that are read may have so many bytes. */
const MOST_UNPACKED = 60_000_000;

const NO_SPREADSHEET = 'The file is not a spreadsheet that can be read; save it as XLSX or CSV and try again';

/** Sends a part through a parser of XML. Nothing happens for a part that is not there. */
async function parse(parts: Parts, name: string, parser: SaxesParser): Promise<void> {
	const decoder = new TextDecoder();
	parser.on('error', (problem) => {
		throw problem;
	});
	if (!parts.has(name)) return;
	for await (const chunk of parts.bytes(name)) parser.write(decoder.decode(chunk, { stream: true }));
	parser.write(decoder.decode()).close();
}

type Attributes = Record<string, string>;

/** A parser that says which elements begin and end, without their prefixes, and what text stands in them. */
function elements(on: {
	begin?: (name: string, attributes: Attributes) => void;
	end?: (name: string) => void;
	text?: (text: string) => void;
}): SaxesParser {
	const parser = new SaxesParser();
	const plain = (name: string) => name.slice(name.indexOf(':') + 1);
	if (on.begin) parser.on('opentag', ({ name, attributes }) => on.begin!(plain(name), attributes as Attributes));
	if (on.end) parser.on('closetag', ({ name }) => on.end!(plain(name)));
	if (on.text) {
		parser.on('text', on.text);
		parser.on('cdata', on.text);
	}
	return parser;
}

/** Where the first sheet lies (ECMA-376, part 1, 12.3.24), and whether its days count from 1904. */
async function firstSheet(parts: Parts): Promise<{ path: string; from1904: boolean }> {
	let relation = '';
	let from1904 = false;
	await parse(
		parts,
		'xl/workbook.xml',
		elements({
			begin: (name, attributes) => {
				if (name === 'workbookPr') from1904 = ['1', 'true'].includes(attributes.date1904);
				if (name === 'sheet') relation ||= attributes['r:id'] ?? '';
			}
		})
	);
	let path = '';
	await parse(
		parts,
		'xl/_rels/workbook.xml.rels',
		elements({
			begin: (name, { Id, Target = '' }) => {
				if (name === 'Relationship' && Id === relation)
					path = Target.startsWith('/') ? Target.slice(1) : `xl/${Target}`;
			}
		})
	);
	if (!relation || !parts.has(path)) throw new UnreadableFile('The file has no sheet');
	return { path, from1904 };
}

/** Texts that cells refer to by number (18.4), without readings of their characters. */
async function sharedTexts(parts: Parts): Promise<string[]> {
	const texts: string[] = [];
	let text = '';
	let [isText, isReading] = [false, false];
	await parse(
		parts,
		'xl/sharedStrings.xml',
		elements({
			begin: (name) => {
				if (name === 'si') text = '';
				isText = name === 't';
				isReading ||= name === 'rPh';
			},
			end: (name) => {
				if (name === 'si') texts.push(text);
				if (name === 'rPh') isReading = false;
				isText = false;
			},
			text: (part) => {
				if (isText && !isReading) text += part;
			}
		})
	);
	return texts;
}

/** Formats of numbers that show a day, of those that need no saying (18.8.30). */
const isDayFormat = (id: number) => (id >= 14 && id <= 17) || id === 22;
/** Of a format of its own: days, months and years outside of quoted text, colors and escaped characters. */
const showsDay = (code: string) => /[dy]/i.test(code.replace(/"[^"]*"|\[[^\]]*\]|\\./g, ''));

/** Styles of cells that show a number as a day, by their place. */
async function dayStyles(parts: Parts): Promise<Set<number>> {
	const ownDays = new Set<number>();
	const styles = new Set<number>();
	let [place, isInside] = [0, false];
	await parse(
		parts,
		'xl/styles.xml',
		elements({
			begin: (name, { numFmtId, formatCode = '' }) => {
				if (name === 'numFmt' && showsDay(formatCode)) ownDays.add(Number(numFmtId));
				if (name === 'cellXfs') isInside = true;
				if (name !== 'xf' || !isInside) return;
				if (isDayFormat(Number(numFmtId)) || ownDays.has(Number(numFmtId))) styles.add(place);
				place++;
			},
			end: (name) => {
				if (name === 'cellXfs') isInside = false;
			}
		})
	);
	return styles;
}

const DAY_MS = 86_400_000;
/** Days count from here; a day in 1900 that never was makes it the last but one of 1899. */
const [FROM_1900, FROM_1904] = [Date.UTC(1899, 11, 30), Date.UTC(1904, 0, 1)];
/** Of the last day of the year 9999. */
const LAST_DAY = 2_958_465;

/** The column of a cell, `C7`, from 0; null where it says none. */
function columnOf(reference: string | undefined): number | null {
	const letters = /^[A-Z]{1,3}/.exec(reference ?? '')?.[0];
	return letters ? [...letters].reduce((sum, letter) => 26 * sum + letter.charCodeAt(0) - 64, 0) - 1 : null;
}

/**
 * The first sheet of an XLSX file (ECMA-376) as rows of texts, blank rows kept, so that line numbers are those of the
 * sheet: formulas by their value, days as `YYYY-MM-DD`. Only cells are read, one after another; what else the file holds
 * (merged ranges, pictures, formulas) is passed over.
 *
 * @throws UnreadableFile for files that are damaged, have no sheet or hold too much
 */
export async function rowsOfSpreadsheet(bytes: Uint8Array): Promise<string[][]> {
	try {
		const parts = await Parts.open(bytes, MOST_UNPACKED);
		const { path, from1904 } = await firstSheet(parts);
		const shared = await sharedTexts(parts);
		const days = await dayStyles(parts);
		const rows: string[][] = [];
		let row: string[] = [];
		let [column, style] = [0, 0];
		let [kind, value] = ['n', ''];
		let [isValue, isReading] = [false, false];
		let characters = 0;
		const valueAsText = () => {
			if (kind === 's') return shared[Number(value)] ?? '';
			if (kind === 'b') return value === '1' ? 'true' : 'false';
			const number = Number(value);
			if (kind !== 'n' || !days.has(style) || !(number >= 0 && number <= LAST_DAY)) return value;
			return new Date((from1904 ? FROM_1904 : FROM_1900) + Math.floor(number) * DAY_MS).toISOString().slice(0, 10);
		};
		await parse(
			parts,
			path,
			elements({
				begin: (name, attributes) => {
					if (name === 'row') {
						const line = Number(attributes.r) || rows.length + 1;
						if (line > MOST_ROWS) throw new UnreadableFile(`The sheet has more than ${MOST_ROWS} rows`);
						while (rows.length < line - 1) rows.push([]);
						row = [];
						column = -1;
					} else if (name === 'c') {
						column = columnOf(attributes.r) ?? column + 1;
						[kind, value, style] = [attributes.t ?? 'n', '', Number(attributes.s)];
					}
					isValue = name === 'v' || name === 't';
					isReading ||= name === 'rPh';
				},
				end: (name) => {
					isValue = false;
					if (name === 'rPh') isReading = false;
					if (name === 'row') rows.push(row);
					if (name !== 'c' || value === '') return;
					// Beyond the last column there may be cells that are only colored.
					if (column >= MOST_COLUMNS) throw new UnreadableFile(`The sheet has more than ${MOST_COLUMNS} columns`);
					const text = valueAsText();
					// One text can stand in every cell.
					if ((characters += text.length) > MOST_CHARACTERS)
						throw new UnreadableFile(`The sheet has more than ${MOST_CHARACTERS} characters`);
					while (row.length < column) row.push('');
					row[column] = text;
				},
				text: (part) => {
					if (isValue && !isReading) value += part;
				}
			})
		);
		while (rows.length && rows.at(-1)!.every((text) => !text)) rows.pop();
		const width = Math.max(0, ...rows.map(({ length }) => length));
		return rows.map((cells) => [...cells, ...Array<string>(width - cells.length).fill('')]);
	} catch (problem) {
		if (problem instanceof UnreadableFile) throw problem;
		throw new UnreadableFile(NO_SPREADSHEET);
	}
}
