import { describe, expect, it } from 'vitest';
import { factSheet, FACTS_A_ROW, passageFor, type FluencyMeasure } from '../../core/fluency';
import { sheetToMark } from './sheetToMark';
import type { ScreeningWindow } from './store/windows';

const window = (measure: FluencyMeasure, id = 4) => ({ id, measure }) as ScreeningWindow & { measure: FluencyMeasure };

describe('the sheet that is marked', () => {
	it('is the passage of the grade, word by word, with how hard it reads', () => {
		const sheet = sheetToMark(window('reading aloud'), 3);
		expect(sheet).toMatchObject({ grade: 3, title: passageFor(3).title, aRow: null });
		expect(sheet.places.map(({ text }) => text).join(' ')).toBe(passageFor(3).paragraphs.join(' '));
		expect(new Set(sheet.places.map(({ part }) => part)).size).toBe(passageFor(3).paragraphs.length);
		expect(sheet.readingGrade).toBeGreaterThan(2);
		expect(sheet.places.every(({ key }) => key === null)).toBe(true);
	});

	it('is the last passage for grades above it, and says so', () => {
		expect(sheetToMark(window('reading aloud'), 8).grade).toBe(6);
		expect(sheetToMark(window('number fluency'), 8).grade).toBe(8);
	});

	it('holds the same facts for everybody of a grade in a window, with their answers in rows', () => {
		const sheet = sheetToMark(window('number fluency'), 4);
		expect(sheet.readingGrade).toBeNull();
		expect(sheet.places.map(({ text, key }) => [text, key])).toEqual(
			factSheet(4, 4).map(({ text, answer }) => [text, String(answer)])
		);
		expect(sheet.places.map(({ part }) => part)).toEqual(sheet.places.map((_, i) => Math.floor(i / FACTS_A_ROW)));
		expect(sheetToMark(window('number fluency', 5), 4).places).not.toEqual(sheet.places);
	});
});
