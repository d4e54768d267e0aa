import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, weekday } from '.';
import { calendarDays, linesOf, shownSpan } from './monthView';

describe('the days of a view', () => {
	it('are a week from Monday to Sunday, with the weeks beside it', () => {
		const { days, before, after } = calendarDays('2026-11-29', 'week');
		expect([days[0], days[6], days.length]).toEqual(['2026-11-23', '2026-11-29', 7]);
		expect([before, after]).toEqual(['2026-11-22', '2026-11-30']);
	});

	it('are all weeks that a month touches: five, six, and four where February begins on a Monday', () => {
		expect(calendarDays('2026-12-15', 'month').days).toHaveLength(35);
		expect(calendarDays('2026-08-15', 'month').days).toHaveLength(42);
		expect(calendarDays('2027-02-28', 'month').days).toHaveLength(28);
		expect(calendarDays('2027-01-31', 'month')).toMatchObject({ before: '2026-12-31', after: '2027-02-01' });
	});

	it('always begin on a Monday, are in a row, and hold the day', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 0, max: 20_000 }),
				fc.constantFrom('week' as const, 'month' as const),
				(n, view) => {
					const day = addDays('2000-01-01', n);
					const { days, before, after } = calendarDays(day, view);
					expect(weekday(days[0])).toBe(1);
					expect(days.length % 7).toBe(0);
					expect(days.every((one, i) => one === addDays(days[0], i))).toBe(true);
					expect(days).toContain(day);
					expect(calendarDays(before, view).after <= day && day < after).toBe(true);
				}
			)
		);
	});
});

describe('a span among the days', () => {
	const { days } = calendarDays('2026-11-25', 'week');
	it('covers its days, and says where it goes on', () => {
		expect(shownSpan({ from: '2026-11-24', until: '2026-11-26' }, days)).toEqual({
			first: 1,
			last: 3,
			beginsBefore: false,
			endsAfter: false
		});
		expect(shownSpan({ from: '2026-11-01', until: null }, days)).toEqual({
			first: 0,
			last: 6,
			beginsBefore: true,
			endsAfter: true
		});
		expect(shownSpan({ from: '2026-11-30', until: null }, days)).toBeNull();
		expect(shownSpan({ from: '2026-11-20', until: '2026-11-22' }, days)).toBeNull();
	});
});

describe('lines of spans', () => {
	it('never hold two on one day, and are as many as the busiest day has spans', () => {
		const span = fc.tuple(fc.nat(30), fc.nat(8)).map(([first, length]) => ({ first, last: first + length }));
		fc.assert(
			fc.property(fc.array(span, { maxLength: 25 }), (spans) => {
				const lines = linesOf(spans);
				const days = Array.from({ length: 40 }, (_, day) =>
					lines.filter((_, i) => spans[i].first <= day && day <= spans[i].last)
				);
				expect(days.every((on) => new Set(on).size === on.length)).toBe(true);
				expect(new Set(lines).size).toBe(Math.max(0, ...days.map(({ length }) => length)));
			})
		);
	});
});
