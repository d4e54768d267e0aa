import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post } from '../../../../tests/formPost';
import { adopt, newGroup, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays, weekday } from '../../core/calendar';
import { USUAL_HOW } from '../../core/practice';
import { currentGroups } from '../groups';
import { slotList } from '../groups/timetable';
import { assignAction, type AssignPlan } from './assignForm';
import { comingMeetings } from './comingMeetings';
import { givenTo } from './store/assigning';

let small: SmallSchool;
let groupId: number;
const specialist = staffAs('specialist');
const group = async () => (await currentGroups(small.database, specialist, TODAY)).find(({ id }) => id === groupId)!;

beforeAll(async () => {
	small = await smallSchool('coming_meetings');
	[groupId] = (await adopt(small, newGroup(small))).ids;
	// Mondays and Wednesdays.
	await small.database.run('UPDATE slot SET days = 5 WHERE id = ?', [(await group()).slotId]);
});
afterAll(() => small.database.close());

describe('days on which a group meets', () => {
	it('are those of its slot from today to its end, none on days off', async () => {
		const { endsOn, slotId } = await group();
		expect((await slotList(small.database, 1)).find(({ id }) => id === slotId)!.days).toEqual([1, 3]);
		const days = await comingMeetings(small.database, small.school, await group());
		expect(days[0]).toBe(TODAY);
		expect(new Set(days.map(weekday))).toEqual(new Set([1, 3]));
		expect(days.every((day) => day >= TODAY && day <= endsOn)).toBe(true);
		const off = [{ fromOn: addDays(TODAY, 7), untilOn: addDays(TODAY, 8), name: 'Storm' }];
		const without = { ...small.school, calendar: { ...small.school.calendar, off } };
		expect(await comingMeetings(small.database, without, await group())).toEqual(
			days.filter((day) => day !== addDays(TODAY, 7))
		);
	});

	it('are what the sets of a plan of weeks go by, unless their weekdays are to stay', async () => {
		const opensOn = addDays(TODAY, 1);
		const plan: AssignPlan = {
			...{ lessonId: null, task: '', name: '', groupId, isOwnStep: false, students: givenTo([1]) },
			skills: [{ skillId: small.skills[0].id, practice: 5, checks: 0, hasExample: false }],
			how: USUAL_HOW,
			dates: { opensOn, opensMinute: null, dueOn: addDays(opensOn, 3), dueMinute: null, closes: false },
			...{ weeks: 3, onMeetings: true }
		};
		const datesOf = async (change: Partial<AssignPlan>) => {
			const fields = { plan: JSON.stringify({ ...plan, ...change }) };
			const { location } = await post(small, specialist, assignAction as never, fields).catch((thrown) => thrown);
			const ids = /assigned=([\d,]+)/.exec(location)![1].split(',');
			const rows = await small.database.rows<{ opensOn: string; dueOn: string }>(
				'SELECT opens_on AS opensOn, due_on AS dueOn FROM practice_set WHERE id IN (?) ORDER BY id',
				[ids]
			);
			return rows.map(({ opensOn, dueOn }) => [opensOn, dueOn]);
		};
		const first = [opensOn, addDays(opensOn, 3)];
		expect(await datesOf({})).toEqual([
			first,
			...[7, 14].map((days) => [addDays(TODAY, days), addDays(TODAY, days + 2)])
		]);
		const weekdays = [7, 14].map((days) => first.map((day) => addDays(day, days)));
		expect(await datesOf({ onMeetings: false })).toEqual([first, ...weekdays]);
		expect(await datesOf({ groupId: null })).toEqual([first, ...weekdays]);
	});
});
