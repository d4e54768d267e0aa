import { describe, expect, it } from 'vitest';
import { weekday } from '../calendar';
import { weeksLater } from './weekly';

const calendar = { schoolDays: [1, 2, 3, 4, 5], off: [{ fromOn: '2026-12-07', untilOn: '2026-12-08', name: 'Storm' }] };
/** Mondays and Wednesdays, but for the day off. */
const meetings = ['2026-11-23', '2026-11-25', '2026-11-30', '2026-12-02', '2026-12-09', '2026-12-14', '2026-12-16'];
const first = { opensOn: '2026-11-24', dueOn: '2026-11-27' };

describe('a set some weeks later', () => {
	it('opens on the first day on which the group meets in that week, and is due on the last', () => {
		expect(weeksLater(first, 1, { calendar, meetings })).toEqual({ opensOn: '2026-11-30', dueOn: '2026-12-02' });
		expect(weeksLater(first, 3, { calendar, meetings })).toEqual({ opensOn: '2026-12-14', dueOn: '2026-12-16' });
	});

	it('opens on the only meeting of its week, due when the first is', () => {
		expect(weeksLater(first, 2, { calendar, meetings })).toEqual({ opensOn: '2026-12-09', dueOn: '2026-12-11' });
	});

	it('keeps its weekdays where nobody meets, on days of school', () => {
		expect(weeksLater(first, 5, { calendar, meetings })).toEqual({ opensOn: '2026-12-29', dueOn: '2027-01-01' });
		const monday = { opensOn: '2026-11-23', dueOn: '2026-11-23' };
		expect(weeksLater(monday, 2, { calendar, meetings: [] })).toEqual({ opensOn: '2026-12-08', dueOn: '2026-12-08' });
	});

	it('is never due where the first is not', () => {
		expect(weeksLater({ ...first, dueOn: null }, 1, { calendar, meetings })).toEqual({
			opensOn: '2026-11-30',
			dueOn: null
		});
	});

	it('is on days of school, in order, and never due before it opens, whatever the first was', () => {
		const days = Array.from({ length: 14 }, (_, i) => `2026-11-${String(16 + i).padStart(2, '0')}`);
		for (const opensOn of days)
			for (const dueOn of days.filter((day) => day >= opensOn))
				for (const those of [meetings, []]) {
					let before = opensOn;
					for (const week of [1, 2, 3, 4]) {
						const later = weeksLater({ opensOn, dueOn }, week, { calendar, meetings: those });
						expect(later.opensOn > before, `${opensOn} ${week}`).toBe(true);
						expect(later.dueOn! >= later.opensOn).toBe(true);
						for (const day of [later.opensOn, later.dueOn!]) {
							expect(calendar.schoolDays).toContain(weekday(day));
							expect(day).not.toBe('2026-12-07');
						}
						before = later.opensOn;
					}
				}
	});
});
