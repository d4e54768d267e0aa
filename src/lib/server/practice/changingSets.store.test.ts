import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { post, undo } from '../../../../tests/formPost';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { LEFT_AFTER_MINUTES, type SetSkill, USUAL_HOW } from '../../core/practice';
import { ownPage } from '../sitting/ownPage';
import { practiceSitting } from '../sitting/practicePage';
import { beginPractice } from '../sitting/store/practiceSittings';
import { findSitting, sittingItems } from '../sitting/store/sittings';
import type { SignedInStudent } from '../request';
import { setActions } from './setForm';
import { setPage } from './setPage';
import { assignSet, type NewSet } from './store/assigning';

let small: SmallSchool;
let set: number;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const STUDENTS = [1, 2, 5];

beforeAll(async () => {
	small = await smallSchool('changing_sets');
});
afterAll(() => small.database.close());

const give = async (change: Partial<NewSet> = {}) => {
	const usual = oneSkillSet({
		...{ skillId: small.skills[0].id, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: addDays(TODAY, 4) },
		studentIds: STUDENTS
	});
	set = await assignSet(small.database, specialist, { ...usual, ...change }, NOW);
};
const at = () => ({ params: { set: String(set) } });
const act = (action: keyof typeof setActions, fields: Parameters<typeof post>[3], staff = specialist) =>
	post(small, staff, setActions[action], fields, at());
const back = (answer: Awaited<ReturnType<typeof act>>) => undo(small, specialist, setActions, answer, at());
const page = async (now = NOW) => (await setPage(small.database, specialist, small.school, set, now))!;
const row = async (id: number, now = NOW) => (await page(now)).students.find((one) => one.id === id)!;
const begin = (id: number) => beginPractice(small.database, seenOne(id), { id: set }, small.skills, NOW);
const minutes = (count: number) => new Date(NOW.getTime() + count * 60_000);

describe('a set that is done in one go', () => {
	const student = { id: seenOne(1), schoolId: 1, kind: 'student', grade: 4 } as SignedInStudent;
	const locals = (now: Date) => ({ database: small.database, at: now }) as App.Locals;
	const onOwnPage = async (now: Date) =>
		(await ownPage(locals(now), student)).todo.find(({ kind, id }) => kind === 'practice' && id === set)!;
	/** What the page on which they work says. */
	const worked = async (sittingId: number, now: Date) => {
		const sitting = (await findSitting(small.database, seenOne(1), sittingId))!;
		const usual = { readAloud: false, largerType: false };
		const items = await sittingItems(small.database, sittingId);
		return (await practiceSitting(locals(now), student, sitting, items, usual)).isLeft;
	};
	beforeEach(() => give({ how: { ...USUAL_HOW, pausing: false } }));

	it('waits for an adult once it was left, and goes on when they say so', async () => {
		expect(await onOwnPage(NOW)).toMatchObject({
			isInOneGo: true,
			isLeft: false,
			why: expect.stringContaining('in one go')
		});
		const sitting = await begin(1);
		await small.answerAll(1, sitting, () => true, 9_000, NOW, 2);
		const later = minutes(LEFT_AFTER_MINUTES + 1);
		expect([await worked(sitting, minutes(LEFT_AFTER_MINUTES)), await worked(sitting, later)]).toEqual([false, true]);
		expect(await onOwnPage(later)).toMatchObject({ isLeft: true });
		expect(await row(1, later)).toMatchObject({ state: 'under way', isLeft: true, answered: 2 });
		expect(await row(2, later)).toMatchObject({ isLeft: false });
		const told = await act('goOn', { students: '1,2' });
		expect(told.done).toBe('1 student may go on where they stopped.');
		expect((await row(1, later)).isLeft).toBe(false);
		expect(await worked(sitting, minutes(500))).toBe(false);
		expect((await page()).history[0].says).toMatch(/ may go on\.$/);
		await back(told);
		expect((await row(1, later)).isLeft).toBe(true);
	});

	it('takes answers all the same that a device kept while it was away', async () => {
		const sitting = await begin(1);
		await small.answerAll(1, sitting, () => true, 9_000, NOW, 1);
		const later = minutes(60);
		expect(await worked(sitting, later)).toBe(true);
		await small.answerAll(1, sitting, () => true, 9_000, minutes(55), 1);
		expect(await worked(sitting, later)).toBe(false);
		expect((await row(1, later)).answered).toBe(2);
	});

	it('can be left by all again once that is changed, and by nobody else’s word', async () => {
		const sitting = await begin(1);
		await small.answerAll(1, sitting, () => true, 9_000, NOW, 1);
		const later = minutes(60);
		expect((await act('goOn', { students: '5' }, teacher)).problem).toContain('not yours');
		expect((await act('goOn', { students: '2' })).problem).toContain('gone on already');
		const { feedback, line, above, below } = USUAL_HOW;
		const rules = { feedback, line: String(line), above, below, hints: 'yes', secondTry: 'yes', solutions: 'yes' };
		const changed = await act('how', { ...rules, pausing: 'yes' });
		expect((await page()).history[0].says).toBe('Otherwise for all: whether it can be left and gone on with.');
		expect(await worked(sitting, later)).toBe(false);
		await back(changed);
		expect(await worked(sitting, later)).toBe(true);
	});
});

