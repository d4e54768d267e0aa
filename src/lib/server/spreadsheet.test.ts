import { strToU8, zipSync } from 'fflate';
import { describe, expect, it } from 'vitest';
import { isPacked, rowsOfSpreadsheet, spreadsheetOf, UnreadableSpreadsheet } from './spreadsheet';

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

	it('that are damaged or something else are refused in words', async () => {
		await expect(rowsOfSpreadsheet(strToU8('PK\u0003\u0004 and then nothing'))).rejects.toThrow(UnreadableSpreadsheet);
		const archive = zipSync({ 'notes.txt': strToU8('no sheet in here') });
		expect(isPacked(archive)).toBe(true);
		await expect(rowsOfSpreadsheet(archive)).rejects.toThrow(UnreadableSpreadsheet);
		expect(isPacked(strToU8('a,b'))).toBe(false);
	});

	it('that would unpack to more than 60 MB are refused unopened', async () => {
		const bomb = zipSync({ 'xl/worksheets/sheet1.xml': new Uint8Array(61_000_000) }, { level: 9 });
		expect(bomb.length).toBeLessThan(200_000);
		await expect(rowsOfSpreadsheet(bomb)).rejects.toThrow('larger than 60 MB');
	});
});
