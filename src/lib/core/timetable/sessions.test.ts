import { describe, expect, it } from 'vitest';
import type { DayRange, WeeklyTime } from '.';
import { countSessions, plannedDays, sessionDays } from './sessions';

type Records = Parameters<typeof sessionDays>[1];
const daysSoFar = (
	memberships: DayRange[],
	time: Pick<WeeklyTime, 'days'>,
	pauses: DayRange[],
	records: Records,
	today: string
) =>
	sessionDays(
		memberships.flatMap((one) => plannedDays(one, time, pauses, today)),
		records
	);
const sessionsSoFar = (...asked: Parameters<typeof daysSoFar>) => countSessions(daysSoFar(...asked), asked[4]);

/** Mondays and Wednesdays; 2026-11-02 is a Monday. */
const time = { days: [1, 3] };
const inIt = [{ fromOn: '2026-11-02', untilOn: null }];
const present = (...days: string[]) => days.map((on) => ({ on, present: true }));

describe('sessions so far', () => {
	it('are counted against what was planned, so that what did not take place is missed', () => {
		const records = [...present('2026-11-02'), { on: '2026-11-04', present: false }];
		expect(sessionsSoFar(inIt, time, [], records, '2026-11-20')).toEqual({
			planned: 6,
			held: 2,
			attended: 1,
			emptyWeeks: ['2026-11-09']
		});
	});

	it('count today once it is on record, and no week as empty before it is over', () => {
		expect(sessionsSoFar(inIt, time, [], [], '2026-11-02')).toMatchObject({ planned: 0, emptyWeeks: [] });
		expect(sessionsSoFar(inIt, time, [], present('2026-11-02'), '2026-11-02')).toMatchObject({ planned: 1, held: 1 });
		expect(sessionsSoFar(inIt, time, [], [], '2026-11-06')).toMatchObject({ planned: 2, emptyWeeks: [] });
	});

	it('leave out pauses and days before joining and after leaving', () => {
		const twice = [
			{ fromOn: '2026-11-04', untilOn: '2026-11-10' },
			{ fromOn: '2026-11-18', untilOn: null }
		];
		const pause = [{ fromOn: '2026-11-23', untilOn: '2026-11-25' }];
		// Wed 4, Mon 9, Wed 18, and of the week of the 23rd only Wed 25.
		expect(sessionsSoFar(twice, time, pause, [], '2026-11-27').planned).toBe(4);
	});

	it('take one that was held on another day as planned, too', () => {
		expect(sessionsSoFar(inIt, time, [], present('2026-11-05'), '2026-11-06')).toMatchObject({ planned: 3, held: 1 });
	});

	it('of somebody who was never in the group are none', () => {
		expect(sessionsSoFar([], time, [], [], '2026-11-20')).toEqual({ planned: 0, held: 0, attended: 0, emptyWeeks: [] });
	});

	it('are told day by day: attended, missed, or not held', () => {
		const records = [...present('2026-11-02', '2026-11-05'), { on: '2026-11-04', present: false }];
		expect(daysSoFar(inIt, time, [], records, '2026-11-10')).toEqual([
			{ on: '2026-11-02', is: 'attended' },
			{ on: '2026-11-04', is: 'missed' },
			{ on: '2026-11-05', is: 'attended' },
			{ on: '2026-11-09', is: 'not held' }
		]);
	});
});
