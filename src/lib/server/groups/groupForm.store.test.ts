import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { post, undo, type Answer } from '../../../../tests/formPost';
import {
	adopt,
	clearGroups,
	newGroup,
	NOW,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool,
	seen,
	seenOne
} from '../../../../tests/smallSchool';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { addDays } from '../../core/calendar';
import { assignSet } from '../practice';
import { beginPractice } from '../sitting';
import { changeAction, undoChangeAction } from './groupForm';
import { groupPage } from './groupPage';
import { recordAction } from './meetingForm';
import { changeTierPlans } from '../school';
import { noteAction, removeNoteAction } from '../people/noteForm';
import { groupHistory } from './store/groupHistory';
import { findGroup } from './store/groups';
import { notesOn } from '../people/store/notes';

let small: SmallSchool;
let groupId: number;
beforeAll(async () => {
	small = await smallSchool('group_form');
});
afterAll(() => small.database.close());
beforeEach(async () => {
	await clearGroups(small);
	({
		ids: [groupId]
	} = await adopt(small, newGroup(small, { startsOn: addDays(TODAY, -7), endsOn: addDays(TODAY, 20) })));
});

const actions = {
	change: changeAction,
	undoChange: undoChangeAction,
	record: recordAction,
	note: noteAction,
	removeNote: removeNoteAction
};
const specialist = staffAs('specialist');
const change = (fields: Record<string, string | string[]>) =>
	post(small, specialist, changeAction, { on: TODAY, ...fields }, { params: { group: String(groupId) } });
const back = (answer: Answer, staff = specialist) => undo(small, staff, actions, answer);
const groupOn = (day = TODAY) => findGroup(small.database, staffAs('specialist'), groupId, day);

describe('the page of a group', () => {
	it('says the minutes of its meetings in a week beside those planned for its tier', async () => {
		const plan = (minutesAWeek: number) => ({ size: { minimum: 1, maximum: 6 }, minutesAWeek });
		await changeTierPlans(small.database, staffAs('coordinator'), { 2: plan(100), 3: plan(150) }, NOW);
		// Half an hour on Monday, Wednesday and Friday.
		expect((await groupPage(small.database, specialist, small.school, groupId))!.minutes).toEqual({
			aWeek: 90,
			planned: 100
		});
	});

	it('has the minutes that members practiced in the week before and in this one', async () => {
		const { database, skills } = small;
		const ids = (await groupPage(database, specialist, small.school, groupId))!.students.map(({ id }) => id as number);
		const set = await assignSet(
			database,
			specialist,
			oneSkillSet({
				...{ skillId: skills[0].id, groupId: null, itemCount: 5, opensOn: addDays(TODAY, -7), dueOn: TODAY },
				studentIds: [ids[0]]
			}),
			NOW
		);
		const sitting = await beginPractice(database, seenOne(ids[0]), { id: set }, skills, NOW);
		// Sunday, 60 s and 60 s a minute on; Monday, 50 s and 50 s after a pause of hours.
		const sunday = NOW.getTime() - 86_400_000;
		for (const at of [sunday, sunday + 60_000])
			await small.answerAll(ids[0], sitting, () => true, 60_000, new Date(at), 1);
		for (const hours of [-3, 0])
			await small.answerAll(ids[0], sitting, () => true, 50_000, new Date(NOW.getTime() + 3_600_000 * hours), 1);
		const { students } = (await groupPage(database, specialist, small.school, groupId))!;
		const practiced = new Map(students.map((student) => [student.id as number, student.practiced]));
		expect(practiced.get(ids[0])).toEqual({ before: 2, now: 2 });
		expect(practiced.get(ids[1])).toEqual({ before: 0, now: 0 });
	});
});

