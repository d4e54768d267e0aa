import { describe, expect, it } from 'vitest';
import { sayBy, sayDate, sayDay, sayDayAt, sayMeeting, sayMinute, sayWholeDate } from '.';

describe('dates in words', () => {
	it('are the school’s day whatever the reader’s time zone', () => {
		expect(sayDate('2026-11-23')).toBe('Mon, Nov 23');
		expect(sayDay('2026-01-01')).toBe('Jan 1');
		expect(sayDate('2028-02-29')).toBe('Tue, Feb 29');
		expect(sayWholeDate('2028-02-29')).toBe('Tue, Feb 29, 2028');
	});

	it('name the days and time of a meeting', () => {
		expect(sayMeeting({ days: [1, 3, 5], startsAt: '09:00' })).toBe('Mon Wed Fri 09:00');
		expect(sayMeeting({ days: [2], startsAt: '13:15' })).toBe('Tue 13:15');
	});
});

it.each([
	['2026-11-23', 'today'],
	['2026-11-24', 'by tomorrow'],
	['2026-11-27', 'by Friday'],
	['2026-11-29', 'by Sunday'],
	['2026-11-30', 'by Mon, Nov 30'],
	['2026-11-20', 'by Fri, Nov 20']
])('what is due on %s is due %s', (day, said) => {
	expect(sayBy(day, '2026-11-23')).toBe(said);
});

it('a minute of a day is said as a clock shows it', () => {
	expect([sayMinute(0), sayMinute(605), sayMinute(1439)]).toEqual(['00:00', '10:05', '23:59']);
	expect(sayDayAt('2026-12-04', 960)).toBe('Fri, Dec 4, 16:00');
	expect(sayDayAt('2026-12-04', null)).toBe('Fri, Dec 4');
});
