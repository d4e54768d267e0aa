import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { addDays } from '../calendar';
import { comebacks, countTiers, type Tier, type TierSpan, tierMoves, tierStays, toldApart } from './tiers';

const TODAY = '2026-11-23';
const span = (studentId: number, tier: Tier, from: string, until: string | null): TierSpan => ({
	...{ studentId, tier, from, until }
});
const SPANS = [
	// In tier 2, then 3, then out for good.
	span(1, 2, '2026-08-31', '2026-09-28'),
	span(1, 3, '2026-09-28', '2026-10-26'),
	// Out for three weeks, then back.
	span(2, 2, '2026-08-03', '2026-08-31'),
	span(2, 1, '2026-08-31', '2026-09-21'),
	span(2, 2, '2026-09-21', null),
	// Begins only next week.
	span(3, 2, '2026-11-30', null)
];

describe('tiers through time', () => {
	it('are counted on each day, tier 1 where nothing is said', () => {
		const days = ['2026-08-01', '2026-08-31', '2026-10-01', TODAY, '2026-12-01'];
		expect(countTiers([1, 2, 3, 4], SPANS, days)).toEqual([
			{ 1: 4, 2: 0, 3: 0 },
			{ 1: 3, 2: 1, 3: 0 },
			{ 1: 2, 2: 1, 3: 1 },
			{ 1: 3, 2: 1, 3: 0 },
			{ 1: 2, 2: 2, 3: 0 }
		]);
	});

	it('agree with a count of each student and day by itself', () => {
		fc.assert(
			fc.property(
				fc.array(
					fc.record({
						start: fc.integer({ min: 0, max: 200 }),
						days: fc.integer({ min: 1, max: 60 }),
						tier: fc.constantFrom(2 as const, 3 as const)
					}),
					{ maxLength: 5 }
				),
				fc.integer({ min: 0, max: 300 }),
				(pieces, at) => {
					// One after the other, so that none overlap.
					let begins = 0;
					const own = pieces.map(({ start, days, tier }) => {
						const from = begins + start;
						begins = from + days;
						return { from, until: begins, tier };
					});
					const spans = own.map(({ from, until, tier }) =>
						span(7, tier, addDays('2026-01-05', from), addDays('2026-01-05', until))
					);
					const inside = own.find(({ from, until }) => from <= at && at < until)?.tier ?? 1;
					const [counts] = countTiers([7], spans, [addDays('2026-01-05', at)]);
					return counts[inside] === 1 && counts[1] + counts[2] + counts[3] === 1;
				}
			)
		);
	});

	it('are told as moves, as stays and as comebacks', () => {
		expect(tierMoves(SPANS, '2026-09-01', TODAY)).toEqual([
			{ studentId: 1, from: 3, to: 1, on: '2026-10-26' },
			{ studentId: 1, from: 2, to: 3, on: '2026-09-28' },
			{ studentId: 2, from: 1, to: 2, on: '2026-09-21' }
		]);
		expect(tierStays(SPANS, 2, TODAY)).toEqual({ ended: 2, medianWeeks: 4, running: 1 });
		expect(tierStays(SPANS, 3, '2026-10-01')).toEqual({ ended: 0, medianWeeks: null, running: 1 });
		// The first student left four weeks ago: too early to say.
		expect(comebacks(SPANS, TODAY)).toEqual({ left: 1, back: 1, tooEarly: 1 });
		expect(comebacks(SPANS, '2026-12-21')).toEqual({ left: 2, back: 1, tooEarly: 0 });
	});
});

describe('counts by what is said of students', () => {
	it('under five are hidden, and nothing hidden can be worked out from sums', () => {
		expect(toldApart([[20, 12, 8]])).toEqual([[20, 12, 8]]);
		expect(
			toldApart([
				[20, 3],
				[30, 9],
				[6, 14]
			])
		).toEqual([
			[null, null],
			[null, null],
			[6, 14]
		]);
		fc.assert(
			fc.property(
				fc.integer({ min: 1, max: 4 }).chain((columns) =>
					fc.array(fc.array(fc.integer({ min: 0, max: 30 }), { minLength: columns, maxLength: columns }), {
						minLength: 2,
						maxLength: 5
					})
				),
				(rows) => {
					const told = toldApart(rows);
					const isHidden = rows.every((row, i) =>
						row.every((count, j) => !(count > 0 && count < 5) || told[i][j] === null)
					);
					const same = told.every((row, i) => row.every((count, j) => count === null || count === rows[i][j]));
					const column = (j: number) => told.filter((row) => row[j] === null).length;
					return (
						isHidden &&
						same &&
						rows[0].every((_, j) => column(j) !== 1) &&
						told.every((row) => row.length < 2 || row.filter((c) => c === null).length !== 1)
					);
				}
			)
		);
	});
});
