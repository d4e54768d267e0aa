import { describe, expect, it } from 'vitest';
import { factSheet, FACTS_A_ROW, passageFor } from '../../core/fluency';
import { sheetToMark } from './sheetToMark';

const WINDOW = { windowId: 4 };

describe('the sheet that is marked', () => {
	it('is the passage of the grade, word by word, with how hard it reads', () => {
		const sheet = sheetToMark('reading aloud', 3, WINDOW);
		expect(sheet).toMatchObject({ grade: 3, title: passageFor(3, 0).title, aRow: null });
		expect(sheet.places.map(({ text }) => text).join(' ')).toBe(passageFor(3, 0).paragraphs.join(' '));
		expect(new Set(sheet.places.map(({ part }) => part)).size).toBe(passageFor(3, 0).paragraphs.length);
		expect(sheet.readingGrade).toBeGreaterThan(2);
		expect(sheet.places.every(({ key }) => key === null)).toBe(true);
	});

	it('is the last passage for grades above it, and says so', () => {
		expect(sheetToMark('reading aloud', 8, WINDOW).grade).toBe(6);
		expect(sheetToMark('number fluency', 8, WINDOW).grade).toBe(8);
	});

	it('holds the same facts for everybody of a grade in a window, with their answers in rows', () => {
		const sheet = sheetToMark('number fluency', 4, WINDOW);
		expect(sheet.readingGrade).toBeNull();
		expect(sheet.places.map(({ text, key }) => [text, key])).toEqual(
			factSheet(4, 4).map(({ text, answer }) => [text, String(answer)])
		);
		expect(sheet.places.map(({ part }) => part)).toEqual(sheet.places.map((_, i) => Math.floor(i / FACTS_A_ROW)));
		expect(sheetToMark('number fluency', 4, { windowId: 5 }).places).not.toEqual(sheet.places);
	});

	it('is another one week by week in a series, and none of a screening’s before all others were read', () => {
		const weeks = [1, 2, 3, 4, 5, 6].map((sheetNumber) => sheetToMark('reading aloud', 2, { sheetNumber }).title);
		expect(weeks.slice(0, 4)).not.toContain(passageFor(2, 0).title);
		expect(new Set(weeks.slice(0, 5)).size).toBe(5);
		expect(weeks[5]).toBe(weeks[0]);
		const facts = [1, 2, 3].map((sheetNumber) => sheetToMark('number fluency', 4, { sheetNumber }).places);
		expect(facts[0]).not.toEqual(facts[1]);
		expect(facts[1]).not.toEqual(sheetToMark('number fluency', 4, { windowId: 2 }).places);
	});
});
