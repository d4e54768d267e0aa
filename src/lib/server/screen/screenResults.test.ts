import { describe, expect, it } from 'vitest';
import { resultsTable, summaryTable } from './screenResults';
import type { VisibleId } from '../request/viewer';

const score = (points: number) => ({ points, error: 8.04 });
const row = (id: number, overall: number | null) => ({
	id: id as VisibleId,
	number: `S${id}`,
	givenName: 'Ada',
	familyName: 'Marsh',
	classId: 1,
	className: 'Avocet',
	grade: 4,
	tier: 2 as const,
	attributes: {},
	takenOn: null,
	status: overall === null ? ('not started' as const) : ('finished' as const),
	answered: 0,
	cut: 483,
	given: null,
	scores: { 0: overall === null ? null : score(overall), 7: null },
	before: { 0: score(490), 7: null }
});
const domains = [{ id: 7, code: 'F', name: 'Fractions', subject: 'Mathematics' }];
const earlier = { name: 'Autumn' } as NonNullable<Parameters<typeof resultsTable>[0]['earlier']>;

describe('results as a table', () => {
	it('has a line for every student, blanks where there is no score', () => {
		const [header, first, second] = resultsTable({
			rows: [row(1, 501.26), row(2, null)],
			domains,
			earlier,
			unit: 'points'
		});
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
		const table = resultsTable({ rows: [row(1, 500)], domains, earlier: null, unit: 'points' });
		expect(table.map((cells) => cells.length)).toEqual([12, 12]);
	});

	it('of a measure that was given says what was counted, how accurately and on which sheet', () => {
		const given = { id: 'a', sheetGrade: 3, attempted: 84, accuracy: 0.976, by: 'Mx. Dune' };
		const rows = [{ ...row(1, 82), cut: null, given }, row(2, null)];
		const unit = 'correct words a minute';
		const [header, first, second] = resultsTable({ rows, domains: [], earlier: null, unit });
		expect(header.slice(8)).toEqual([
			'Correct words a minute',
			'Correct words a minute: standard error',
			'Attempted',
			'Accuracy, percent',
			'Sheet of grade'
		]);
		expect(first.slice(7)).toEqual([null, 82, 8, 84, 98, 3]);
		expect(second.slice(8)).toEqual([null, null, null, null, null]);
	});
});

describe('results summed up as a table', () => {
	it('has the whole scope, each grade and each class on each measure', () => {
		const rows = [row(1, 500), row(2, 470), row(3, null), { ...row(4, 510), className: 'Curlew', classId: 2 }];
		const [header, ...lines] = summaryTable({ rows, domains, earlier, unit: 'points' });
		expect(lines.map(([who, measure]) => `${who} ${measure}`)).toEqual([
			'All Overall',
			'All Fractions',
			'Grade 4 Overall',
			'Grade 4 Fractions',
			'Avocet Overall',
			'Avocet Fractions',
			'Curlew Overall',
			'Curlew Fractions'
		]);
		expect(lines.every((line) => line.length === header.length)).toBe(true);
		const of = (name: string) => lines[0][header.indexOf(name)];
		expect(of('Students')).toBe(4);
		expect(of('With score')).toBe(3);
		expect(of('Median')).toBe(500);
		expect([of('Below the line'), of('Near the line'), of('Above the line')]).toEqual([1, 0, 2]);
		expect(of('Mean change since Autumn')).toBe(3.3);
		expect(lines[1].slice(3, 5)).toEqual([0, null]);
	});
});
