import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { readInterventions } from '../../core/interchange/interventionList';
import { bringSupport, openReviews, pastSupport, tierHistory } from '../decide';
import { currentGroups } from '../groups';
import { slotList } from '../groups/timetable';
import { rosterStudents } from '../people';
import { bringInterventions, interventionsPlan, takeBackInterventions } from './interventions';

let small: SmallSchool;
const coordinator = staffAs('coordinator');
beforeAll(async () => {
	small = await smallSchool('interventions');
});
afterAll(() => small.database.close());

const LIST = [
	['Number', 'Tier', 'From', 'Until', 'Group', 'Focus', 'Adult', 'Days', 'Time', 'Minutes', 'What was done', 'Outcome'],
	['S1', '2', '2026-09-14', '', 'Before', 'FOCUS', 'user2', 'Tue Thu', '14:00', '25', '', ''],
	['S5', '2', '2026-10-05', '', 'before', '', '', '', '', '', '', ''],
	['S6', '3', '2025-10-06', '2025-12-18', '', '', '', '', '', '', 'Number talks', 'Went on'],
	['S77', '2', '2026-10-05', '', '', '', '', '', '', '', '', '']
];
async function planOf() {
	const { code } = small.skills[0];
	const read = readInterventions(
		LIST.map((row) => row.map((cell) => (cell === 'FOCUS' ? code : cell))),
		TODAY
	);
	if ('problem' in read) throw new Error(read.problem);
	return interventionsPlan(small.database, coordinator, small.school, read.listed, NOW);
}
const state = async () => {
	const { database, school } = small;
	const students = await rosterStudents(database, { staff: coordinator, today: TODAY });
	return {
		tiers: students.map(({ id, tier }) => [id, tier]),
		history: await Promise.all([1, 5, 6].map((id) => tierHistory(database, seenOne(id)))),
		past: await Promise.all([1, 5, 6].map((id) => pastSupport(database, seenOne(id)))),
		groups: (await currentGroups(database, coordinator, TODAY)).map(({ id: _, slotId: __, ...group }) => group),
		slots: (await slotList(database, school.id, TODAY)).map(({ id }) => id),
		reviews: (await openReviews(database, [seenOne(1), seenOne(5)])).length
	};
};

describe('beginning in the middle of a year', () => {
	it('brings tiers, groups and what was before in, and takes all of it back', async () => {
		const { database, school } = small;
		const before = await state();
		const plan = await planOf();
		expect(plan.bad).toEqual([{ line: 5, says: 'No student in a class has the number S77' }]);
		const brought = (await bringInterventions(database, coordinator, school, plan, NOW))!;
		const after = await state();
		expect(after.tiers).toEqual(before.tiers.map(([id, tier]) => [id, id === 1 || id === 5 ? 2 : tier]));
		expect(after.history).toEqual([
			[{ tier: 2, fromOn: '2026-09-14', untilOn: null }],
			[{ tier: 2, fromOn: '2026-10-05', untilOn: null }],
			[{ tier: 3, fromOn: '2025-10-06', untilOn: '2025-12-19' }]
		]);
		expect(after.past[2]).toEqual([
			{ tier: 3, fromOn: '2025-10-06', untilOn: '2025-12-19', did: 'Number talks', came: 'Went on' }
		]);
		const group = after.groups.find(({ name }) => name === 'Before')!;
		expect(group).toMatchObject({ tier: 2, startsOn: TODAY, studentIds: [1, 5], focusSkillId: small.skills[0].id });
		expect(after.reviews).toBe(before.reviews + 2);
		expect(after.slots).toHaveLength(before.slots.length + 1);
		// The same list once more brings nothing: who is in the tier is there, and the group has its name.
		const again = await planOf();
		expect([again.tiers, again.groups, again.past]).toEqual([[], [], []]);
		expect(await takeBackInterventions(database, coordinator, brought, NOW)).toBe(true);
		expect(await state()).toEqual(before);
		expect(await takeBackInterventions(database, coordinator, brought, NOW)).toBe(false);
	});

	it('is not taken back once something was built on it', async () => {
		const { database, school } = small;
		const brought = (await bringInterventions(database, coordinator, school, await planOf(), NOW))!;
		const [{ id }] = (await currentGroups(database, coordinator, TODAY)).filter(({ name }) => name === 'Before');
		await database.run(
			'INSERT INTO student_note (student_id, group_id, on_date, text, written_by, written_at) VALUES (1, ?, ?, ?, 2, ?)',
			[id, TODAY, 'Works well.', NOW]
		);
		const before = await state();
		expect(await takeBackInterventions(database, coordinator, brought, NOW)).toBe(false);
		expect(await state()).toEqual(before);
	});

	it('is nobody’s of another school', async () => {
		const one = { studentId: 9, name: 'X', tier: 2 as const, from: TODAY };
		await expect(bringSupport(small.database, coordinator, { tiers: [one], past: [] }, NOW)).rejects.toThrow();
	});
});
