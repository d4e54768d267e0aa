import { describe, expect, it } from 'vitest';
import { changeDay, cycleDates, firstReview, nextReview } from './groupDates';

const TODAY = '2026-11-23';
const WEEKDAYS = { schoolDays: [1, 2, 3, 4, 5], off: [] };
const on = (today: string) => ({ today, calendar: WEEKDAYS });

describe('dates that groups begin with', () => {
	it('are the end of the cycle, or eight weeks on where none runs, and a review on a weekday', () => {
		expect(cycleDates({ endsOn: '2026-12-20' }, on(TODAY))).toEqual({ endsOn: '2026-12-18', reviewOn: '2026-12-15' });
		expect(cycleDates({ endsOn: '2026-12-22' }, on(TODAY)).reviewOn).toBe('2026-12-18');
		// Who joins late is looked at on the last weekday, or on the last day where none is left.
		const joining = ['2026-12-17', '2026-12-18', '2026-12-19'];
		expect(joining.map((day) => firstReview('2026-12-20', day, WEEKDAYS))).toEqual([
			'2026-12-17',
			'2026-12-18',
			'2026-12-20'
		]);
		expect(cycleDates({ endsOn: '2026-11-01' }, on(TODAY)).endsOn).toBe('2027-01-15');
		expect(cycleDates(null, on(TODAY)).endsOn).toBe('2027-01-15');
	});

	it('of a change: the next weekday, and never after the last day of the group', () => {
		expect(changeDay('2026-12-20', on('2026-11-23'))).toBe('2026-11-24');
		expect(changeDay('2026-12-20', on('2026-11-27'))).toBe('2026-11-30');
		expect(changeDay('2026-11-27', on('2026-11-27'))).toBe('2026-11-27');
	});

	it('of the next review: four weeks on, before the group ends', () => {
		expect(nextReview('2027-03-01', on('2026-11-23'))).toBe('2026-12-21');
		expect(nextReview('2026-12-20', on('2026-11-23'))).toBe('2026-12-17');
		// Of a group that ends by then, or is over, nothing is left to look at in it.
		expect(nextReview('2026-11-23', on('2026-11-23'))).toBe('2026-12-21');
		expect(nextReview(null, on('2026-11-27'))).toBe('2026-12-25');
	});

	it('never lie in a break', () => {
		const off = [{ fromOn: '2026-12-14', untilOn: '2027-01-04', name: 'Winter break' }];
		const school = (today: string) => ({ today, calendar: { ...WEEKDAYS, off } });
		expect(cycleDates({ endsOn: '2026-12-20' }, school(TODAY))).toEqual({
			endsOn: '2026-12-11',
			reviewOn: '2026-12-08'
		});
		expect(changeDay('2027-02-01', school('2026-12-11'))).toBe('2027-01-04');
		expect(nextReview(null, school(TODAY))).toBe('2026-12-11');
		expect(nextReview('2027-02-01', school('2026-12-11'))).toBe('2027-01-08');
	});
});
