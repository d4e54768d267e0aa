import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { post, undo } from '../../../../tests/formPost';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { findScope } from '../shell/store/scope';
import { beginPractice } from '../sitting/store/practiceSittings';
import { calendarPage } from './calendarPage';
import { logPage } from './logPage';
import { moveAction } from './moveForm';
import { practicePage } from './practicePage';
import { assignSet } from './store/assigning';
import { changeForSome, changeNeed } from './store/changing';
import { withdrawSets } from './store/practice';

let small: SmallSchool;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const sets: Record<'now' | 'over' | 'coming' | 'never' | 'gone', number> = {} as never;
const DUE = addDays(TODAY, 4);

beforeAll(async () => {
	small = await smallSchool('calendar_page');
	const [first, second] = small.skills.map(({ id }) => id);
	const assign = (skillId: number, opensOn: string, dueOn: string | null, studentIds: number[]) =>
		assignSet(
			small.database,
			specialist,
			oneSkillSet(
				{ skillId, groupId: null, itemCount: 5, opensOn, dueOn: dueOn ?? opensOn, studentIds },
				dueOn === null ? { dates: { opensOn, opensMinute: null, dueOn, dueMinute: null, closes: false } } : {}
			),
			NOW
		);
	sets.now = await assign(first, TODAY, DUE, [1, 2, 5]);
	sets.over = await assign(second, addDays(TODAY, -10), addDays(TODAY, -6), [1, 2]);
	sets.coming = await assign(first, addDays(TODAY, 7), addDays(TODAY, 11), [1]);
	sets.never = await assign(second, addDays(TODAY, -3), null, [2]);
	sets.gone = await assign(first, TODAY, DUE, [1]);
	await withdrawSets(small.database, specialist, [sets.gone], NOW);
	const begun = await beginPractice(small.database, seenOne(1), { id: sets.now }, small.skills, NOW);
	await small.answerAll(1, begun, (position) => position < 4);
	await changeNeed(small.database, specialist, sets.now, [5], 'excused', NOW);
});
afterAll(() => small.database.close());

const at = (query: string) => new URL(`http://school.test/page?${query}`);
const scopeOf = async (staff = specialist, key = 'school') => (await findScope(small.database, staff, key, TODAY))!;
const calendar = async (query: string, staff = specialist) =>
	calendarPage(small.database, staff, small.school, await scopeOf(staff), at(query));
const barsOf = (page: Awaited<ReturnType<typeof calendar>>) =>
	page.lanes.flatMap(({ key, bars }) => bars.map((bar) => ({ lane: key, ...bar })));

