import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	adopt,
	newGroup,
	NOW,
	seen,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { changeGroup } from '../groups/store/groupChanges';
import { groupHistory } from '../groups/store/groupHistory';
import { findGroup } from '../groups/store/groups';
import { setClassAdults } from '../people/store/classes';
import { responsibleFor, setResponsible } from '../people/store/responsibility';
import { clashWith, giveBack, handOver, heldBy, runsNothing, sayHeld } from './handOver';

const coordinator = staffAs('coordinator');
const when = { today: TODAY, at: NOW };
const [SPECIALIST, INTERVENTIONIST, TEACHER] = [2, 3, 10];
let small: SmallSchool;
let groupId: number;
beforeAll(async () => {
	small = await smallSchool('hand_over');
	groupId = (await adopt(small, newGroup(small))).ids[0];
	await setResponsible(small.database, coordinator, seen(1, 2), SPECIALIST, {
		from: addDays(TODAY, -20),
		at: NOW
	});
	await setClassAdults(small.database, coordinator, 1, [TEACHER, SPECIALIST], { from: addDays(TODAY, -20), at: NOW });
});
afterAll(() => small.database.close());

const held = (id: number) => heldBy(small.database, coordinator, id, TODAY);
const everything = { fromId: SPECIALIST, toId: INTERVENTIONIST, slotIds: [1], studentIds: [1, 2], classIds: [1] };
const hand = (change: Partial<typeof everything> = {}) =>
	handOver(small.database, coordinator, { ...everything, ...change }, when);
/** Rows that handing over writes, as they stand. */
const rows = async () => ({
	responsibility: await small.database.rows(
		'SELECT student_id, account_id, from_on, until_on FROM responsibility ORDER BY id'
	),
	adults: await small.database.rows(
		'SELECT class_id, account_id, until_on FROM class_adult ORDER BY class_id, account_id, from_on'
	),
	slots: await small.database.rows('SELECT id, staff_id, ended_on FROM slot ORDER BY id'),
	groups: await small.database.rows('SELECT id, slot_id FROM small_group ORDER BY id')
});

describe('what a colleague runs', () => {
	it('is meeting times with their groups, a caseload and classes', async () => {
		const own = await held(SPECIALIST);
		expect(own.times.map(({ id, groups }) => [id, groups])).toEqual([
			[1, [{ id: groupId, name: 'Rounding', students: 3 }]]
		]);
		expect([own.studentIds, own.classes]).toEqual([[1, 2], [{ id: 1, name: 'Avocet' }]]);
		expect(sayHeld(own)).toBe('1 meeting time, 2 students, and 1 class');
		expect(runsNothing(await held(11))).toBe(false);
		expect(runsNothing(await held(1))).toBe(true);
	});

	it('goes to another from today on; what was before stays', async () => {
		const before = await rows();
		const handing = await hand();
		expect(runsNothing(await held(SPECIALIST))).toBe(true);
		const now = await held(INTERVENTIONIST);
		expect(now.times.find(({ startsAt }) => startsAt === '09:00')!.groups).toEqual([
			{ id: groupId, name: 'Rounding', students: 3 }
		]);
		expect([now.studentIds, now.classes]).toEqual([[1, 2], [{ id: 1, name: 'Avocet' }]]);
		const yesterday = await responsibleFor(small.database, seen(1), addDays(TODAY, -1));
		expect(yesterday.get(1)?.id).toBe(SPECIALIST);
		const [line] = await groupHistory(small.database, coordinator, groupId, TODAY);
		expect(line).toMatchObject({ kind: 'hand over', name: 'Staff 2' });
		expect(await giveBack(small.database, coordinator, handing!, when)).toBe(true);
		// Nobody was responsible for a day of no length, and no meeting time is left over.
		const back = await rows();
		expect(back.slots).toEqual(before.slots);
		expect(back.groups).toEqual(before.groups);
		expect(await held(SPECIALIST)).toMatchObject({ studentIds: [1, 2], classes: [{ id: 1 }] });
		expect((await responsibleFor(small.database, seen(1, 2), TODAY)).get(2)?.id).toBe(SPECIALIST);
	});

	it('can be divided, and an adult who was there already stays when it is given back', async () => {
		await setClassAdults(small.database, coordinator, 1, [TEACHER, SPECIALIST, INTERVENTIONIST], {
			from: TODAY,
			at: NOW
		});
		const handing = await hand({ slotIds: [], studentIds: [2] });
		expect((await held(SPECIALIST)).studentIds).toEqual([1]);
		expect((await held(SPECIALIST)).times).toHaveLength(1);
		expect(await giveBack(small.database, coordinator, handing!, when)).toBe(true);
		expect((await held(INTERVENTIONIST)).classes).toEqual([{ id: 1, name: 'Avocet' }]);
		await setClassAdults(small.database, coordinator, 1, [TEACHER, SPECIALIST], { from: TODAY, at: NOW });
	});

	it('is nothing of another’s, and nothing is changed then', async () => {
		const before = await rows();
		expect(await hand({ slotIds: [1, 2] })).toBeNull();
		expect(await hand({ studentIds: [1, 5] })).toBeNull();
		expect(await hand({ classIds: [2] })).toBeNull();
		expect(await rows()).toEqual(before);
	});

	it('clashes where the other holds a group at that time already', async () => {
		const clash = (slotIds: number[], toId: number) => clashWith(small.database, coordinator, { slotIds, toId }, TODAY);
		expect(await clash([1], INTERVENTIONIST)).toBeNull();
		await small.database.run(
			`INSERT INTO slot (staff_id, days, starts_at, minutes, room) VALUES (?, 1, '09:15', 30, 'Gull')`,
			[INTERVENTIONIST]
		);
		expect(await clash([1], INTERVENTIONIST)).toMatchObject({ id: 1 });
		await small.database.run(`DELETE FROM slot WHERE starts_at = '09:15'`);
	});

	it('is not given back once a group was changed since', async () => {
		const handing = await hand();
		const deed = { kind: 'rename', name: 'Later', on: TODAY } as const;
		await changeGroup(small.database, coordinator, groupId, deed, '', NOW);
		const before = await rows();
		expect(await giveBack(small.database, coordinator, handing!, when)).toBe(false);
		expect(await rows()).toEqual(before);
		const group = await findGroup(small.database, coordinator, groupId, TODAY);
		expect(group!.slotId).toBe(handing!.times.slots[0].begun);
	});
});
