import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { spreadsheetOf } from '../../reports/spreadsheet';
import { MOST_COLUMNS, MOST_ROWS, UnreadableFile } from './limits';
import { isPacked } from './parts';
import { rowsOfSpreadsheet } from './spreadsheet';

const RELATION = 'http://schemas.openxmlformats.org/officeDocument/2006/relationships';

/** A packed spreadsheet whose first sheet holds these rows as XML, and what else is given. */
function sheet(rows: string, { shared = '', styles = '', after = '', workbook = '' } = {}): Uint8Array {
	const files: Record<string, string> = {
		'xl/workbook.xml': `<workbook xmlns:r="${RELATION}">${workbook}<sheets><sheet name="A" sheetId="1" r:id="rId7"/><sheet name="B" sheetId="2" r:id="rId8"/></sheets></workbook>`,
		'xl/_rels/workbook.xml.rels':
			'<Relationships><Relationship Id="rId8" Target="worksheets/other.xml"/><Relationship Id="rId7" Target="worksheets/sheet1.xml"/></Relationships>',
		'xl/worksheets/sheet1.xml': `<worksheet><sheetData>${rows}</sheetData>${after}</worksheet>`,
		'xl/worksheets/other.xml': '<worksheet><sheetData><row><c><v>0</v></c></row></sheetData></worksheet>'
	};
	if (shared) files['xl/sharedStrings.xml'] = `<sst>${shared}</sst>`;
	if (styles) files['xl/styles.xml'] = `<styleSheet>${styles}</styleSheet>`;
	return zipSync(Object.fromEntries(Object.entries(files).map(([name, text]) => [name, strToU8(text)])));
}
const rowsOf = (rows: string, more?: Parameters<typeof sheet>[1]) => rowsOfSpreadsheet(sheet(rows, more));

describe('spreadsheets', () => {
	it('are read back as they were written, numbers and blanks too', async () => {
		const bytes = await spreadsheetOf({
			'Scores: winter/spring': [
				['Student', 'Points'],
				['S10001', 512.5],
				['S10002', null]
			],
			Classes: [['Class']]
		});
		expect(isPacked(bytes)).toBe(true);
		expect(await rowsOfSpreadsheet(bytes)).toEqual([
			['Student', 'Points'],
			['S10001', '512.5'],
			['S10002', '']
		]);
	});

	it('keep their lines and columns, with texts of every kind', async () => {
		const rows = await rowsOf(
			`<row r="2"><c r="B2" t="s"><v>1</v></c><c r="D2" t="inlineStr"><is><t>Inés </t><r><t>Okafor</t></r></is></c></row>
			<row r="4"><c r="A4" t="str"><f>A1&amp;"x"</f><v>sum &lt; 3</v></c><c r="B4"><f>1+1</f><v>2</v></c><c r="C4" t="b"><v>1</v></c></row>`,
			{ shared: '<si><t>none</t></si><si><r><t>Ja</t></r><r><t>ne</t></r><rPh sb="0"><t>reading</t></rPh></si>' }
		);
		expect(rows).toEqual([
			['', '', '', ''],
			['', 'Jane', '', 'Inés Okafor'],
			['', '', '', ''],
			['sum < 3', '2', 'true', '']
		]);
	});

	it('give days as days, and other numbers as numbers', async () => {
		const styles = `<numFmts><numFmt numFmtId="170" formatCode="yyyy\\-mm\\-dd"/><numFmt numFmtId="171" formatCode="0.0 &quot;days&quot;"/></numFmts>
			<cellStyleXfs><xf numFmtId="14"/></cellStyleXfs>
			<cellXfs><xf numFmtId="0"/><xf numFmtId="14"/><xf numFmtId="170"/><xf numFmtId="171"/></cellXfs>`;
		const cells = '<c s="0"><v>46349</v></c><c s="1"><v>46349</v></c><c s="2"><v>46349.75</v></c><c s="3"><v>4</v></c>';
		expect(await rowsOf(`<row>${cells}</row>`, { styles })).toEqual([['46349', '2026-11-23', '2026-11-23', '4']]);
		const from1904 = await rowsOf('<row><c s="1"><v>44887</v></c></row>', {
			styles,
			workbook: '<workbookPr date1904="1"/>'
		});
		expect(from1904).toEqual([['2026-11-23']]);
	});

	it('that are damaged or something else are refused in words', async () => {
		const archive = zipSync({ 'notes.txt': strToU8('no sheet in here') });
		expect(isPacked(archive)).toBe(true);
		expect(isPacked(strToU8('a,b'))).toBe(false);
		for (const bytes of [strToU8('PK\u0003\u0004 and then nothing'), archive, sheet('<row><c>'), sheet('&bomb;')])
			await expect(rowsOfSpreadsheet(bytes)).rejects.toThrow(UnreadableFile);
	});

	it('with a merged range over the whole sheet are read by their cells', async () => {
		const after = '<mergeCells><mergeCell ref="A1:XFD1048576"/></mergeCells>';
		expect(await rowsOf('<row r="1"><c r="A1"><v>1</v></c></row>', { after })).toEqual([['1']]);
	});

	it('that hold too much are refused: unpacked, by rows, by columns, by one text in every cell', async () => {
		const bomb = zipSync(
			{ ...unpacked(), 'xl/worksheets/sheet1.xml': new Uint8Array(61_000_000).fill(32) },
			{ level: 9 }
		);
		expect(bomb.length).toBeLessThan(200_000);
		await expect(rowsOfSpreadsheet(bomb)).rejects.toThrow('larger than 60 MB');
		await expect(rowsOf(`<row r="${MOST_ROWS + 1}"/>`)).rejects.toThrow('more than 20000 rows');
		const wide = '<c/>'.repeat(MOST_COLUMNS);
		await expect(rowsOf(`<row>${wide}<c><v>1</v></c></row>`)).rejects.toThrow('more than 100 columns');
		expect(await rowsOf(`<row><c><v>1</v></c>${wide}${wide}</row>`)).toEqual([['1']]);
		const repeated = rowsOf(`<row>${'<c t="s"><v>0</v></c>'.repeat(50)}</row>`, {
			shared: `<si><t>${'x'.repeat(100_000)}</t></si>`
		});
		await expect(repeated).rejects.toThrow('more than 4000000 characters');
	});
});

/** The parts that say where the first sheet is. */
const unpacked = () => ({
	'xl/workbook.xml': strToU8(`<workbook xmlns:r="${RELATION}"><sheets><sheet r:id="a"/></sheets></workbook>`),
	'xl/_rels/workbook.xml.rels': strToU8('<R><Relationship Id="a" Target="worksheets/sheet1.xml"/></R>')
});
