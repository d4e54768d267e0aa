import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
	addDays,
	beginningOf,
	cycleWeek,
	dayBegins,
	daysBetween,
	isSchoolDate,
	mondayOf,
	schoolDateOf,
	weekday,
	dayOff,
	schoolDayBy,
	schoolDayFrom,
	weeksBetween
} from '.';

const anyDate = fc.integer({ min: 0, max: 20_000 }).map((day) => addDays('2000-01-01', day));

const WEEKDAYS = { schoolDays: [1, 2, 3, 4, 5], off: [] };

describe('school dates', () => {
	it('add and subtract as the calendar does', () => {
		expect(addDays('2026-02-27', 2)).toBe('2026-03-01');
		expect(addDays('2024-02-27', 2)).toBe('2024-02-29');
		expect(daysBetween('2026-10-26', '2026-11-23')).toBe(28);
		expect(weeksBetween('2026-11-23', '2026-11-16')).toBe(-1);
		fc.assert(
			fc.property(anyDate, fc.integer({ min: -900, max: 900 }), (date, days) => {
				expect(daysBetween(date, addDays(date, days))).toBe(days);
			})
		);
	});

	it('of school are found before and after breaks, and in weeks of four days', () => {
		const off = [{ fromOn: '2026-12-21', untilOn: '2027-01-04', name: 'Winter break' }];
		const calendar = { schoolDays: [1, 2, 3, 4], off };
		expect(schoolDayBy('2027-01-03', calendar)).toBe('2026-12-17');
		expect(schoolDayFrom('2026-12-18', calendar)).toBe('2027-01-04');
		expect(schoolDayFrom('2026-12-17', calendar)).toBe('2026-12-17');
		expect(dayOff('2027-01-03', calendar)?.name).toBe('Winter break');
		expect(dayOff('2027-01-04', calendar)).toBeNull();
		// Of a school that is never open again, the day is what was asked for.
		const closed = { ...calendar, off: [{ fromOn: '2026-01-01', untilOn: '2030-01-01', name: 'Closed' }] };
		expect(schoolDayFrom('2026-12-18', closed)).toBe('2026-12-18');
	});

	it('know their weekday and Monday', () => {
		expect(weekday('2026-11-23')).toBe(1);
		expect(weekday('2026-11-29')).toBe(7);
		expect(['2026-11-27', '2026-11-28', '2026-11-29', '2026-11-30'].map((day) => schoolDayFrom(day, WEEKDAYS))).toEqual(
			['2026-11-27', '2026-11-30', '2026-11-30', '2026-11-30']
		);
		expect(['2026-11-27', '2026-11-28', '2026-11-29', '2026-11-30'].map((day) => schoolDayBy(day, WEEKDAYS))).toEqual([
			'2026-11-27',
			'2026-11-27',
			'2026-11-27',
			'2026-11-30'
		]);
		fc.assert(
			fc.property(anyDate, (date) => {
				expect(weekday(mondayOf(date))).toBe(1);
				expect(weekday(date)).toBe(new Date(`${date}T12:00:00Z`).getUTCDay() || 7);
			})
		);
	});

	it('are told from texts that are none', () => {
		for (const text of ['2026-02-30', '2026-13-01', '11/23/2026', '2026-1-1', '', 'today'])
			expect(isSchoolDate(text)).toBe(false);
		expect(isSchoolDate('2026-11-23')).toBe(true);
	});

	it('are those of the school’s time zone, not of UTC', () => {
		const late = new Date('2026-11-24T03:30:00Z');
		expect(schoolDateOf(late, 'America/New_York')).toBe('2026-11-23');
		expect(schoolDateOf(late, 'UTC')).toBe('2026-11-24');
	});

	it('count the weeks of a cycle from 1', () => {
		expect(cycleWeek('2026-10-26', '2026-10-25')).toBe(0);
		expect(cycleWeek('2026-10-26', '2026-10-26')).toBe(1);
		expect(cycleWeek('2026-10-26', '2026-11-23')).toBe(5);
	});
});

describe('the beginning of a day', () => {
	it('is midnight where the school is', () => {
		expect(dayBegins(new Date('2026-11-23T15:00:00Z'), 'America/New_York').toISOString()).toBe(
			'2026-11-23T05:00:00.000Z'
		);
		expect(dayBegins(new Date('2026-11-24T03:00:00Z'), 'America/New_York').toISOString()).toBe(
			'2026-11-23T05:00:00.000Z'
		);
		expect(dayBegins(new Date('2026-11-23T15:00:00Z'), 'Asia/Kolkata').toISOString()).toBe('2026-11-22T18:30:00.000Z');
	});

	it('is found for a day, everywhere in the world', () => {
		fc.assert(
			fc.property(
				anyDate,
				fc.constantFrom(
					'UTC',
					'America/New_York',
					'Pacific/Kiritimati',
					'Etc/GMT+12',
					'Asia/Kolkata',
					'Pacific/Auckland'
				),
				(day, timeZone) => {
					const begins = beginningOf(day, timeZone);
					expect(schoolDateOf(begins, timeZone)).toBe(day);
					expect(schoolDateOf(new Date(begins.getTime() - 60_000), timeZone)).toBe(addDays(day, -1));
				}
			)
		);
	});

	it('is right on the days on which the clock is changed', () => {
		expect(dayBegins(new Date('2026-11-01T20:00:00Z'), 'America/New_York').toISOString()).toBe(
			'2026-11-01T04:00:00.000Z'
		);
		expect(dayBegins(new Date('2026-03-08T20:00:00Z'), 'America/New_York').toISOString()).toBe(
			'2026-03-08T05:00:00.000Z'
		);
	});
});
