import { oneSkillSet } from '../../../../../tests/oneSkillSet';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import {
	adopt as adoptFor,
	newGroup,
	NOW,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool,
	seen,
	seenOne
} from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { fill } from '../../database/seeding';
import { findScope } from '../../shell/store/scope';
import { adoptGroups, undoAdoption, type NewGroup } from './adoptions';
import { currentGroups, studentPairs } from './groups';
import { sessionCounts } from './sessionCounts';
import { assignSet } from '../../practice/store/assigning';
import { practiceSets, queuedSets, recentResults, restoreSets, withdrawSets } from '../../practice/store/practice';
import { beginPractice } from '../../sitting/store/practiceSittings';
import { sittingItems } from '../../sitting/store/sittings';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('small_groups');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
/** A day on which the school looks back. */
const at = (today: string) => ({ ...small.school, today });
const group = (change: Partial<NewGroup> = {}) => newGroup(small, change);
const adoptAs = (...groups: NewGroup[]) => adoptFor(small, ...groups);
const adopt = async (...groups: NewGroup[]) => (await adoptAs(...groups)).ids;
const membersOf = async (id: number, day = TODAY) =>
	(await currentGroups(small.database, staffAs('specialist'), day)).find((one) => one.id === id)?.studentIds;

describe('groups', () => {
	it('are adopted, and taken back as long as nothing was built on them', async () => {
		const {
			id: first,
			ids: [id]
		} = await adoptAs(group());
		expect(await membersOf(id)).toEqual([1, 2, 3]);
		expect(await undoAdoption(small.database, { ...specialist, schoolId: 2 }, first, NOW)).toBe(false);
		expect(await undoAdoption(small.database, specialist, first, addDaysTo(NOW, 2))).toBe(false);
		expect(await undoAdoption(small.database, specialist, first, NOW)).toBe(true);
		expect(await undoAdoption(small.database, specialist, first, NOW)).toBe(false);
		expect(await membersOf(id)).toBeUndefined();
		const left = await small.database.rows('SELECT id FROM review UNION SELECT id FROM group_membership');
		expect(left).toEqual([]);

		const {
			id: second,
			ids: [kept]
		} = await adoptAs(group());
		await assignSet(
			small.database,
			specialist,
			oneSkillSet({
				skillId: small.skills[0].id,
				groupId: kept,
				itemCount: 5,
				opensOn: TODAY,
				dueOn: TODAY,
				studentIds: [1, 2, 3]
			}),
			NOW
		);
		expect(await undoAdoption(small.database, specialist, second, NOW)).toBe(false);
		expect(await membersOf(kept)).toEqual([1, 2, 3]);
	});

	it('are all adopted or none', async () => {
		const before = (await currentGroups(small.database, staffAs('specialist'), TODAY)).length;
		await expect(adopt(group({ slotId: 2 }), group({ slotId: 999 }))).rejects.toThrow();
		expect((await currentGroups(small.database, staffAs('specialist'), TODAY)).length).toBe(before);
	});

	it('meet where no other group meets on the same days of the year, even when two are adopted at once', async () => {
		const inSlot2 = (change: Partial<NewGroup> = {}) =>
			adoptGroups(
				small.database,
				specialist,
				{ groups: [group({ slotId: 2, studentIds: [7], ...change })], ends: [], draftId: null, reason: '' },
				NOW
			);
		const together = await Promise.all([inSlot2(), inSlot2(), inSlot2()]);
		expect(together.filter((one) => 'ids' in one).length).toBe(1);
		expect(together.filter((one) => 'takenSlotId' in one && one.takenSlotId === 2).length).toBe(2);
		expect(await inSlot2({ startsOn: addDays(TODAY, 27), endsOn: addDays(TODAY, 40) })).toEqual({ takenSlotId: 2 });
		expect(await inSlot2({ startsOn: addDays(TODAY, 28), endsOn: addDays(TODAY, 40) })).toHaveProperty('ids');
		await small.database.run('DELETE FROM review WHERE student_id = 7');
		await small.database.run('DELETE FROM group_membership WHERE student_id = 7');
		await small.database.run('DELETE FROM small_group WHERE slot_id = 2');
	});

	it('show the members of their first day while they have not begun', async () => {
		const [id] = await adopt(group({ slotId: 2, startsOn: addDays(TODAY, 7), studentIds: [5, 6] }));
		expect(await membersOf(id)).toEqual([5, 6]);
		expect(await membersOf(id, addDays(TODAY, 30))).toBeUndefined();
	});

	it('know who must be apart and count attendance', async () => {
		await fill(small.database, 'student_pair', [{ student_id: 1, other_id: 2, kind: 'apart' }]);
		expect(await studentPairs(small.database, 1)).toEqual([{ studentId: 1, otherId: 2, kind: 'apart' }]);
		const [{ id }] = await currentGroups(small.database, staffAs('specialist'), TODAY);
		const on = ['2026-11-16', '2026-11-18', '2026-11-20'];
		await fill(
			small.database,
			'attendance',
			on.map((on_date, i) => ({ group_id: id, student_id: 1, on_date, present: i !== 1 }))
		);
		const counts = await sessionCounts(small.database, seen(1, 2), at(addDays(TODAY, 3)));
		// Three on record, and of Monday and Wednesday of this week, at whose times nothing took place.
		expect(counts.get(`1 ${id}`)).toEqual({ planned: 5, held: 3, attended: 2, emptyWeeks: [] });
		expect(counts.get(`2 ${id}`)).toEqual({ planned: 2, held: 0, attended: 0, emptyWeeks: [] });
		const week = (await sessionCounts(small.database, seen(2), at(addDays(TODAY, 7)))).get(`2 ${id}`);
		expect(week).toEqual({ planned: 3, held: 0, attended: 0, emptyWeeks: [TODAY] });
		const off = [{ fromOn: TODAY, untilOn: addDays(TODAY, 1), name: 'Harvest' }];
		const short = { ...at(addDays(TODAY, 7)), calendar: { ...small.school.calendar, off } };
		expect((await sessionCounts(small.database, seen(2), short)).get(`2 ${id}`)!.planned).toBe(2);
		expect(await sessionCounts(small.database, [], at(TODAY))).toEqual(new Map());
	});
});

