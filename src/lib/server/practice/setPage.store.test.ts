import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { post, undo } from '../../../../tests/formPost';
import { NOW, seen, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { USUAL_HOW } from '../../core/practice';
import { beginPractice } from '../sitting/store/practiceSittings';
import { sittingItems } from '../sitting/store/sittings';
import { storedStudents } from '../standing/store/studentSummaries';
import { setActions } from './setForm';
import { setPage } from './setPage';
import { assignSet, givenTo } from './store/assigning';
import { changeDates, changeForSome, changeNeed } from './store/changing';
import { practiceSets, queuedSets, withdrawSets } from './store/practice';
import { openTasks } from './store/setContent';

let small: SmallSchool;
let set: number;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const elsewhere = { ...specialist, id: 20, schoolId: 2 };
const DUE = addDays(TODAY, 4);
const STUDENTS = [1, 2, 5];

beforeAll(async () => {
	small = await smallSchool('one_set');
});
afterAll(() => small.database.close());
const theSet = () =>
	oneSkillSet({
		...{ skillId: small.skills[0].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: DUE },
		studentIds: STUDENTS
	});
beforeEach(async () => {
	set = await assignSet(small.database, specialist, theSet(), NOW);
});

const datesOf = (opensOn: string, dueOn: string | null) => ({
	opensOn,
	opensMinute: null,
	dueOn,
	dueMinute: null,
	closes: false
});
const at = () => ({ params: { set: String(set) } });
const act = (action: keyof typeof setActions, fields: Parameters<typeof post>[3], staff = specialist) =>
	post(small, staff, setActions[action], fields, at());
const back = (answer: Awaited<ReturnType<typeof act>>) => undo(small, specialist, setActions, answer, at());
const rows = async (staff = specialist, today = TODAY) =>
	(await setPage(small.database, staff, { ...small.school, today }, set, NOW))!.students;
const row = async (id: number, today = TODAY) => (await rows(specialist, today)).find((one) => one.id === id)!;
/** When the set is due on a student's own page; undefined where it is not there. */
const onOwnPage = async (id: number) =>
	(await queuedSets(small.database, seen(id), TODAY)).find((one) => one.id === set)?.dueOn;
const work = async (id: number, ofSet = set) => {
	const queued = (await queuedSets(small.database, seen(id), TODAY)).find((one) => one.id === ofSet)!;
	const sitting = await beginPractice(small.database, seenOne(id), queued, small.skills, NOW);
	await small.answerAll(id, sitting, (position) => position !== 1, 9_000, NOW);
	return sitting;
};

describe('the page of a set', () => {
	it('has every student to whom it was given, with how far they are, and for teachers their own', async () => {
		await work(1);
		expect(await rows()).toMatchObject([
			{ id: 2, state: 'not begun', answered: 0 },
			{ id: 5, state: 'not begun' },
			{ id: 1, state: 'finished', answered: 5, right: 4, isLate: false, dueOn: DUE, hasOwnDue: false }
		]);
		expect((await rows(teacher)).map(({ id }) => id)).toEqual([2, 1]);
		// A week more, on a school day.
		expect((await setPage(small.database, specialist, small.school, set, NOW))!.moreTime).toBe(addDays(DUE, 7));
		expect(await setPage(small.database, elsewhere, small.school, set, NOW)).toBeNull();
		expect((await row(2, addDays(DUE, 1))).isLate).toBe(true);
		expect((await row(2, DUE)).isLate).toBe(false);
	});

	it('says by the day at the school whether somebody was late, also at midnight and when clocks change', async () => {
		// Clocks there go back on November 1: midnight is at 04:00 before it and at 05:00 after.
		for (const [dueOn, inTime, late] of [
			['2026-10-31', '2026-11-01T03:59:00Z', '2026-11-01T04:00:00Z'],
			['2026-11-01', '2026-11-02T04:59:00Z', '2026-11-02T05:00:00Z']
		]) {
			await changeDates(small.database, specialist, set, datesOf('2026-10-26', dueOn), NOW);
			const finishedAt = (id: number, instant: string) =>
				small.database.run('UPDATE sitting SET finished_at = ? WHERE set_id = ? AND student_id = ?', [
					new Date(instant),
					set,
					id
				]);
			if ((await row(1)).state === 'not begun') for (const id of [1, 2]) await work(id);
			await finishedAt(1, inTime);
			await finishedAt(2, late);
			expect([(await row(1)).state, (await row(2)).state], dueOn).toEqual(['finished', 'finished late']);
		}
	});
});

describe('a set that is under way', () => {
	it('is moved for all but those with a day of their own, and back', async () => {
		await changeForSome(small.database, specialist, set, [{ student: 2, dueOn: addDays(DUE, 9) }], NOW);
		const later = addDays(DUE, 3);
		const moved = await act('dates', { opensOn: TODAY, dueOn: later });
		expect(moved.done).toContain('due Mon, Nov 30');
		expect([await onOwnPage(1), await onOwnPage(2)]).toEqual([later, addDays(DUE, 9)]);
		await back(moved);
		expect(await onOwnPage(1)).toBe(DUE);
		// What opens later is on nobody's page until then.
		await act('dates', { opensOn: addDays(TODAY, 1), dueOn: DUE });
		expect(await onOwnPage(1)).toBeUndefined();
		expect((await act('dates', { opensOn: DUE, dueOn: TODAY })).problem).toContain('due before it opens');
		expect((await act('dates', { opensOn: TODAY, dueOn: addDays(TODAY, 121) })).problem).toContain('four months');
	});

	it('is due at another day for some, and back; the day of the set is no day of their own', async () => {
		const given = await act('some', { students: '1,5', dueOn: addDays(DUE, 2) });
		expect(given.done).toBe('Due Sun, Nov 29 for 2 students.');
		expect([await onOwnPage(1), await onOwnPage(2), await onOwnPage(5)]).toEqual([
			addDays(DUE, 2),
			DUE,
			addDays(DUE, 2)
		]);
		expect(await row(1)).toMatchObject({ hasOwnDue: true, dueOn: addDays(DUE, 2) });
		expect((await act('some', { students: '1', dueOn: addDays(DUE, 2) })).problem).toContain('so for them already');
		await act('some', { students: '5', dueOn: DUE });
		expect(await row(5)).toMatchObject({ hasOwnDue: false, dueOn: DUE });
		await back(given);
		expect(await row(1)).toMatchObject({ hasOwnDue: false, dueOn: DUE });
	});

	it('is off the page of who is excused, counted as theirs no more, and on it again with what was answered', async () => {
		await small.database.run('UPDATE practice_set SET withdrawn_at = ? WHERE id <> ?', [NOW, set]);
		const waits = async (id: number) =>
			JSON.parse((await storedStudents(small.database, [id])).get(String(id))!).waitingFrom;
		const shown = async () =>
			(await practiceSets(small.database, { staff: specialist, today: TODAY }, { from: 0, most: 1 })).sets[0];
		const excused = await act('excuse', { students: '2,5' });
		expect(excused.done).toContain('2 students excused');
		expect([await onOwnPage(1), await onOwnPage(2)]).toEqual([DUE, undefined]);
		expect([await waits(1), await waits(2)]).toEqual([TODAY, null]);
		expect(await shown()).toMatchObject({ id: set, students: 1, finished: 0 });
		expect((await row(2)).state).toBe('excused');
		await back(excused);
		expect([await onOwnPage(2), await waits(2)]).toEqual([DUE, TODAY]);
		await work(1);
		await act('excuse', { students: '1' });
		// What is done is done.
		expect(await row(1)).toMatchObject({ state: 'finished', right: 4 });
		expect(await shown()).toMatchObject({ students: 3, finished: 1 });
	});

	it('counts as done for who it was marked done for, without an answer, and not any more once that is undone', async () => {
		const shown = async () =>
			(await practiceSets(small.database, { staff: specialist, today: TODAY }, { from: 0, most: 1 })).sets[0];
		const marked = await act('markDone', { students: '2,5' });
		expect(marked.done).toContain('done for 2 students');
		expect(await row(2)).toMatchObject({ state: 'marked done', answered: 0 });
		expect(await onOwnPage(2)).toBeUndefined();
		expect(await shown()).toMatchObject({ students: 3, finished: 2, started: 0 });
		await back(marked);
		expect(await shown()).toMatchObject({ students: 3, finished: 0 });
		expect(await onOwnPage(2)).toBe(DUE);
	});

	it('is given once more to who has finished, with other questions or the same; the run before is kept beside', async () => {
		const asked = async (sitting: number) =>
			(await sittingItems(small.database, sitting)).map(({ familyId, seed }) => `${familyId} ${seed}`);
		const first = await work(1);
		const again = await act('again', { students: '1,2' });
		expect(again.done).toBe('Given to 1 student again, with other questions; the answers of before stay.');
		expect(await row(1)).toMatchObject({ state: 'not begun', attempt: 2, before: { right: 4, answered: 5 } });
		expect(await onOwnPage(1)).toBe(DUE);
		await back(again);
		expect(await row(1)).toMatchObject({ state: 'finished', attempt: 1, right: 4, before: null });
		// With a day of its own, which goes with the run when that is taken back.
		const later = await act('again', { students: '1', dueOn: addDays(DUE, 8) });
		expect(await onOwnPage(1)).toBe(addDays(DUE, 8));
		await back(later);
		expect(await row(1)).toMatchObject({ hasOwnDue: false, state: 'finished' });
		await act('again', { students: '1', questions: 'same' });
		const second = await work(1);
		expect(second).not.toBe(first);
		expect(await asked(second)).toEqual(await asked(first));
		await act('again', { students: '1', questions: 'other' });
		const third = await work(1);
		const met = await asked(first);
		expect((await asked(third)).filter((question) => met.includes(question))).toEqual([]);
		// A later set of the skill does not ask them either.
		const next = await assignSet(small.database, specialist, { ...theSet(), students: givenTo([2]) }, NOW);
		const fourth = await work(2, next);
		expect((await asked(fourth)).filter((question) => met.includes(question))).toEqual([]);
		expect((await act('notAgain', { students: '1' })).problem).toContain('begun it again');
		expect((await act('again', { students: '5' })).problem).toContain('Nobody');
	});

	it('has a task that an adult leads, which is on the student’s page until it is done with them', async () => {
		const withTask = await assignSet(small.database, specialist, { ...theSet(), task: 'Fold thirds' }, NOW);
		const there = { params: { set: String(withTask) } };
		const tasks = async (id: number) =>
			(await openTasks(small.database, seenOne(id), { day: TODAY, minute: 600 })).map(({ task }) => task);
		const one = async (id: number) =>
			(await setPage(small.database, specialist, small.school, withTask, NOW))!.students.find((row) => row.id === id)!;
		expect(await tasks(1)).toEqual(['Fold thirds']);
		const done = await post(small, specialist, setActions.taskDone, { students: '1' }, there);
		expect(done.done).toBe('The task is done with 1 student.');
		expect([await tasks(1), await tasks(2)]).toEqual([[], ['Fold thirds']]);
		expect((await one(1)).isTaskDone).toBe(true);
		await undo(small, specialist, setActions, done, there);
		expect(await tasks(1)).toEqual(['Fold thirds']);
		expect((await act('taskDone', { students: '1' })).problem).toContain('no task');
		expect(await openTasks(small.database, seenOne(1), { day: addDays(TODAY, -1), minute: 600 })).toEqual([]);
		await withdrawSets(small.database, specialist, [withTask], NOW);
		expect(await tasks(1)).toEqual([]);
	});

	it('is called and helped otherwise by who gave it, says what was changed, and back', async () => {
		const rules = {
			feedback: 'at once',
			line: '70',
			above: 'nothing',
			below: 'half',
			secondTry: 'yes',
			solutions: 'yes',
			pausing: 'yes'
		};
		expect((await act('how', rules, teacher)).problem).toContain('not yours');
		const changed = await act('how', { ...rules, name: ' Thirds ', task: 'Fold' });
		expect(changed.done).toContain('Changed for all');
		const page = (await setPage(small.database, specialist, small.school, set, NOW))!;
		expect(page).toMatchObject({
			title: 'Thirds',
			set: { task: 'Fold', how: { hints: false, line: 70, below: 'half' } }
		});
		expect(page.usualName).toBe(small.skills[0].shortName);
		expect(page.history[0].says).toBe('Otherwise for all: its name, the task, hints, the line, what follows below it.');
		await back({ undo: page.history[0].undo! });
		expect((await setPage(small.database, specialist, small.school, set, NOW))!.set).toMatchObject({
			name: null,
			task: null,
			how: USUAL_HOW
		});
		await small.database.run('UPDATE practice_set SET until_right = 3 WHERE id = ?', [set]);
		expect((await act('how', { ...rules, feedback: 'none' })).problem).toContain('told at once');
	});

	it('says how many minutes somebody worked on it: no pause of over a minute counts', async () => {
		const sitting = await beginPractice(small.database, seenOne(1), { id: set }, small.skills, NOW);
		const later = (seconds: number) => new Date(NOW.getTime() + 1_000 * seconds);
		// 40 s; 50 s later; 130 s later, of which 40 s were spent on the question: 130 s in all.
		for (const seconds of [40, 90, 220]) await small.answerAll(1, sitting, () => true, 40_000, later(seconds), 1);
		expect(await row(1)).toMatchObject({ activeMinutes: 2 });
		expect(await row(2)).toMatchObject({ activeMinutes: 0 });
	});

	it('tells what was changed, by whom, and undoes it from there', async () => {
		const history = async () => (await setPage(small.database, specialist, small.school, set, NOW))!.history;
		expect(await history()).toEqual([]);
		await act('dates', { opensOn: TODAY, dueOn: addDays(DUE, 3) });
		await act('some', { students: '2', dueOn: addDays(DUE, 9) });
		await act('excuse', { students: '5' });
		await act('takeBack', {});
		const all = await history();
		expect(all.map(({ says }) => says)).toEqual([
			'Taken back from all.',
			expect.stringMatching(/ excused\.$/),
			expect.stringMatching(/^Otherwise for /),
			expect.stringContaining('due Mon, Nov 30. Before: opens')
		]);
		// What was taken back is given back first.
		expect(all.map(({ undo }) => undo?.action)).toEqual(['?/giveBack', undefined, undefined, undefined]);
		await back({ undo: all[0].undo! });
		for (const { undo } of (await history()).slice(2)) await back({ undo: undo! });
		expect(await row(2)).toMatchObject({ hasOwnDue: false, dueOn: DUE });
		expect((await row(5)).state).toBe('not begun');
		// An older move of the dates is not undone over a newer one.
		expect((await history()).filter(({ undo }) => undo?.action === '?/dates')).toHaveLength(1);
	});

	it('is changed by who may: for all by who gave it, for some by who sees them', async () => {
		const dates = datesOf(TODAY, addDays(DUE, 1));
		expect(await changeDates(small.database, teacher, set, dates, NOW)).toBeNull();
		expect(await changeDates(small.database, elsewhere, set, dates, NOW)).toBeNull();
		expect((await act('some', { students: '1,5', dueOn: addDays(DUE, 1) }, teacher)).problem).toContain('not yours');
		expect((await act('some', { students: '1', dueOn: addDays(DUE, 1) }, teacher)).done).toContain('1 student');
		expect((await act('excuse', { students: '5' }, teacher)).problem).toContain('not yours');
		expect(await changeNeed(small.database, specialist, set, [3], 'excused', NOW)).toEqual([]);
	});

	it('is left alone once it was taken back', async () => {
		await withdrawSets(small.database, specialist, [set], NOW);
		expect((await act('dates', { opensOn: TODAY, dueOn: addDays(DUE, 1) })).problem).toContain('taken back');
		expect((await act('some', { students: '1', dueOn: addDays(DUE, 1) })).problem).toContain('taken back');
		expect((await act('excuse', { students: '1' })).problem).toContain('taken back');
		expect((await setPage(small.database, specialist, small.school, set, NOW))!.set.isWithdrawn).toBe(true);
	});

	it('is given to another, and taken from them again while they have not begun', async () => {
		const added = await act('add', { students: '3' });
		expect(added.done).toBe('Given to 1 more student.');
		expect(await row(3)).toMatchObject({ state: 'not begun', dueOn: DUE });
		expect(await onOwnPage(3)).toBe(DUE);
		expect((await act('add', { students: '3' })).problem).toContain('have it already');
		await back(added);
		expect(await onOwnPage(3)).toBeUndefined();
		await work(1);
		expect((await act('take', { students: '1' })).problem).toContain('begun');
		expect((await act('add', { students: '5' }, teacher)).problem).toContain('not yours');
	});

	it('is turned in for who is under way, takes no answers then, and is opened again', async () => {
		const queued = (await queuedSets(small.database, seen(1), TODAY)).find((one) => one.id === set)!;
		const sitting = await beginPractice(small.database, seenOne(1), queued, small.skills, NOW);
		await small.answerAll(1, sitting, () => true, 9_000, NOW, 2);
		const turned = await act('turnIn', { students: '1,2' });
		expect(turned.done).toContain('Turned in for 1 student');
		expect(await row(1)).toMatchObject({ state: 'finished', isTurnedIn: true, answered: 2, itemCount: 5 });
		expect(await onOwnPage(1)).toBeUndefined();
		expect(await small.answer(1, sitting, { position: 2, response: '1' })).toBe('closed');
		await back(turned);
		expect(await row(1)).toMatchObject({ state: 'under way', isTurnedIn: false });
		await small.answerAll(1, sitting, () => true);
		expect((await row(1)).state).toBe('finished');
		expect((await act('turnIn', { students: '1' })).problem).toContain('so already');
	});
});
