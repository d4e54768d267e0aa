import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import {
	adopt,
	clearGroups,
	newGroup,
	NOW,
	seenOne,
	smallSchool,
	staffAs,
	TODAY,
	type SmallSchool
} from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { SAMPLE_SEED } from '../../core/items';
import { USUAL_HOW } from '../../core/practice';
import { itemFrom, itemsForSkill } from '../../core/items/bank';
import { findScope, type Scope } from '../shell/store/scope';
import { ownPage } from '../sitting/ownPage';
import { beginPractice } from '../sitting/store/practiceSittings';
import { assignPage } from './assignPage';
import { queueRows, queuesPage } from './queuesPage';
import { receivers } from './receivers';
import { assignSet, givenTo, type NewSet } from './store/assigning';
import { changeNeed } from './store/changing';

let small: SmallSchool;
let scope: Scope;
let first: number;
let second: number;
/** A set that is under way for student 1, failed by 2, not begun by 3, and done well by 4. */
let set: number;
/** One that was due yesterday, and that student 1 has not begun. */
let late: number;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const SECOND = 1_000;
const later = (seconds: number) => new Date(NOW.getTime() + seconds * SECOND);

const assign = (skillId: number, dueOn: string, studentIds: number[], more: Partial<NewSet> = {}) =>
	assignSet(
		small.database,
		specialist,
		oneSkillSet({ skillId, groupId: null, itemCount: 5, opensOn: addDays(TODAY, -7), dueOn, studentIds }, more),
		NOW
	);
const begin = (student: number, id: number) =>
	beginPractice(small.database, seenOne(student), { id }, small.skills, NOW);

beforeAll(async () => {
	small = await smallSchool('queues_page');
	[first, second] = small.skills.map(({ id }) => id);
	scope = (await findScope(small.database, specialist, 'school', TODAY))!;
	set = await assign(first, addDays(TODAY, 4), [1, 2, 3, 4]);
	late = await assign(second, addDays(TODAY, -1), [1]);
	const own = await begin(1, set);
	// 40 s; 50 s later; 90 s later, of which 40 s were spent on the question.
	for (const seconds of [40, 90, 180]) await small.answerAll(1, own, () => true, 40 * SECOND, later(seconds), 1);
	await small.answerAll(2, await begin(2, set), () => false);
	await small.answerAll(4, await begin(4, set), () => true);
	// Enough wrong answers for a gap.
	const hard = small.skills.find(({ code }) => code === 'F43')!;
	const more = await assign(hard.id, addDays(TODAY, 4), [2], {
		skills: [{ skillId: hard.id, practice: 12, checks: 0, hasExample: false }]
	});
	await small.answerAll(2, await begin(2, more), () => false);
});
afterAll(() => small.database.close());

const url = (query = '') => new URL(`http://school.test/page?${query}`);
const shown = async (queue: string) =>
	(await queuesPage(small.database, specialist, small.school, scope, url(queue && `queue=${queue}`))).ids.sort(
		(a, b) => a - b
	);

