import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { planScoreImport, proposeRoles, readDate, type ColumnRole } from './scoreImport';

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
			['S1', 'x', '11/5/2026', '512', ''],
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

describe('dates', () => {
	it('reads two ways of writing and refuses days that do not exist', () => {
		expect(readDate(' 3/9/2026 ')).toBe('2026-03-09');
		expect(readDate('2026-03-09')).toBe('2026-03-09');
		expect(readDate('2/30/2026')).toBeNull();
		expect(readDate('9.3.2026')).toBeNull();
	});
});
