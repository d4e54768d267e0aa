import { describe, expect, it } from 'vitest';
import { isWithin } from './hours';

const calendar = {
	schoolDays: [1, 2, 3, 4, 5],
	off: [{ fromOn: '2026-11-26', untilOn: '2026-11-28', name: 'Harvest' }]
};
const hours = { from: '08:00', until: '15:30' };
const at = (instant: string, timeZone = 'America/New_York') => isWithin(hours, new Date(instant), timeZone, calendar);

describe('hours of school', () => {
	it('begin and end by the school’s clock, summer and winter', () => {
		expect(at('2026-11-23T12:59:59Z')).toBe(false);
		expect(at('2026-11-23T13:00:00Z')).toBe(true);
		expect(at('2026-11-23T20:29:59Z')).toBe(true);
		expect(at('2026-11-23T20:30:00Z')).toBe(false);
		expect(at('2026-10-05T12:00:00Z')).toBe(true);
		expect(at('2026-11-23T23:00:00Z', 'Asia/Tokyo')).toBe(true);
	});

	it('are on days of school only', () => {
		expect(at('2026-11-22T15:00:00Z')).toBe(false);
		expect(at('2026-11-26T15:00:00Z')).toBe(false);
		expect(at('2026-11-25T15:00:00Z')).toBe(true);
		// Monday there, though Sunday in New York.
		expect(at('2026-11-22T23:30:00Z', 'Asia/Tokyo')).toBe(true);
	});
});
