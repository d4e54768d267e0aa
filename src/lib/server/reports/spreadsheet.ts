import writeSpreadsheet from 'write-excel-file/node';

/** Tables by name as an XLSX file, a sheet each, its first row bold and kept in view. Numbers stay numbers. */
export async function spreadsheetOf(tables: Record<string, (string | number | null)[][]>): Promise<Uint8Array> {
	const sheets = Object.entries(tables).map(([name, [head = [], ...rows]]) => ({
		// Sheet names have at most 31 characters and none of these.
		sheet: name.replace(/[\\/?*[\]:]/g, ' ').slice(0, 31),
		stickyRowsCount: 1,
		data: [head.map((title) => ({ value: String(title ?? ''), fontWeight: 'bold' as const })), ...rows]
	}));
	return writeSpreadsheet(sheets).toBuffer();
}
