import { describe, expect, it } from 'vitest';
import { resultsTable } from './screenResults';

const score = (points: number) => ({ points, error: 8.04 });
const row = (id: number, overall: number | null) => ({
	id,
	number: `S${id}`,
	givenName: 'Ada',
	familyName: 'Marsh',
	classId: 1,
	className: 'Avocet',
	grade: 4,
	tier: 2 as const,
	status: overall === null ? ('not started' as const) : ('finished' as const),
	answered: 0,
	cut: 483,
	scores: { 0: overall === null ? null : score(overall), 7: null },
	before: { 0: score(490), 7: null }
});
const domains = [{ id: 7, code: 'F', name: 'Fractions', subject: 'Mathematics' }];
const earlier = { name: 'Autumn' } as NonNullable<Parameters<typeof resultsTable>[0]['earlier']>;

describe('results as a table', () => {
	it('has a line for every student, blanks where there is no score', () => {
		const [header, first, second] = resultsTable({ rows: [row(1, 501.26), row(2, null)], domains, earlier });
		expect(header.slice(8)).toEqual([
			'Overall',
			'Overall: standard error',
			'Fractions',
			'Fractions: standard error',
			'Overall in Autumn'
		]);
		expect(first.slice(6)).toEqual(['finished', 483, 501.3, 8, null, null, 490]);
		expect(second.slice(6)).toEqual(['not started', 483, null, null, null, null, 490]);
	});

	it('leaves out the window before where there was none', () => {
		const table = resultsTable({ rows: [row(1, 500)], domains, earlier: null });
		expect(table.map((cells) => cells.length)).toEqual([12, 12]);
	});
});