describe('queues', () => {
	it('say what waits, how long it takes, what is late, and when was worked for how long', async () => {
		const students = await scope.students();
		const rows = await queueRows(small.database, specialist, small.school, students);
		// Recomputed from the words of the skills' own sample questions.
		const each = (code: string) => {
			const stems = itemsForSkill(code, 12, SAMPLE_SEED).map(({ familyId, seed }) => itemFrom(familyId, seed).stem);
			const words = stems.map((stem) => stem.trim().split(/\s+/).length);
			return 14 + 0.4 * (words.reduce((sum, count) => sum + count, 0) / words.length);
		};
		const seconds = 2 * each(small.skills[0].code) + 5 * each(small.skills[1].code);
		expect(rows.find(({ id }) => id === 1)).toMatchObject({
			...{ waiting: 2, late: 1, notBegun: 1, isMuch: null, lastOn: TODAY },
			minutes: Math.max(1, Math.round(seconds / 60)),
			// 40 + 50 + 40 seconds.
			activeMinutes: 2
		});
		expect(rows.find(({ id }) => id === 3)).toMatchObject({ waiting: 1, late: 0, notBegun: 1, lastOn: null });
		expect(rows.find(({ id }) => id === 4)).toMatchObject({ waiting: 0, minutes: 0, notBegun: 0, lastOn: TODAY });
	});

	it('are listed as asked for', async () => {
		expect(await shown('')).toEqual([1, 2, 3, 4, 5, 6, 7, 8]);
		expect(await shown('waiting')).toEqual([1, 3]);
		expect(await shown('late')).toEqual([1]);
		// Stored fields are made anew once they are asked for.
		const listed = await shown('clear-all');
		// Told apart from raw rows: gaps by the stored fields, nothing unfinished.
		const gaps = await small.database.rows<{ id: number }>('SELECT student_id AS id FROM student_field WHERE gaps > 0');
		const clear = gaps.map(({ id }) => id).filter((id) => ![1, 3, 9].includes(id));
		expect(clear).toContain(2);
		expect(listed).toEqual(clear.sort((a, b) => a - b));
		const tiered = await small.database.rows<{ id: number }>(
			'SELECT student_id AS id FROM tier_interval WHERE tier > 1 AND until_on IS NULL'
		);
		for (const id of await shown('clear')) expect(clear).toContain(id);
		for (const { id } of tiered) if (clear.includes(id)) expect(await shown('clear')).toContain(id);
	});
});

describe('who a set is for', () => {
	const found = async (query: string, staff = specialist) => {
		const own = (await findScope(small.database, staff, 'school', TODAY))!;
		const answer = await receivers({
			database: small.database,
			staff,
			school: small.school,
			url: url(query),
			scope: own
		});
		return answer && answer.students.map(({ id }) => id as number).sort((a, b) => a - b);
	};

	it('is nobody in the whole school until somebody is chosen, and all of it when asked for', async () => {
		expect(await found('')).toEqual([]);
		expect(await found('for=all')).toHaveLength(8);
		expect(await found('for=students:1,6,9')).toEqual([1, 6]);
		expect(await found('for=student:9')).toBeNull();
		expect(await found('for=students:1&with=5,9')).toEqual([1, 5]);
		expect(await found('for=students:1,6', teacher)).toEqual([1]);
		expect(await found('', teacher)).toEqual([1, 2, 3, 4]);
	});

	it('is found by a rule: under the line on a set or not done, rather without a skill or never seen', async () => {
		expect(await found(`for=set:${set}`)).toEqual([1, 2, 3]);
		await changeNeed(small.database, specialist, set, [3], 'excused', NOW);
		expect(await found(`for=set:${set}`)).toEqual([1, 2]);
		await changeNeed(small.database, specialist, set, [3], 'needed', NOW);
		const below = await found(`for=below&skill=${first}`);
		expect(below).toEqual(expect.arrayContaining([2, 3, 5, 6, 7, 8]));
		expect(below).not.toContain(4);
		const ready = (await found(`for=ready&skill=${first}`))!;
		expect(ready).toContain(2);
		expect(ready).not.toContain(4);
	});

	it('is found by who was absent on a day', async () => {
		expect(await found('for=absent')).toEqual([]);
		await small.database.run(
			`INSERT INTO small_group (id, school_id, name, tier, focus_skill_id, slot_id, starts_on, ends_on, adopted_by, adopted_at)
			VALUES (70, 1, 'Rounding', 2, ?, 1, ?, ?, 2, ?)`,
			[first, addDays(TODAY, -7), addDays(TODAY, 20), NOW]
		);
		await small.database.run(
			'INSERT INTO attendance (group_id, student_id, on_date, present) VALUES (70, 5, ?, FALSE), (70, 6, ?, TRUE)',
			[TODAY, TODAY]
		);
		expect(await found(`for=absent:${TODAY}`)).toEqual([5]);
		expect(await found(`for=absent:${addDays(TODAY, -1)}`)).toEqual([]);
	});
});

