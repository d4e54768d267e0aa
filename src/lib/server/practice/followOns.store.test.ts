import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { USUAL_HOW, type FollowRule } from '../../core/practice';
import { findScope } from '../shell/store/scope';
import { findSchool } from '../school';
import { beginPractice } from '../sitting/store/practiceSittings';
import { sittingItems } from '../sitting/store/sittings';
import { makeFollowOns } from './followOns';
import { practicePage } from './practicePage';
import { setPage } from './setPage';
import { assignSet } from './store/assigning';
import { seeNotices } from './store/followOns';
import { findSet } from './store/oneSet';
import { withdrawSets } from './store/practice';
import { setForStudent } from './store/setContent';
import { usualChoices } from './store/usualChoices';

let small: SmallSchool;
const specialist = staffAs('specialist');
const later = (minutes: number) => new Date(NOW.getTime() + 60_000 * minutes);

const assign = (rule: Partial<FollowRule>, studentIds: number[], code = 'F43') =>
	assignSet(
		small.database,
		specialist,
		oneSkillSet(
			{ skillId: idOf(code), groupId: null, itemCount: 5, opensOn: TODAY, dueOn: addDays(TODAY, 4), studentIds },
			{ how: { ...USUAL_HOW, ...rule } }
		),
		NOW
	);
const idOf = (code: string) => small.skills.find((skill) => skill.code === code)!.id;
const work = async (student: number, setId: number, right: boolean, at = NOW) =>
	small.answerAll(
		student,
		await beginPractice(small.database, seenOne(student), { id: setId }, small.skills, at),
		() => right,
		9_000,
		at
	);
const page = async (setId: number) =>
	(await setPage(small.database, specialist, await findSchool(small.database, 1, NOW), setId, NOW))!;
const followedBy = async (setId: number, student: number) =>
	(await page(setId)).students.find(({ id }) => id === student)!.followed;
const notices = async () => {
	const scope = (await findScope(small.database, specialist, 'school', TODAY))!;
	const school = await findSchool(small.database, 1, NOW);
	return (await practicePage(small.database, specialist, school, scope, new URL('http://school.test/practice')))
		.notices;
};

beforeAll(async () => {
	small = await smallSchool('follow_ons');
});
afterAll(() => small.database.close());

