import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { instantOf, momentOf } from './index';

/** Clocks in New York are put on at 2:00 on March 14, 2027, and back at 2:00 on November 7; in Lord Howe by half an hour. */
const ZONES = ['America/New_York', 'Europe/Madrid', 'Asia/Kathmandu', 'Australia/Lord_Howe', 'Pacific/Apia', 'UTC'];

describe('the clock on the wall of a school', () => {
	it.each([
		['2026-11-23T04:59:59.999Z', 'America/New_York', '2026-11-22', 23 * 60 + 59],
		['2026-11-23T05:00:00Z', 'America/New_York', '2026-11-23', 0],
		['2027-03-14T06:59:00Z', 'America/New_York', '2027-03-14', 119],
		['2027-03-14T07:00:00Z', 'America/New_York', '2027-03-14', 180],
		['2026-11-23T00:00:00Z', 'Asia/Kathmandu', '2026-11-23', 345]
	])('at %s in %s shows %s, minute %i', (instant, timeZone, day, minute) => {
		expect(momentOf(new Date(instant), timeZone)).toEqual({ day, minute });
	});

	it.each([
		['an ordinary day', '2026-11-23', 480, '2026-11-23T13:00:00.000Z'],
		['midnight', '2026-11-23', 0, '2026-11-23T05:00:00.000Z'],
		['before clocks are put on', '2027-03-14', 119, '2027-03-14T06:59:00.000Z'],
		['within the hour that is skipped', '2027-03-14', 150, '2027-03-14T07:00:00.000Z'],
		['after clocks were put on', '2027-03-14', 480, '2027-03-14T12:00:00.000Z'],
		['the first of two times', '2027-11-07', 90, '2027-11-07T05:30:00.000Z'],
		['after clocks were put back', '2027-11-07', 480, '2027-11-07T13:00:00.000Z']
	])('shows a minute first: %s', (_, day, minute, instant) => {
		expect(instantOf({ day, minute }, 'America/New_York').toISOString()).toBe(instant);
	});

	it('shows what was asked for, in any zone and on any day, but for minutes that are skipped', () => {
		fc.assert(
			fc.property(
				fc.constantFrom(...ZONES),
				fc.integer({ min: 0, max: 800 }),
				fc.integer({ min: 0, max: 1439 }),
				(timeZone, days, minute) => {
					const day = new Date(Date.UTC(2026, 0, 1 + days)).toISOString().slice(0, 10);
					const instant = instantOf({ day, minute }, timeZone);
					const shown = momentOf(instant, timeZone);
					expect(shown.day).toBe(day);
					expect(shown.minute).toBeGreaterThanOrEqual(minute);
					expect(shown.minute - minute).toBeLessThan(60);
					// Not a minute before.
					const before = momentOf(new Date(instant.getTime() - 60_000), timeZone);
					expect(before.day < day || before.minute < minute).toBe(true);
				}
			)
		);
	});
});
