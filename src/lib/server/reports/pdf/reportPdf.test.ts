import { describe, expect, it } from 'vitest';
import { reportText, type ReportFacts } from '../../../core/screening';
import { reportDocument } from './reportPdf';
import renderPdf from './renderPdf';

const facts = (givenName: string, points: number | null): ReportFacts => ({
	givenName,
	familyName: 'Nováčková',
	className: 'Avocet',
	grade: 4,
	status: 'not started',
	cut: 480,
	scores: { 0: points === null ? null : { points, error: 8 } },
	before: { 0: { points: 470, error: 9 } },
	percentile: { of: 'school', value: 41 },
	notYet: null,
	domains: Array.from({ length: 6 }, (_, i) => ({
		id: i + 1,
		name: `Domain ${i + 1}`,
		score: points === null ? null : { points: points + 3 * i, error: 11 },
		level: { grade: 4, term: 1 },
		secure: ['one', 'two', 'three', 'four'],
		ready: ['five'],
		gaps: []
	}))
});
const options = {
	window: { name: 'Winter screening', subject: 'Mathematics', term: 2 },
	earlier: null,
	audience: 'staff' as const,
	longer: false
};
const text = (name: string, points: number | null) => reportText(facts(name, points), options);

describe('student reports as a PDF', () => {
	it('say what the page says, one report a page', () => {
		const said = JSON.stringify(
			reportDocument([text('Ada', 502), text('Bo', null)], 'Saltmarsh Bridge School', 'today')
		);
		expect(said).toContain('Ada Nováčková');
		expect(said).toContain('502 points');
		expect(said).toContain('± 8 (one standard error); cut score 480');
		expect(said).toContain('one, two, three and 1 more');
		expect(said).toContain('There is no score in Winter screening yet: not started.');
		expect(said.match(/"pageBreak":"before"/g)).toHaveLength(1);
	});

	it('draw each score where it lies on the axis, inside it', () => {
		const { content } = reportDocument([text('Ada', 502)], 'School', 'today');
		const drawn: { type: string; x: number }[] = [];
		JSON.stringify(content, (key, value) => {
			if (key === 'canvas') drawn.push(...value);
			return value;
		});
		const points = drawn.filter(({ type }) => type === 'ellipse').map(({ x }) => x);
		expect(points).toHaveLength(6);
		expect(points).toEqual([...points].sort((a, b) => a - b));
		for (const x of points) expect(x > 0 && x < 120).toBe(true);
	});

	it('are bytes of a PDF with a page for each student', async () => {
		const reports = ['Ada', 'Bo', 'Cy'].map((name, i) => text(name, 480 + 10 * i));
		const bytes = await renderPdf({ reports, school: 'School', printed: 'today' });
		const file = Buffer.from(bytes).toString('latin1');
		expect(file.startsWith('%PDF-')).toBe(true);
		expect(file.match(/\/Type \/Page\n/g)).toHaveLength(3);
		// In our own type, and in no other.
		const fonts = new Set([...file.matchAll(/\/FontName \/[A-Z]+\+([\w-]+)/g)].map(([, name]) => name.split('-')[0]));
		expect([...fonts].sort()).toEqual(['AtkinsonHyperlegibleNext', 'Literata']);
	});
});