describe('practice sets', () => {
	const set = (change: object = {}) => ({
		skillId: small.skills[4].id,
		groupId: null,
		itemCount: 5,
		opensOn: TODAY,
		dueOn: TODAY,
		studentIds: [5, 6],
		...change
	});

	it('can be withdrawn by who may, and vanish from the queue', async () => {
		const setId = await assignSet(small.database, specialist, oneSkillSet(set()), NOW);
		expect((await queuedSets(small.database, seen(5), TODAY)).map(({ id }) => id)).toContain(setId);
		expect(await withdrawSets(small.database, staffAs('teacher'), [setId], NOW)).toBeNull();
		expect(await withdrawSets(small.database, { ...specialist, schoolId: 2 }, [setId], NOW)).toBeNull();
		expect(await withdrawSets(small.database, specialist, [setId], NOW)).toBe(0);
		expect(await restoreSets(small.database, staffAs('teacher'), [setId], NOW)).toBeNull();
		expect(await restoreSets(small.database, specialist, [setId], NOW)).toBeGreaterThan(0);
		expect(await restoreSets(small.database, specialist, [setId], NOW)).toBeNull();
		expect(await withdrawSets(small.database, specialist, [setId], NOW)).toBe(0);
		expect(await withdrawSets(small.database, specialist, [setId], NOW)).toBeNull();
		expect((await queuedSets(small.database, seen(5), TODAY)).some(({ id }) => id === setId)).toBe(false);
	});

	it('of one skill share no item', async () => {
		const seeds = new Set<number>();
		for (let n = 0; n < 4; n++) {
			const setId = await assignSet(small.database, specialist, oneSkillSet(set({ itemCount: 10 })), NOW);
			const queued = (await queuedSets(small.database, seen(5), TODAY)).find(({ id }) => id === setId)!;
			const sitting = await beginPractice(small.database, seenOne(5), queued, small.skills, NOW);
			for (const { seed } of await sittingItems(small.database, sitting)) seeds.add(seed);
		}
		expect(seeds.size).toBe(40);
	});

	it('are in the queue from the day they open, and stay in it when they are late', async () => {
		const setId = await assignSet(
			small.database,
			specialist,
			oneSkillSet(set({ opensOn: addDays(TODAY, 2), dueOn: addDays(TODAY, 4) })),
			NOW
		);
		const queuedOn = async (day: string) =>
			(await queuedSets(small.database, seen(6), day)).some(({ id }) => id === setId);
		expect(await queuedOn(addDays(TODAY, 1))).toBe(false);
		expect(await queuedOn(addDays(TODAY, 2))).toBe(true);
		expect(await queuedOn(addDays(TODAY, 30))).toBe(true);
	});

	it('share no item with another set of the skill, even when both are assigned at the same moment', async () => {
		const ids = await Promise.all([1, 2, 3].map(() => assignSet(small.database, specialist, oneSkillSet(set()), NOW)));
		const rows = await small.database.rows<{ from: number; until: number }>(
			`SELECT first_seed AS \`from\`, first_seed + seeds AS until FROM practice_set_skill
			WHERE set_id IN (?) ORDER BY first_seed`,
			[ids]
		);
		for (let i = 1; i < rows.length; i++)
			expect(Number(rows[i].from)).toBeGreaterThanOrEqual(Number(rows[i - 1].until));
	});

	it('tell how far their students are, and results count first tries', async () => {
		const setId = await assignSet(small.database, specialist, oneSkillSet(set({ studentIds: [7, 8] })), NOW);
		const queued = (await queuedSets(small.database, seen(7), TODAY)).find(({ id }) => id === setId)!;
		const sittingId = await beginPractice(small.database, seenOne(7), queued, small.skills, NOW);
		await small.answerAll(7, sittingId, (position) => position !== 2);
		const setsOf = async (key: string) =>
			practiceSets(small.database, (await findScope(small.database, specialist, key, TODAY))!.roster, {
				from: 0,
				most: 40
			});
		expect((await setsOf('list:7,8')).sets[0]).toMatchObject({ id: setId, students: 2, started: 1, finished: 1 });
		expect((await setsOf('list:8')).sets[0]).toMatchObject({ id: setId, students: 1, started: 0, finished: 0 });
		expect((await recentResults(small.database, seenOne(7), 3))[0]).toMatchObject({
			setId,
			correct: 4,
			answered: 5,
			itemCount: 5
		});
		expect(await withdrawSets(small.database, specialist, [setId], NOW)).toBe(1);
		expect((await setsOf('list:7,8')).sets.map(({ id }) => id)).not.toContain(setId);
	});

	it('are listed part by part, the newest first, of one skill or group where that is asked for', async () => {
		const roster = { staff: specialist, today: TODAY };
		const { total } = await practiceSets(small.database, roster, { from: 0, most: 40 });
		const made: number[] = [];
		for (let i = 1; i <= 5; i++)
			made.unshift(
				await assignSet(
					small.database,
					specialist,
					oneSkillSet(set({ studentIds: [7, 8] })),
					new Date(NOW.getTime() + i * 60_000)
				)
			);
		const part = (from: number, more: { skillId?: number; groupId?: number } = {}) =>
			practiceSets(small.database, roster, { from, most: 2, ...more });
		const found = await part(0);
		expect(found.total).toBe(total + 5);
		expect(found.sets.map(({ id }) => id)).toEqual(made.slice(0, 2));
		expect((await part(2)).sets.map(({ id }) => id)).toEqual(made.slice(2, 4));
		expect(await part(total + 5)).toEqual({ sets: [], total: total + 5 });
		const [skillId] = found.sets[0].skillIds;
		expect((await part(0, { skillId })).sets.map(({ id }) => id)).toEqual(made.slice(0, 2));
		expect(await part(0, { skillId: 60_000 })).toEqual({ sets: [], total: 0 });
		expect(await part(0, { groupId: 60_000 })).toEqual({ sets: [], total: 0 });
		for (const id of made) await withdrawSets(small.database, specialist, [id], NOW);
	});
});

function addDaysTo(instant: Date, days: number): Date {
	return new Date(instant.getTime() + days * 86_400_000);
}
