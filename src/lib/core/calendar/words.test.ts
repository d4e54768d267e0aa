import { describe, expect, it } from 'vitest';
import { sayDate, sayDay, sayMeeting, sayWholeDate } from '.';

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