describe('the calendar of sets', () => {
	it('shows what is open on some day of the week, with who need do it and who has, and nothing that was taken back', async () => {
		const bars = barsOf(await calendar('view=week&by=group'));
		expect(bars.map(({ setId }) => setId)).toEqual([sets.never, sets.now]);
		// One of three is excused, one of the others has finished.
		expect(bars[1]).toMatchObject({ lane: 'none', students: 2, finished: 1, opensOn: TODAY, dueOn: DUE });
		const before = barsOf(await calendar(`view=week&day=${addDays(TODAY, -7)}`));
		expect(before.map(({ setId }) => setId)).toEqual([sets.over, sets.never]);
		expect(barsOf(await calendar('view=month')).map(({ setId }) => setId)).toEqual([
			sets.over,
			sets.never,
			sets.now,
			...((await calendar('view=month')).days.includes(addDays(TODAY, 7)) ? [sets.coming] : [])
		]);
	});

	it('has a lane for every class, and for every student with their own due date', async () => {
		await changeForSome(small.database, specialist, sets.over, [{ student: 2, dueOn: addDays(TODAY, 1) }], NOW);
		const byClass = await calendar('view=week&by=class');
		const inScope = new Set((await (await scopeOf()).students()).map(({ className }) => className));
		expect(byClass.lanes.map(({ name }) => name).sort()).toEqual([...inScope].sort());
		const byStudent = await calendar('view=week&by=student');
		const students = await (await scopeOf()).students();
		expect(byStudent.lanes.map(({ key }) => key)).toEqual(students.map(({ id }) => `student:${id}`));
		const own = byStudent.lanes.find(({ key }) => key === 'student:2')!.bars;
		expect(own.map(({ setId, dueOn }) => [setId, dueOn])).toEqual([
			[sets.now, DUE],
			[sets.never, null],
			[sets.over, addDays(TODAY, 1)]
		]);
		// In the lane of a class it is there as long as one of its students has it.
		const over = (lanes: typeof byClass) => barsOf(lanes).filter(({ setId }) => setId === sets.over);
		expect(over(await calendar('view=week&by=class'))).toMatchObject([
			{ students: 2, later: { students: 1, until: addDays(TODAY, 1) } }
		]);
		expect(over(await calendar('view=week&by=group'))).toMatchObject([{ later: { students: 1 } }]);
		await changeForSome(small.database, specialist, sets.over, [{ student: 2, dueOn: null }], NOW);
		expect(over(await calendar('view=week&by=class'))).toEqual([]);
	});

	it('is narrowed by skill, author and where a set is by its dates', async () => {
		const ids = async (query: string) => barsOf(await calendar(`view=month&${query}`)).map(({ setId }) => setId);
		expect(await ids(`skill=${small.skills[1].id}`)).toEqual([sets.over, sets.never]);
		expect(await ids(`author=${teacher.id}`)).toEqual([]);
		expect(await ids('stage=past+due')).toEqual([sets.over]);
		expect(await ids('stage=open')).toEqual([sets.never, sets.now]);
		const { choices } = await calendar('');
		expect(choices.authors.map(({ id }) => id)).toEqual([specialist.id]);
	});

	it('tells class teachers of their own students only, and lets them move a student’s due date, but not the set', async () => {
		const bar = barsOf(await calendar('view=week', teacher)).find(({ setId }) => setId === sets.now)!;
		expect(bar).toMatchObject({ students: 2, isTheirs: false });
		const seen = barsOf(await calendar('view=week&by=student', teacher));
		expect(seen.every(({ studentId }) => studentId !== 5)).toBe(true);
		const move = (fields: Record<string, string>) => post(small, teacher, moveAction, fields);
		const days = { set: String(sets.now), opensOn: TODAY, dueOn: addDays(DUE, 3) };
		expect((await move(days)).problem).toContain('not yours');
		expect((await move({ ...days, student: '5' })).problem).toContain('not yours');
		const moved = await move({ ...days, student: '1' });
		expect(moved.done).toContain('for ');
		await undo(small, teacher, { move: moveAction }, moved, { params: {} });
	});

	it('moves a set with its times of day, and back', async () => {
		const { now: set } = sets;
		await small.database.run('UPDATE practice_set SET due_minute = 960, closes = TRUE WHERE id = ?', [set]);
		const days = async () => barsOf(await calendar('view=month')).find(({ setId }) => setId === set)!;
		const moved = await post(small, specialist, moveAction, {
			set: String(set),
			opensOn: TODAY,
			dueOn: addDays(DUE, 3)
		});
		expect(moved.done).toContain('16:00');
		expect(await days()).toMatchObject({ dueOn: addDays(DUE, 3), dueMinute: 960, closes: true });
		await undo(small, specialist, { move: moveAction }, moved, { params: {} });
		expect(await days()).toMatchObject({ dueOn: DUE, dueMinute: 960, closes: true });
		const without = await post(small, specialist, moveAction, { set: String(set), opensOn: TODAY, dueOn: '' });
		expect(without.problem).toContain('on the page of the set');
		const reversed = await post(small, specialist, moveAction, {
			set: String(set),
			opensOn: DUE,
			dueOn: TODAY
		});
		expect(reversed.problem).toContain('due before it opens');
	});
});

describe('the log of sets', () => {
	const log = async (query: string, staff = specialist) =>
		logPage(small.database, staff, small.school, await scopeOf(staff), at(query));

	it('has every student, with or without a set, and how far each is', async () => {
		const { students, part } = await log('days=30');
		expect(part.total).toBe((await (await scopeOf()).students()).length);
		expect(students.map(({ id }) => id)).toEqual((await (await scopeOf()).students()).map(({ id }) => id));
		const of = (id: number) => students.find((student) => student.id === id)!.sets;
		expect(of(1).map(({ id, state }) => [id, state])).toEqual([
			[sets.coming, 'not open yet'],
			[sets.now, 'finished'],
			[sets.over, 'not begun, late']
		]);
		expect(of(1)[1]).toMatchObject({ right: 4, answered: 5 });
		expect(of(5)).toMatchObject([{ id: sets.now, state: 'excused' }]);
		expect(students.filter((student) => student.sets.length === 0).length).toBeGreaterThan(0);
	});

	it('by date is narrowed in the same way, and counts what it finds', async () => {
		const list = async (query: string) => {
			const { sets: found, total } = await practicePage(
				small.database,
				specialist,
				small.school,
				await scopeOf(),
				at(query)
			);
			expect(total).toBe(found.length);
			return found.map(({ id }) => id).sort((a, b) => a - b);
		};
		expect(await list('')).toEqual([sets.now, sets.over, sets.coming, sets.never].sort((a, b) => a - b));
		expect(await list('stage=past+due')).toEqual([sets.over]);
		expect(await list('stage=not+open+yet')).toEqual([sets.coming]);
		expect(await list('stage=open')).toEqual([sets.now, sets.never].sort((a, b) => a - b));
		expect(await list(`skill=${small.skills[0].id}`)).toEqual([sets.now, sets.coming].sort((a, b) => a - b));
		expect(await list(`author=${teacher.id}`)).toEqual([]);
	});
});
