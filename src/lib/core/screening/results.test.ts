import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	bandOf,
	changeOf,
	filterRows,
	OVERALL,
	pointsAxis,
	sayAccuracy,
	scoredStudent,
	sortRows,
	type ScreenRow
} from './results';

const row = (id: number, points: number | null, change: Partial<ScreenRow> = {}): ScreenRow => ({
	id,
	givenName: `Given ${id}`,
	familyName: 'Family',
	classId: 1,
	className: 'Avocet',
	grade: 4,
	tier: 1,
	status: points === null ? 'not started' : 'finished',
	answered: 0,
	cut: 490,
	given: null,
	scores: {
		[OVERALL]: points === null ? null : { points, error: 8 },
		1: points === null ? null : { points: 1000 - points, error: 10 },
		2: null
	},
	before: { [OVERALL]: { points: 490, error: 8 } },
	...change
});
const ids = (rows: ScreenRow[]) => rows.map(({ id }) => id);
const everything = { show: 'all', tier: 'all', moved: 'all' };

describe('rows of the results', () => {
	const rows = [
		row(1, 520, { tier: 2 }),
		row(2, null, { className: 'Curlew' }),
		row(3, 470),
		row(4, 495, { status: 'from a file', tier: 3 })
	];

	it('stand lowest first on any measure, and those without a score at the end', () => {
		expect(ids(sortRows(rows, '0', OVERALL))).toEqual([3, 4, 1, 2]);
		expect(ids(sortRows(rows, '1', OVERALL))).toEqual([1, 4, 3, 2]);
		expect(ids(sortRows(rows, '2', OVERALL))).toEqual([1, 2, 3, 4]);
		expect(ids(sortRows(rows, 'name', OVERALL))).toEqual([1, 2, 3, 4]);
	});

	it('can be sorted by class, tier, status and change', () => {
		expect(ids(sortRows(rows, 'class', OVERALL))).toEqual([1, 3, 4, 2]);
		expect(ids(sortRows(rows, 'tier', OVERALL))).toEqual([2, 3, 1, 4]);
		expect(ids(sortRows(rows, 'status', OVERALL))).toEqual([1, 3, 4, 2]);
		expect(ids(sortRows(rows, 'change', OVERALL))).toEqual([3, 4, 1, 2]);
	});

	it('can be narrowed to a status, a band, a tier and a movement', () => {
		const narrowed = (filter: Partial<typeof everything>) =>
			ids(filterRows(rows, { ...everything, ...filter }, OVERALL));
		expect(narrowed({ show: 'not started' })).toEqual([2]);
		expect(narrowed({ show: 'near' })).toEqual([4]);
		expect(narrowed({ show: 'to sit again' })).toEqual([]);
		expect(narrowed({ tier: '2' })).toEqual([1]);
		expect(narrowed({ moved: 'risen' })).toEqual([1]);
		expect(narrowed({ moved: 'fallen' })).toEqual([3]);
		expect(narrowed({ moved: 'within error' })).toEqual([4]);
		expect(narrowed({ moved: 'no earlier score' })).toEqual([2]);
		expect(narrowed({ tier: '1', moved: 'fallen' })).toEqual([3]);
	});

	it('are never lost or changed by sorting', () => {
		fc.assert(
			fc.property(fc.array(fc.option(fc.integer({ min: 200, max: 800 }))), (points) => {
				const some = points.map((one, i) => row(i, one));
				expect(ids(sortRows(some, '0', OVERALL)).sort((a, b) => a - b)).toEqual(ids(some));
			})
		);
	});

	it('say band and change on a measure, and nothing where a score is missing', () => {
		expect([520, 495, 470, null].map((points) => bandOf(row(1, points), OVERALL))).toEqual([
			'above',
			'near',
			'below',
			null
		]);
		expect(changeOf(row(1, 520), OVERALL)).toEqual({ points: 30, reliable: true });
		expect(changeOf(row(1, 495), OVERALL)).toEqual({ points: 5, reliable: false });
		expect(changeOf(row(1, 520), 1)).toBeNull();
		expect(scoredStudent(row(1, null), OVERALL)).toBeNull();
		expect(scoredStudent(row(1, 500), 1)).toEqual({ score: 500, standardError: 10, cut: 490 });
	});

	it('have an axis in tens that holds every band and line', () => {
		expect(pointsAxis([], OVERALL)).toEqual({ from: 480, to: 520 });
		expect(pointsAxis(rows, OVERALL)).toEqual({ from: 460, to: 530 });
	});
});

describe('a measure that was given', () => {
	it('has no band where it is held against no line, and says how accurate it was', () => {
		const given = { id: 'a', sheetGrade: 2, attempted: 90, accuracy: 0.978, by: 'Mx. Dune' };
		expect(bandOf(row(1, 88, { cut: null, given }), OVERALL)).toBeNull();
		expect(sayAccuracy(given)).toBe('98% of 90');
		expect(sayAccuracy({ ...given, attempted: 0, accuracy: null })).toBe('none attempted');
		expect(sayAccuracy(null)).toBe('');
	});
});
