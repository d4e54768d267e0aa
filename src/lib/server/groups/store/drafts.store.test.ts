import { packField, unpackField } from '../../../core/mastery';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { adopt, newGroup, NOW, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { groupingFor } from '../grouping';
import { adoptGroups, undoAdoption } from './adoptions';
import { fill } from '../../database/seeding';
import { discardDraft, draftList, findDraft, saveDraft, type DraftChoices, type NewDraft } from './drafts';
import { currentGroups } from './groups';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('drafts');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const choices = (change: Partial<DraftChoices> = {}): DraftChoices => ({
	kind: 'same need',
	studentIds: [1, 2, 5],
	regroups: [],
	focusId: null,
	...change
});
const draft = (change: Partial<NewDraft> = {}): NewDraft => ({
	name: 'First',
	choices: choices(),
	problem: {
		students: [{ id: '1', tier: 2, needs: { '7': 0.5 }, available: ['1'] }],
		slots: [{ id: '1' }],
		sizes: { 2: { minimum: 1, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
		apart: [],
		together: []
	},
	groups: [{ slotId: '1', focusId: '7', tier: 2, studentIds: ['1'], helperIds: [] }],
	limits: {
		sizes: { 2: { minimum: 1, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
		slotIds: ['1'],
		mostGroups: 1,
		keepWorth: 0.1,
		excludedIds: [],
		apart: [],
		together: []
	},
	bound: 0.5,
	...change
});

describe('drafts', () => {
	it('come back as they were kept, newest first, and are put away and brought back', async () => {
		const first = await saveDraft(small.database, specialist, draft(), NOW);
		const second = await saveDraft(small.database, specialist, draft({ name: 'Second' }), new Date(NOW.getTime() + 1));
		expect((await draftList(small.database, 1)).map(({ name }) => name)).toEqual(['Second', 'First']);
		expect(await findDraft(small.database, 1, first)).toMatchObject({
			...draft(),
			savedBy: 'Staff 2',
			isAdopted: false
		});
		expect(await findDraft(small.database, 2, first)).toBeNull();
		expect(await discardDraft(small.database, { ...specialist, schoolId: 2 }, second, true, NOW)).toBe(false);
		expect(await discardDraft(small.database, specialist, second, true, NOW)).toBe(true);
		expect(await discardDraft(small.database, specialist, second, true, NOW)).toBe(false);
		expect((await draftList(small.database, 1)).map(({ id }) => id)).toEqual([first]);
		expect(await discardDraft(small.database, specialist, second, false, NOW)).toBe(true);
	});

	it('know whether they were adopted', async () => {
		const id = await saveDraft(small.database, specialist, draft({ name: 'Adopted' }), NOW);
		const adopted = await adoptGroups(
			small.database,
			specialist,
			{
				groups: [
					{
						name: 'x',
						kind: 'mixed',
						tier: 2,
						focusSkillId: small.skills[0].id,
						slotId: 1,
						startsOn: TODAY,
						endsOn: addDays(TODAY, 20),
						studentIds: [1, 2],
						helperIds: [2],
						reviewOn: addDays(TODAY, 18)
					}
				],
				ends: [],
				draftId: id,
				reason: ''
			},
			NOW
		);
		expect((await findDraft(small.database, 1, id))!.isAdopted).toBe(true);
		const [group] = await currentGroups(small.database, staffAs('specialist'), TODAY);
		expect(group).toMatchObject({ kind: 'mixed', studentIds: [1, 2], helperIds: [2] });
		// Who helps is not reviewed.
		const reviewed = await small.database.rows('SELECT student_id AS studentId FROM review');
		expect(reviewed).toEqual([{ studentId: 1 }]);
		if ('id' in adopted) await undoAdoption(small.database, specialist, adopted.id, NOW);
		expect((await findDraft(small.database, 1, id))!.isAdopted).toBe(false);
	});
});

describe('what groups are suggested from', () => {
	const setting = (change: Partial<DraftChoices> = {}, staff = specialist) =>
		groupingFor(small.database, staff, small.school, choices(change));

	it('are the students one may see, the free times at which their classes release them, and who must be apart', async () => {
		await fill(small.database, 'student_pair', [{ student_id: 1, other_id: 5, kind: 'apart' }]);
		const { problem, students, slots } = await setting({ studentIds: [1, 5, 9] });
		expect(students.map(({ id }) => id)).toEqual([1, 5]);
		expect(slots.map(({ id }) => id)).toEqual([1, 2]);
		expect(problem.students.map(({ available }) => available)).toEqual([['1', '2'], ['1']]);
		expect(problem.apart).toEqual([['1', '5']]);
		expect((await setting({}, staffAs('teacher'))).students.map(({ id }) => id)).toEqual([1, 2]);
	});

	it('leave out times at which a group stays, and its students then; a group that is formed anew gives both back', async () => {
		const {
			ids: [groupId]
		} = await adopt(small, newGroup(small, { name: 'Staying', focusSkillId: small.skills[3].id, studentIds: [1, 6] }));
		const staying = await setting();
		expect(staying.slots.map(({ id }) => id)).toEqual([2]);
		expect(staying.alsoIn[1]).toEqual(['Staying']);
		const anew = await setting({ regroups: [groupId] });
		expect(anew.slots.map(({ id }) => id)).toEqual([1, 2]);
		expect(anew.students.map(({ id }) => id)).toEqual([1, 2, 5, 6]);
		expect(anew.problem.students[0].currentGroup).toEqual({ slotId: '1', focusId: String(small.skills[3].id) });
		expect(anew.alsoIn[1]).toEqual([]);
	});

	it('of mixed groups are one focus, with who has it secure as those who can help', async () => {
		const focusId = small.skills[0].id;
		const [secure] = await small.database.rows<{ packed: Buffer }>(
			'SELECT packed FROM student_field WHERE student_id = 2'
		);
		const sure = unpackField(secure.packed).map((skill) =>
			skill.skillId === focusId
				? { ...skill, level: { mean: 4, standardError: 0.3 }, answers: 6, isEnough: true }
				: skill
		);
		await small.database.run('UPDATE student_field SET packed = ? WHERE student_id = 2', [
			Buffer.from(packField(sure))
		]);
		const { problem, helperIds } = await setting({ kind: 'mixed', focusId });
		expect(helperIds).toEqual(['2']);
		expect(problem.students.map(({ needs }) => Object.keys(needs))).toEqual([[String(focusId)], [], [String(focusId)]]);
	});
});