describe('changing a group', () => {
	it('does each thing that can be done, and each is undone to what was before', async () => {
		const before = await groupOn();
		const skill = small.skills[5];
		const deeds: [Record<string, string | string[]>, RegExp, object][] = [
			[{ kind: 'focus', skill: String(skill.id) }, /^Works on/, { focusSkillId: skill.id }],
			[{ kind: 'join', students: '4' }, /^1 student joins on/, { studentIds: [1, 2, 3, 4] }],
			[
				{ kind: 'leave', students: ['1', '2'] },
				/^Given1 Family1 and Given2 Family2 leave on .*reviews of this group are taken off/,
				{ studentIds: [3] }
			],
			[{ kind: 'pause', untilOn: addDays(TODAY, 7) }, /meets again on/, { pausedUntil: addDays(TODAY, 7) }],
			[{ kind: 'end', on: addDays(TODAY, 3) }, /^The last day is .*, for 3 students/, { endsOn: addDays(TODAY, 3) }],
			[{ kind: 'rename', name: ' Terns ' }, /^Now called “Terns”/, { name: 'Terns' }]
		];
		for (const [fields, says, is] of deeds) {
			const answer = await change(fields);
			expect(answer.done, String(fields.kind)).toMatch(says);
			expect(await groupOn()).toMatchObject(is);
			expect(
				(await groupHistory(small.database, staffAs('specialist'), groupId, TODAY)).map(({ kind }) => kind)
			).toEqual([fields.kind, 'start']);
			expect((await back(answer)).done).toBe('Taken back.');
			expect(await groupOn(), String(fields.kind)).toEqual(before);
			expect((await back(answer)).problem).toMatch(/rests on it/);
		}
	});

	it('moves students to another group, unless that breaks a limit without a reason', async () => {
		const {
			ids: [other]
		} = await adopt(
			small,
			newGroup(small, { slotId: 2, name: 'Other', studentIds: [7], focusSkillId: small.skills[1].id })
		);
		const move = (fields: Record<string, string>) => change({ kind: 'move', students: '1', ...fields });
		expect((await move({})).problem).toMatch(/^Choose the group to move to/);
		expect((await move({ to: String(groupId) })).problem).toMatch(/^Choose the group to move to/);
		expect((await move({ to: String(other), on: addDays(TODAY, -1) })).problem).toMatch(/^That group runs from/);
		// The class of the first student has its core lesson then.
		expect((await move({ to: String(other), students: '5' })).problem).toMatch(/say in a few words/);
		const moved = await move({ to: String(other) });
		expect(moved.done).toMatch(
			/^Given1 Family1 moves to “Other” on Mon, Nov 23; first review there .*1 review of this group is taken off/
		);
		expect((await groupOn())!.studentIds).toEqual([2, 3]);
		expect((await findGroup(small.database, staffAs('specialist'), other, TODAY))!.studentIds).toEqual([7, 1]);
		expect((await back(moved)).done).toBe('Taken back.');
		expect((await groupOn())!.studentIds).toEqual([1, 2, 3]);
	});

	it('resumes a pause, and says what is so already', async () => {
		expect((await change({ kind: 'resume' })).problem).toMatch(/^That is so already/);
		await change({ kind: 'pause' });
		expect((await change({ kind: 'pause' })).problem).toMatch(/^The group is paused already/);
		expect((await change({ kind: 'resume' })).done).toMatch(/^Meets again from/);
		expect((await groupOn())!.pausedUntil).toBeNull();
	});

	it('takes a reason where a limit breaks, and names the limit', async () => {
		const others = await change({ kind: 'join', students: ['4', '5', '6', '7'] });
		expect(others.problem).toMatch(/^This breaks a limit \(a tier 2 group takes 6, and there would be 7\)/);
		expect((await groupOn())!.studentIds).toHaveLength(3);
		const reasoned = await change({ kind: 'join', students: ['4', '5', '6', '7'], reason: 'for two weeks' });
		expect(reasoned.done).toMatch(/^4 students join/);
		const [newest] = await groupHistory(small.database, staffAs('specialist'), groupId, TODAY);
		expect(newest).toMatchObject({ kind: 'join', reason: 'for two weeks', studentIds: [4, 5, 6, 7] });
	});

	it('names a class that cannot release a student then, and another group that the student is in', async () => {
		const { ids } = await adopt(
			small,
			newGroup(small, { name: 'Later', slotId: 2, tier: 3, studentIds: [4], startsOn: addDays(TODAY, -7) })
		);
		const join = (students: string) =>
			post(
				small,
				specialist,
				changeAction,
				{ on: TODAY, kind: 'join', students },
				{ params: { group: String(ids[0]) } }
			);
		// The second class is at lunch when this group meets.
		expect((await join('5')).problem).toMatch(/Curlew cannot release Given5 Family5 then/);
		expect((await join('3')).done).toMatch(/^1 student joins/);
	});

	it('refuses what makes no sense, with nothing changed', async () => {
		const before = await groupOn();
		const refused: [Record<string, string | string[]>, RegExp][] = [
			[{ kind: 'focus', skill: '99999' }, /^There is no such skill/],
			[{ kind: 'focus', skill: String(small.skills[1].id), on: addDays(TODAY, 60) }, /choose a day within/],
			[{ kind: 'join' }, /^Choose who joins/],
			[{ kind: 'leave' }, /^Choose who leaves/],
			[{ kind: 'join', students: '9' }, /not yours to see/],
			[{ kind: 'pause', untilOn: TODAY }, /^The pause must end after it begins/],
			[{ kind: 'end', on: addDays(TODAY, -30) }, /^The last day lies between/],
			[{ kind: 'rename', name: '  ' }, /^Give the group a name/],
			[{ kind: 'dissolve' }, /Nothing was changed/]
		];
		for (const [fields, says] of refused) expect((await change(fields)).problem, String(fields.kind)).toMatch(says);
		expect(await groupOn()).toEqual(before);
		const elsewhere = await post(
			small,
			{ ...specialist, schoolId: 2 },
			changeAction,
			{ kind: 'rename', name: 'x', on: TODAY },
			{ params: { group: String(groupId) } }
		);
		expect(elsewhere.problem).toMatch(/^There is no such group/);
	});
});