describe('questions of a set, changed later', () => {
	const part = (skill: number, change: Partial<SetSkill> = {}): SetSkill => ({
		skillId: small.skills[skill].id,
		...{ practice: 5, checks: 0, hasExample: false, ...change }
	});
	const content = (skills: SetSkill[], change: object = {}) => ({
		content: JSON.stringify({ skills, older: 0, untilRight: null, ownQuestions: false, ...change })
	});
	const questions = async (sitting: number) =>
		(await sittingItems(small.database, sitting)).map(({ familyId, seed }) => `${familyId} ${seed}`);
	const skillsIn = async (sitting: number) => {
		const rows = await small.database.rows<{ skill: number }>(
			'SELECT skill_id AS skill FROM sitting_item WHERE sitting_id = ? ORDER BY position',
			[sitting]
		);
		return rows.map(({ skill }) => small.skills.findIndex(({ id }) => id === skill));
	};
	beforeEach(() => give());

	it('are so for who has not begun; who has keeps theirs', async () => {
		const first = await begin(1);
		const before = await questions(first);
		const changed = await act('questions', content([part(0, { practice: 2 }), part(1, { practice: 1, checks: 2 })]));
		expect(changed.done).toContain('have not begun');
		expect(await questions(first)).toEqual(before);
		expect(await row(1)).toMatchObject({ itemCount: 5 });
		expect(await row(2)).toMatchObject({ itemCount: 5 });
		const second = await begin(2);
		expect(await skillsIn(second)).toEqual([0, 1, 0, 1, 1]);
		// Of the skill that stays, the same questions.
		expect(before).toEqual(expect.arrayContaining((await questions(second)).filter((_, i) => i === 0 || i === 2)));
		const { history } = await page();
		expect(history[0].says).toBe(
			`Other questions: 2 with help on ${small.skills[0].shortName}; 1 with help, 2 without on ${small.skills[1].shortName}. ` +
				`Before: 5 with help on ${small.skills[0].shortName}.`
		);
		await back({ undo: history[0].undo! });
		expect(await skillsIn(await begin(5))).toEqual([0, 0, 0, 0, 0]);
	});

	it('are never those of an earlier set of the skill, nor are a later set’s those that were taken out', async () => {
		await act('questions', content([part(1)]));
		const met = await questions(await begin(1));
		await act('questions', content([part(0)]));
		await give({ skills: [part(1)] });
		expect(met.filter((one) => one)).toHaveLength(5);
		const later = await questions(await begin(1));
		expect(later.filter((question) => met.includes(question))).toEqual([]);
		// More questions than a set began with come from where no set has been.
		await give();
		const few = set;
		await give();
		const next = new Set(await questions(await begin(1)));
		set = few;
		await act('questions', content([part(0, { practice: 12 })]));
		const many = await questions(await begin(2));
		expect(many).toHaveLength(12);
		expect(many.filter((question) => next.has(question))).toEqual([]);
	});

	it('are those of a run to come, too, with numbers that nobody has met', async () => {
		const first = await begin(1);
		await small.answerAll(1, first, () => true);
		await act('again', { students: '1', questions: 'other' });
		await act('questions', content([part(1, { practice: 3 }), part(0, { practice: 3 })]));
		const run = await begin(1);
		expect(await skillsIn(run)).toEqual([1, 0, 1, 0, 1, 0]);
		const before = await questions(first);
		expect((await questions(run)).filter((question) => before.includes(question))).toEqual([]);
	});

	it('are changed as one may: not by others, not once taken back, not to what no set can be', async () => {
		expect((await act('questions', content([part(1)]), teacher)).problem).toContain('not yours');
		for (const [wrong, says] of [
			[content([part(0), part(0)]), 'twice'],
			[content([part(0, { practice: 0 })]), 'no questions'],
			[content([part(0, { practice: 30 }), part(1, { practice: 30 })]), '40 questions'],
			[content([part(0)], { untilRight: 6 }), 'more right than'],
			[content([part(0)], { untilRight: 2, older: 2 }), 'older'],
			[content([{ ...part(0), skillId: 99_999 }]), 'no such skill'],
			[{ content: 'nothing' }, 'Choose']
		] as const)
			expect((await act('questions', wrong)).problem).toContain(says);
		expect((await page()).history).toEqual([]);
		await act('takeBack', {});
		expect((await act('questions', content([part(1)]))).problem).toContain('taken back');
	});

	it('are as many for each where each has a step of their own, on the same skills', async () => {
		await give({
			isOwnStep: true,
			skills: [part(0), part(1)],
			students: [
				[1, 0],
				[2, 1]
			].map(([studentId, skill]) => ({
				...{ studentId, skillId: small.skills[skill].id, dueOn: null },
				variation: { practice: null, families: null, hints: null, readAloud: null, largerType: null }
			}))
		});
		expect((await act('questions', content([part(0)]))).problem).toContain('not yours');
		expect((await act('questions', content([part(0, { practice: 3 }), part(1)]))).problem).toContain('as many');
		await act('questions', content([part(0, { practice: 3 }), part(1, { practice: 3 })]));
		expect([await skillsIn(await begin(1)), await skillsIn(await begin(2))]).toEqual([
			[0, 0, 0],
			[1, 1, 1]
		]);
	});
});
