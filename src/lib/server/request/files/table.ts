import Papa from 'papaparse';
import { MOST_COLUMNS, MOST_ROWS, UnreadableFile } from './limits';
import { isPacked } from './parts';
import { rowsOfSpreadsheet } from './spreadsheet';

/** Bytes as UTF-8 text without a byte order mark. @throws UnreadableFile */
export function textOf(bytes: Uint8Array): string {
	const text = new TextDecoder().decode(bytes);
	if (text.includes('\0') || text.includes('\ufffd'))
		throw new UnreadableFile('The file is not text in UTF-8; save it as CSV (UTF-8) and try again');
	return text;
}

/**
 * A table from a file (XLSX, or CSV in UTF-8) or from pasted rows: rows of cells, blank rows kept, so that line numbers
 * are those of the file.
 *
 * @throws UnreadableFile
 */
export async function readTable(content: Uint8Array): Promise<string[][]> {
	if (isPacked(content)) return rowsOfSpreadsheet(content);
	const rows: string[][] = [];
	Papa.parse<string[]>(textOf(content).trimEnd(), {
		// Row by row, so that what is too much is not read to its end.
		step: ({ data }, parser) => {
			rows.push(data);
			if (rows.length <= MOST_ROWS && data.length <= MOST_COLUMNS) return;
			parser.abort();
			throw new UnreadableFile(
				data.length > MOST_COLUMNS
					? `Line ${rows.length} has more than ${MOST_COLUMNS} columns`
					: `The file has more than ${MOST_ROWS} rows`
			);
		}
	});
	return rows;
}