describe('writing a meeting down', () => {
	const record = (more: object = {}) => ({
		record: JSON.stringify({
			groupId,
			on: TODAY,
			held: true,
			whyNot: null,
			makesUp: null,
			note: 'went well',
			students: [{ studentId: 1, present: true, whyAway: null, ticketRight: 2 }],
			...more
		})
	});
	const send = (more?: object) => post(small, staffAs('interventionist'), recordAction, record(more));
	const kept = () =>
		small.database.rows('SELECT student_id, present, ticket_right FROM attendance ORDER BY student_id');

	it('keeps who was there, and undo puts the record before it back', async () => {
		const first = await send();
		expect(await kept()).toEqual([expect.objectContaining({ student_id: 1, ticket_right: 2 })]);
		const second = await send({ students: [{ studentId: 1, present: false, whyAway: null, ticketRight: null }] });
		expect(await kept()).toEqual([expect.objectContaining({ student_id: 1, ticket_right: null })]);
		await back(second, staffAs('interventionist'));
		expect(await kept()).toEqual([expect.objectContaining({ student_id: 1, ticket_right: 2 })]);
		await back(first, staffAs('interventionist'));
		expect(await kept()).toEqual([]);
	});

	it('is refused for days and students that the group has not, and for what cannot be read', async () => {
		const refused: [object, RegExp][] = [
			[{ on: addDays(TODAY, 1) }, /^That day has not come yet/],
			[{ on: addDays(TODAY, -30) }, /There is no such group|did not meet/],
			[{ groupId: 9_999 }, /^There is no such group/],
			[{ students: [{ studentId: 7, present: true, whyAway: null, ticketRight: null }] }, /^Not all of them/],
			[
				{ students: [{ studentId: 1, present: true, whyAway: null, ticketRight: 99 }] },
				/^The attendance cannot be read/
			]
		];
		for (const [more, says] of refused) expect((await send(more)).problem).toMatch(says);
		expect((await post(small, staffAs('interventionist'), recordAction, { record: '{' })).status).toBe(400);
		expect(await kept()).toEqual([]);
	});
});

describe('a note of a student', () => {
	const send = (fields: Record<string, string>, staff = staffAs('teacher')) => post(small, staff, noteAction, fields);
	const texts = async () => (await notesOn(small.database, seen(1, 5))).map(({ text }) => text);

	it('is kept trimmed, with its group, and taken back by who wrote it only', async () => {
		const answer = await send({ student: '1', text: ' counts on fingers ', group: String(groupId) });
		expect(answer.done).toBe('Noted of Given1 Family1.');
		expect(await notesOn(small.database, seen(1))).toMatchObject([{ text: 'counts on fingers', groupId }]);
		expect((await back(answer)).problem).toMatch(/^Only your own notes/);
		expect((await back(answer, staffAs('teacher'))).done).toBe('The note is taken back.');
		expect(await texts()).toEqual([]);
	});

	it('is refused for students of others, without a text, and for a group that is not there', async () => {
		expect((await send({ student: '5', text: 'x' })).problem).toMatch(/^There is no such student for you/);
		expect((await send({ student: '1', text: '   ' })).problem).toMatch(/^Write something first/);
		expect((await send({ student: '1', text: 'x', group: '9999' })).problem).toMatch(/^There is no such group/);
		expect(await texts()).toEqual([]);
	});
});
