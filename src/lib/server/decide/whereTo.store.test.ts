import { afterAll, beforeAll, expect, it } from 'vitest';
import { adopt, newGroup, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { visibleAmong } from '../people';
import { whereTo } from './whereTo';

let small: SmallSchool;
/** On the first skill at the first time; on another at the second, when the second class has its lunch; on the first, later. */
let [own, atLunch, sameFocus]: number[] = [];
beforeAll(async () => {
	small = await smallSchool('where_to');
	await small.database.run(
		`INSERT INTO slot (id, staff_id, days, starts_at, minutes, room) VALUES (3, 2, 31, '13:00', 20, 'Gull')`
	);
	const begins = { startsOn: addDays(TODAY, -14), endsOn: addDays(TODAY, 20), reviewOn: addDays(TODAY, 18) };
	({
		ids: [own, atLunch, sameFocus]
	} = await adopt(
		small,
		newGroup(small, { ...begins, studentIds: [1, 5] }),
		newGroup(small, { ...begins, tier: 3, slotId: 2, focusSkillId: small.skills[1].id, studentIds: [3] }),
		newGroup(small, { ...begins, tier: 3, slotId: 3, studentIds: [4, 6] })
	));
});
afterAll(() => small.database.close());

async function offered(studentId: number, on = TODAY) {
	const { database, school } = small;
	const specialist = staffAs('specialist');
	const [student] = await visibleAmong(database, specialist, seen(studentId), TODAY);
	return whereTo(database, specialist, school, { groupId: own }, student, on);
}

it('groups are offered where the class can spare the student, those on the same focus first', async () => {
	const { own: from, fitting } = await offered(1);
	expect(from).toMatchObject({ tier: 2, endsOn: addDays(TODAY, 20) });
	expect(fitting.map(({ id }) => id)).toEqual([sameFocus, atLunch]);
	expect((await offered(5)).fitting.map(({ id }) => id)).toEqual([sameFocus]);
});

it('no group is offered that is full, has the student already, or does not meet on the day', async () => {
	expect((await offered(1, addDays(TODAY, 21))).fitting).toEqual([]);
	expect((await offered(4)).fitting.map(({ id }) => id)).toEqual([atLunch]);
	// A third of a group of tier 3 fills it.
	await small.database.run(
		'INSERT INTO group_membership (group_id, student_id, from_on, until_on, helps) VALUES (?, 7, ?, ?, FALSE)',
		[sameFocus, TODAY, addDays(TODAY, 21)]
	);
	expect((await offered(5)).fitting).toEqual([]);
});
