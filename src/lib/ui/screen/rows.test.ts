import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { arrangeRows, pointsAxis, type ScreenRow } from './rows';

const row = (id: number, points: number | null, change: Partial<ScreenRow> = {}): ScreenRow => ({
	id,
	givenName: `Given ${id}`,
	familyName: 'Family',
	className: 'Avocet',
	tier: 1,
	status: points === null ? 'not started' : 'finished',
	answered: 0,
	overall: points === null ? null : { points, error: 8 },
	cut: 490,
	band: points === null ? null : 'above',
	domains: { 1: points === null ? null : { points: 1000 - points, error: 10 }, 2: null },
	...change
});
const ids = (rows: ScreenRow[]) => rows.map(({ id }) => id);

describe('rows of the results', () => {
	const rows = [row(1, 520), row(2, null), row(3, 470), row(4, 500, { status: 'from a file', band: 'near' })];

	it('stand lowest first, and those without a score at the end', () => {
		expect(ids(arrangeRows(rows, 'overall', 'all'))).toEqual([3, 4, 1, 2]);
		expect(ids(arrangeRows(rows, '1', 'all'))).toEqual([1, 4, 3, 2]);
		expect(ids(arrangeRows(rows, '2', 'all'))).toEqual([1, 2, 3, 4]);
		expect(ids(arrangeRows(rows, 'name', 'all'))).toEqual([1, 2, 3, 4]);
	});

	it('can be narrowed to a status or a band', () => {
		expect(ids(arrangeRows(rows, 'overall', 'not started'))).toEqual([2]);
		expect(ids(arrangeRows(rows, 'overall', 'near'))).toEqual([4]);
		expect(arrangeRows(rows, 'overall', 'to sit again')).toEqual([]);
	});

	it('are never lost or changed by sorting', () => {
		const points = fc.option(fc.integer({ min: 200, max: 800 }), { nil: null });
		fc.assert(
			fc.property(fc.array(points), (list) => {
				const given = list.map((value, i) => row(i, value));
				const before = ids(given);
				const arranged = arrangeRows(given, 'overall', 'all');
				expect(new Set(arranged)).toEqual(new Set(given));
				expect(ids(given)).toEqual(before);
				const shown = arranged.flatMap(({ overall }) => (overall ? [overall.points] : []));
				expect(shown).toEqual([...shown].sort((a, b) => a - b));
			})
		);
	});
});

describe('the axis', () => {
	it('holds every band and the line, in tens', () => {
		expect(pointsAxis([row(1, 463), row(2, 551)])).toEqual({ from: 450, to: 560 });
	});

	it('is 480 to 520 at the least, so that one score alone has a place', () => {
		expect(pointsAxis([])).toEqual({ from: 480, to: 520 });
		expect(pointsAxis([row(1, null)])).toEqual({ from: 480, to: 520 });
	});
});
