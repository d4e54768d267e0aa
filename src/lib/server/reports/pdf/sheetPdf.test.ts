import { extractText, getDocumentProxy } from 'unpdf';
import { describe, expect, it } from 'vitest';
import { readSeries } from '../../../core/growth';
import { familySheet, type Sheet } from '../../../core/sheets';
import renderPdf from './renderPdf';
import { drawSeries } from './sheetPdf';

const reading = readSeries(
	[3, 4, 6, 7].map((right, week) => ({
		week,
		answers: Array.from({ length: 16 }, (_, i) => ({
			item: { discrimination: 1, difficulty: 0 },
			correct: i < right
		}))
	})),
	{ week: 9, right: 14, of: 16 },
	0
);
/** What a PDF says, read by a library of its own, with how many pages it has. */
async function readBack(sheet: Sheet): Promise<{ text: string; pages: number }> {
	const pdf = await getDocumentProxy(new Uint8Array(await renderPdf({ sheet, school: 'Saltmarsh Bridge School' })));
	const { text, totalPages } = await extractText(pdf, { mergePages: true });
	return { text: text.replace(/\s+/g, ' '), pages: totalPages };
}

describe('a sheet as a PDF', () => {
	it('says every line of it, in Spanish letters too, on one page', async () => {
		const sheet = familySheet(
			{
				...{ givenName: 'Íñigo', fullName: 'Íñigo Nováček', className: 'Avocet', school: 'Saltmarsh Bridge School' },
				...{ on: '2026-11-23', well: [{ code: 'W41', name: 'Rounding' }], check: { first: 5, last: 13, of: 16 } },
				...{ lessons: { attended: 7, planned: 8 }, next: [{ code: 'F41', name: 'Equivalent fractions' }], said: '' }
			},
			'es'
		);
		const { text, pages } = await readBack(sheet);
		expect(pages).toBe(1);
		for (const said of [sheet.title, ...sheet.parts.flatMap(({ heading, lines }) => [heading, ...lines])])
			expect(text).toContain(said);
	});

	it('holds its tables cell by cell, a long one on several pages', async () => {
		const rows = Array.from({ length: 60 }, (_, i) => [`Student ${i}`, `${i} of 16`]);
		const { text, pages } = await readBack({
			...{ title: 'Review meeting', about: 'library', printed: 'A, B', language: 'en-US', foot: 'Bands.' },
			parts: [{ key: 'agenda', heading: 'Students', lines: [], table: { columns: ['Student', 'Level'], rows } }]
		});
		for (const [name, level] of rows) expect(text).toContain(`${name} ${level}`);
		expect(pages).toBeGreaterThan(1);
	});

	it('draws each probe where it lies, the goal above them, the level within its band', () => {
		const drawn = drawSeries({ reading, questions: 16, goal: 14, weeks: 9 });
		const dots = drawn.filter(({ type }) => type === 'ellipse') as { x: number; y: number }[];
		expect(dots).toHaveLength(4);
		// More right is higher: a smaller y.
		expect(dots.map(({ y }) => y)).toEqual(dots.map(({ y }) => y).sort((a, b) => b - a));
		const goal = drawn.find((one) => 'dash' in one) as unknown as { y1: number };
		for (const { y } of dots) expect(goal.y1).toBeLessThan(y);
		expect(drawn.filter(({ type }) => type === 'polyline')).toHaveLength(2);
	});
});