describe('the page on which practice is assigned', () => {
	const page = async (query: string) =>
		(await assignPage({ database: small.database, staff: specialist, school: small.school, url: url(query), scope }))!;

	it('warns of what waits already, and begins as one’s last set was', async () => {
		const { warnings, chosen, usual } = await page(`for=students:1,2&skill=${first}`);
		expect(chosen).toEqual([first]);
		expect(warnings).toContainEqual({ kind: 'waits already', skillId: first, studentIds: [1] });
		expect(usual).toMatchObject({ practice: 12, hasChecks: false });
		expect((await page('for=student:9').catch(() => null)) ?? null).toBeNull();
	});

	it('gives each a next step that does not wait for them already', async () => {
		const { students, isOwnStep } = await page('for=students:1,2&own=yes');
		expect(isOwnStep).toBe(true);
		const steps = (id: number) => students.find((one) => one.id === id)!.steps.map(({ skillId }) => skillId);
		expect(steps(2)).toContain(first);
		expect(steps(1)).not.toContain(first);
		expect(steps(1)).not.toContain(second);
		const step = students.find((one) => one.id === 2)!.steps.find(({ skillId }) => skillId === first)!;
		expect(step.last).toEqual({ right: 0, of: 5 });
	});
});

describe('a student’s own page', () => {
	const own = (id: number) =>
		ownPage(
			{ database: small.database, at: NOW, viewer: null },
			{ kind: 'student', id: seenOne(id), schoolId: 1, givenName: '', grade: 4 }
		);

	it('has first what is begun, then what is due soonest, each with why', async () => {
		const practice = (await own(1)).todo.filter(({ kind }) => kind === 'practice');
		expect(practice.map(({ id, isBegun, note, why }) => [id, isBegun, note, why])).toEqual([
			[set, true, '3 of 5 done', 'by Friday'],
			[late, false, '5 questions', 'was due Sun, Nov 22; still open, counts as late']
		]);
	});

	it('tells what was done this week, and how much was right only where that is told', async () => {
		expect((await own(2)).done).toMatchObject([
			{ day: 'Monday', right: { right: 0, of: 12 } },
			{ day: 'Monday', right: { right: 0, of: 5 } }
		]);
		const quiet = await assign(second, addDays(TODAY, 4), [], {
			students: givenTo([4]),
			how: {
				...USUAL_HOW,
				feedback: 'after the due date'
			}
		});
		await small.answerAll(4, await begin(4, quiet), () => true);
		const { done, secureInAll, secure } = await own(4);
		expect(done.map(({ right }) => right)).toEqual(expect.arrayContaining([null, { right: 5, of: 5 }]));
		expect(done).toHaveLength(2);
		expect(secure.length).toBe(Math.min(8, secureInAll));
		expect((await own(7)).done).toEqual([]);
	});
});

describe('too much left', () => {
	it('is more than twice what those of the same groups have, from three of them and ten minutes on', async () => {
		const members = [5, 6, 7, 8];
		await clearGroups(small);
		const [groupId] = (await adopt(small, newGroup(small, { studentIds: members }))).ids;
		const sets = async (students: number[], questions: number) =>
			assign(second, addDays(TODAY, 4), students, {
				skills: [{ skillId: second, practice: questions, checks: 0, hasExample: false }]
			});
		await sets(members, 5);
		const much = async () =>
			queueRows(
				small.database,
				specialist,
				small.school,
				(await scope.students()).filter(({ id }) => members.includes(id))
			);
		expect((await much()).map(({ isMuch }) => isMuch)).toEqual([null, null, null, null]);
		await sets([5], 30);
		const rows = await much();
		const [more, ...others] = rows.map(({ minutes }) => minutes);
		expect(more).toBeGreaterThanOrEqual(10);
		expect(more).toBeGreaterThan(2 * others[0]);
		expect(more).toBeLessThan(35);
		expect(rows.map(({ isMuch }) => isMuch)).toEqual(['twice the usual', null, null, null]);
		// Of no group there is no usual.
		await small.database.run('DELETE FROM group_membership WHERE group_id = ?', [groupId]);
		expect((await much()).map(({ isMuch }) => isMuch)).toEqual([null, null, null, null]);
	});
});
