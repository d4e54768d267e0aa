import ExcelJS from 'exceljs';

/** Unpacked, a spreadsheet may have so many bytes: a packed bomb is refused before it is unpacked. */
const MOST_UNPACKED = 60_000_000;
const MOST_ROWS = 20_000;
const MOST_COLUMNS = 100;

/** Whether bytes are a packed file, as XLSX files are (PKZIP's local file header). */
export const isPacked = (bytes: Uint8Array) =>
	bytes[0] === 0x50 && bytes[1] === 0x4b && bytes[2] === 3 && bytes[3] === 4;

/** Thrown for a file that is no spreadsheet to be read; its message is for people. */
export class UnreadableSpreadsheet extends Error {}

const CENTRAL_HEADER = 0x02014b50;
const CENTRAL_HEADER_LENGTH = 46;

/**
 * How many bytes the parts of a packed file say they have, from its central directory (APPNOTE 6.3.10, section 4.3.12).
 */
function unpackedSize(bytes: Uint8Array): number {
	const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
	let total = 0;
	for (let at = 0; at + CENTRAL_HEADER_LENGTH <= bytes.length; at++) {
		if (view.getUint32(at, true) === CENTRAL_HEADER) total += view.getUint32(at + 24, true);
	}
	return total;
}

/** A cell as text: dates as days, formulas by their value, nothing as empty. */
function textOf(value: ExcelJS.CellValue): string {
	if (value === null || value === undefined) return '';
	if (value instanceof Date) return value.toISOString().slice(0, 10);
	if (typeof value === 'object') {
		if ('result' in value) return textOf(value.result as ExcelJS.CellValue);
		if ('richText' in value) return value.richText.map(({ text }) => text).join('');
		if ('text' in value) return String(value.text);
		return '';
	}
	return String(value);
}

/**
 * The first sheet of an XLSX file (ECMA-376) as rows of texts, blank rows kept, so that line numbers are those of the
 * sheet.
 *
 * @throws UnreadableSpreadsheet for files that are damaged, too large or have no sheet
 */
export async function rowsOfSpreadsheet(bytes: Uint8Array): Promise<string[][]> {
	if (unpackedSize(bytes) > MOST_UNPACKED)
		throw new UnreadableSpreadsheet('Unpacked, the file would be larger than 60 MB');
	const book = new ExcelJS.Workbook();
	try {
		await book.xlsx.load(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength) as ArrayBuffer);
	} catch {
		throw new UnreadableSpreadsheet(
			'The file is not a spreadsheet that can be read; save it as XLSX or CSV and try again'
		);
	}
	const sheet = book.worksheets[0];
	if (!sheet) throw new UnreadableSpreadsheet('The file has no sheet');
	if (sheet.rowCount > MOST_ROWS || sheet.columnCount > MOST_COLUMNS)
		throw new UnreadableSpreadsheet(
			`The sheet has ${sheet.rowCount} rows and ${sheet.columnCount} columns; at most ${MOST_ROWS} and ${MOST_COLUMNS} are read`
		);
	return Array.from({ length: sheet.rowCount }, (_, r) =>
		Array.from({ length: sheet.columnCount }, (_, c) => textOf(sheet.getRow(r + 1).getCell(c + 1).value))
	);
}

/** Tables by name as an XLSX file, a sheet each, its first row bold and kept in view. Numbers stay numbers. */
export async function spreadsheetOf(tables: Record<string, (string | number | null)[][]>): Promise<Uint8Array> {
	const book = new ExcelJS.Workbook();
	for (const [name, table] of Object.entries(tables)) {
		// Sheet names have at most 31 characters and none of these.
		const sheet = book.addWorksheet(name.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31), {
			views: [{ state: 'frozen', ySplit: 1 }]
		});
		sheet.addRows(table);
		sheet.getRow(1).font = { bold: true };
	}
	return new Uint8Array(await book.xlsx.writeBuffer());
}
