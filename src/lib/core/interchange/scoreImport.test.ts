import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dateStyleOf, readDate } from './dates';
import {
	ASSUMED_ERROR,
	matchingOf,
	planScoreImport,
	proposeRoles,
	rolesByMatching,
	type ColumnRole
} from './scoreImport';

const domains = [
	{ id: 1, code: 'W', name: 'Whole numbers and operations' },
	{ id: 2, code: 'F', name: 'Fractions, decimals, and percent' }
];
const roles: ColumnRole[] = ['number', 'ignore', 'date', 'overall', 'domain:1'];
const known = {
	students: new Map([
		['S1', 1],
		['S2', 2]
	]),
	existing: new Map(),
	today: '2026-11-23'
};
const plan = (...records: string[][]) => planScoreImport(records, roles, known);

describe('proposing roles', () => {
	it('reads them from headings, each once', () => {
		expect(
			proposeRoles(
				['Student number', 'Name', 'Taken on', 'Total points', 'Whole numbers', 'fractions', 'Total'],
				domains
			)
		).toEqual(['number', 'ignore', 'date', 'overall', 'domain:1', 'domain:2', 'ignore']);
	});
});

describe('planning an import', () => {
	it('takes good rows and says what each would do', () => {
		const existing = new Map([
			['2 0', { points: 500, takenOn: '2026-11-05' }],
			['2 1', { points: 490, takenOn: '2026-11-05' }]
		]);
		const records = [
			['S1', 'x', '2026-11-05', '512', ''],
			['S2', 'y', '2026-11-05', '500', '490']
		];
		const rows = planScoreImport(records, roles, { ...known, existing });
		expect(rows[0]).toMatchObject({
			line: 2,
			effect: 'new',
			studentId: 1,
			takenOn: '2026-11-05',
			scores: [{ domainId: 0, points: 512 }]
		});
		expect(rows[1].effect).toBe('same');
		expect(planScoreImport([['S2', 'y', '2026-11-05', '501', '490']], roles, { ...known, existing })[0].effect).toBe(
			'changes'
		);
	});

	it.each([
		[['', 'x', '2026-11-05', '500', ''], 'No student number'],
		[['S9', 'x', '2026-11-05', '500', ''], 'No student has the number S9'],
		[['S1', 'x', '2026-13-05', '500', ''], 'is no date'],
		[['S1', 'x', '2026-12-05', '500', ''], 'in the future'],
		[['S1', 'x', '2020-12-05', '500', ''], 'two years back'],
		[['S1', 'x', '2026-11-05', 'five', ''], 'is no score'],
		[['S1', 'x', '2026-11-05', '95', ''], 'outside 200 to 800'],
		[['S1', 'x', '2026-11-05', '', ''], 'No score on this line'],
		[['S1', 'x'], 'has 2 cells'],
		[['', '', '', '', ''], 'empty']
	])('leaves out %j', (cells, reason) => {
		const [row] = plan(cells);
		expect(row.effect).toBe('bad');
		expect(row.reason).toContain(reason);
	});

	it('takes a student only once and names the first line', () => {
		const rows = plan(['S1', '', '2026-11-05', '500', ''], ['S1', '', '2026-11-05', '510', '']);
		expect(rows.map((row) => row.effect)).toEqual(['new', 'bad']);
		expect(rows[1]).toMatchObject({ line: 3, reason: 'Student S1 stands on line 2 already.' });
	});

	it('never throws and never lets an impossible score through', () => {
		fc.assert(
			fc.property(fc.array(fc.array(fc.string(), { maxLength: 7 }), { maxLength: 12 }), (records) => {
				for (const row of planScoreImport(records, roles, known)) {
					if (row.effect === 'bad') expect(row.reason).not.toBe('');
					for (const { points } of row.effect === 'bad' ? [] : row.scores)
						expect(points >= 200 && points <= 800).toBe(true);
				}
			})
		);
	});
});

describe('a standard error that comes with a score', () => {
	const withError: ColumnRole[] = ['number', 'overall', 'error'];
	const planned = (error: string) => planScoreImport([['S1', '500', error]], withError, known)[0];

	it('is taken; without one an error is assumed; an impossible one is told', () => {
		expect(planned('7.5')).toMatchObject({ effect: 'new', error: 7.5 });
		expect(planned('')).toMatchObject({ effect: 'new', error: ASSUMED_ERROR });
		expect(planned('0')).toMatchObject({ effect: 'bad', reason: '“0” is no standard error of 1 to 60 points.' });
		expect(planned('about 8').effect).toBe('bad');
	});
});

describe('a matching kept for a source', () => {
	const header = ['Student No.', 'Taken', 'Score', 'Fractions'];
	const chosen: ColumnRole[] = ['number', 'date', 'overall', 'domain:2'];
	const kept = matchingOf(header, chosen, domains);

	it('fits its next file, in any order of columns and whatever numbers the domains have', () => {
		expect(rolesByMatching(header, kept, domains)).toEqual(chosen);
		const renumbered = [{ id: 12, code: 'F' }];
		expect(rolesByMatching(['Fractions', 'score', 'STUDENT NO', 'taken'], kept, renumbered)).toEqual([
			'domain:12',
			'overall',
			'number',
			'date'
		]);
	});

	it('is not used when a heading is new or gone', () => {
		expect(rolesByMatching([...header, 'Percentile'], kept, domains)).toBeUndefined();
		expect(rolesByMatching(header.slice(1), kept, domains)).toBeUndefined();
		expect(rolesByMatching(header, kept, [domains[0]])).toBeUndefined();
	});
});

describe('dates', () => {
	it('are read in three styles; days that do not exist are refused', () => {
		expect(readDate(' 3/9/2026 ', 'month first')).toBe('2026-03-09');
		expect(readDate('3/9/2026', 'day first')).toBe('2026-09-03');
		expect(readDate('9.3.2026', 'day first')).toBe('2026-03-09');
		expect(readDate('2026-03-09', 'year first')).toBe('2026-03-09');
		expect(readDate('2026-03-09', 'month first')).toBeNull();
		expect(readDate('2/30/2026', 'month first')).toBeNull();
		expect(readDate('23/11/2026', 'month first')).toBeNull();
	});

	it('of a file are in the style most of them can be read in', () => {
		expect(dateStyleOf(['2026-11-05', '2026-11-06', '11/7/2026'])).toBe('year first');
		expect(dateStyleOf(['5/11/2026', '23/11/2026', '12/11/2026'])).toBe('day first');
		expect(dateStyleOf(['5/6/2026'])).toBe('month first');
		expect(dateStyleOf([])).toBe('year first');
	});

	it('in another style than the rest are told line by line', () => {
		const rows = plan(['S1', '', '2026-11-05', '500', ''], ['S2', '', '11/6/2026', '500', '']);
		expect(rows.map(({ effect }) => effect)).toEqual(['new', 'bad']);
		expect(rows[1].reason).toBe(
			'“11/6/2026” is written with the month first, most dates of the file with the year first: make them alike.'
		);
	});
});