describe('what follows a set', () => {
	it('is word to who assigned it, of those under the line only, until it was seen', async () => {
		const set = await assign({}, [1, 2]);
		await work(1, set, false);
		await work(2, set, true);
		expect(await makeFollowOns(small.database, later(1))).toBe(2);
		expect(await makeFollowOns(small.database, later(2))).toBe(0);
		expect(await followedBy(set, 1)).toMatchObject({ kind: 'notice', why: 'below', followSetId: null });
		expect(await followedBy(set, 2)).toMatchObject({ kind: 'nothing' });
		const [one] = await notices();
		expect(one).toMatchObject({ id: set, students: [{ studentId: 1, right: 0, answered: 5 }] });
		const sittings = one.students.map(({ sittingId }) => sittingId);
		expect(await seeNotices(small.database, staffAs('teacher'), sittings, true, NOW)).toBe(0);
		expect(await seeNotices(small.database, specialist, sittings, true, NOW)).toBe(1);
		expect(await notices()).toEqual([]);
		expect(await seeNotices(small.database, specialist, sittings, false, NOW)).toBe(1);
		expect(await notices()).toHaveLength(1);
		await seeNotices(small.database, specialist, sittings, true, NOW);
	});

	it('can be an example and half the questions: one set for all who get it, never a second that waits', async () => {
		const set = await assign({ below: 'half' }, [3, 4]);
		await work(3, set, false);
		await work(4, set, false);
		await makeFollowOns(small.database, later(1));
		const { followSetId } = (await followedBy(set, 3))!;
		expect(await followedBy(set, 4)).toMatchObject({ kind: 'half', followSetId });
		expect(await findSet(small.database, specialist, followSetId!)).toMatchObject({
			followsId: set,
			itemCount: 3,
			name: null
		});
		const own = (await setForStudent(small.database, followSetId!, 3))!;
		expect(own.skills).toMatchObject([{ skillId: idOf('F43'), practice: 3, hasExample: true }]);
		expect(own.how).toMatchObject({ below: 'half', line: 80 });
		// What was set off is nobody's usual way.
		expect(await usualChoices(small.database, specialist)).toMatchObject({ practice: 5, hasExample: false });
		const second = await assign({ below: 'half' }, [3], 'F41');
		await work(3, second, false);
		await makeFollowOns(small.database, later(2));
		expect(await followedBy(second, 3)).toMatchObject({ kind: 'notice', why: 'one waits' });
	});

	it('is a person’s after two in a row', async () => {
		const set = await assign({ below: 'half' }, [5], 'F44');
		let last: number = set;
		for (let i = 1; i <= 2; i++) {
			await work(5, last, false, later(i));
			await makeFollowOns(small.database, later(i));
			last = (await followedBy(last, 5))!.followSetId!;
			expect(last).toBeGreaterThan(set);
		}
		await work(5, last, false, later(3));
		await makeFollowOns(small.database, later(3));
		expect(await followedBy(last, 5)).toMatchObject({ kind: 'notice', why: 'two in a row', followSetId: null });
	});

	it('can be the same once more, with other questions, until it is at the line or a person must look', async () => {
		const set = await assign({ below: 'again' }, [1, 2], 'W45');
		const asked = async (student: number, right: boolean, at: Date) => {
			const sitting = await beginPractice(small.database, seenOne(student), { id: set }, small.skills, at);
			const items = await sittingItems(small.database, sitting);
			await small.answerAll(student, sitting, () => right, 9_000, at);
			await makeFollowOns(small.database, at);
			return items.map(({ familyId, seed }) => `${familyId} ${seed}`);
		};
		const row = async (student: number) => (await page(set)).students.find(({ id }) => id === student)!;
		const first = await asked(1, false, later(1));
		expect(await row(1)).toMatchObject({ state: 'not begun', attempt: 2, followed: { kind: 'again' } });
		expect(await asked(2, false, later(1))).toEqual(first);
		const second = await asked(1, false, later(2));
		expect(second.filter((question) => first.includes(question))).toEqual([]);
		// Whoever comes to it later has the questions of the second run, too.
		expect(await asked(2, true, later(3))).toEqual(second);
		expect(await row(2)).toMatchObject({ state: 'finished', attempt: 2, right: 5, followed: { kind: 'nothing' } });
		expect(await row(1)).toMatchObject({ state: 'not begun', attempt: 3 });
		await asked(1, false, later(4));
		expect(await row(1)).toMatchObject({
			state: 'finished',
			attempt: 3,
			followed: { kind: 'notice', why: 'two in a row' }
		});
	});

	it('once more is due in a week where it was over', async () => {
		const set = await assign({ below: 'again' }, [6], 'W45');
		await small.database.run('UPDATE practice_set SET opens_on = ?, due_on = ? WHERE id = ?', [
			addDays(TODAY, -9),
			addDays(TODAY, -2),
			set
		]);
		await work(6, set, false);
		await makeFollowOns(small.database, later(1));
		const { dueOn } = (await page(set)).students[0];
		expect(dueOn! > addDays(TODAY, 5) && dueOn! <= addDays(TODAY, 10)).toBe(true);
	});

	it('can be taken back, which the set before says', async () => {
		const set = await assign({ above: 'mixed' }, [6], 'W44');
		await work(6, set, true);
		await makeFollowOns(small.database, later(1));
		const { kind, followSetId } = (await followedBy(set, 6))!;
		expect(kind).toBe('mixed');
		expect(await withdrawSets(small.database, specialist, [followSetId!], NOW)).toBe(0);
		expect(await followedBy(set, 6)).toMatchObject({ kind: 'mixed', followSetId: null });
	});

	it('of many skills gives each question to one of them, and says nothing to who was taken from the set', async () => {
		const codes = ['F43', 'F41', 'F44', 'W44'];
		const skills = codes.map((code) => ({ skillId: idOf(code), practice: 1, checks: 0, hasExample: false }));
		const set = await assignSet(
			small.database,
			specialist,
			oneSkillSet(
				{
					skillId: idOf('F43'),
					groupId: null,
					itemCount: 4,
					opensOn: TODAY,
					dueOn: addDays(TODAY, 4),
					studentIds: [8, 2]
				},
				{ skills, how: { ...USUAL_HOW, below: 'half' } }
			),
			NOW
		);
		await work(8, set, false);
		await work(2, set, false);
		await small.database.run('DELETE FROM practice_set_student WHERE set_id = ? AND student_id = 2', [set]);
		await makeFollowOns(small.database, later(1));
		const { followSetId } = (await followedBy(set, 8))!;
		const own = (await setForStudent(small.database, followSetId!, 8))!;
		expect(own.skills.map(({ practice }) => practice)).toEqual([1, 1, 1]);
		// Nobody is asked about again and again.
		expect(await makeFollowOns(small.database, later(2))).toBe(0);
	});

	it('happens once, whichever process comes first', async () => {
		const set = await assign({ below: 'half' }, [7], 'W44');
		await work(7, set, false);
		await Promise.all([makeFollowOns(small.database, later(1)), makeFollowOns(small.database, later(1))]);
		const row = await small.database.row<{ sets: number }>(
			'SELECT COUNT(*) AS sets FROM practice_set WHERE follows_id = ?',
			[set]
		);
		expect(row!.sets).toBe(1);
	});
});
