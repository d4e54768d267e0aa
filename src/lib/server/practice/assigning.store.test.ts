import { afterAll, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { post } from '../../../../tests/formPost';
import { NOW, seen, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { hasItems } from '../../core/items/bank';
import { NO_VARIATION, USUAL_HOW } from '../../core/practice';
import { closings } from '../sitting/store/closings';
import { beginPractice } from '../sitting/store/practiceSittings';
import { findSitting, sittingItems } from '../sitting/store/sittings';
import { triedItems } from '../sitting/store/tried';
import { storedStudents } from '../standing/store/studentSummaries';
import { assignAction, type AssignPlan } from './assignForm';
import { assignSet, givenTo, type NewSet } from './store/assigning';
import { changeDates } from './store/changing';
import { closeSets } from './store/closing';
import { queuedSets, withdrawSets } from './store/practice';
import { skillsOfSets } from './store/setContent';

let small: SmallSchool;
let first: number;
let second: number;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const DUE = addDays(TODAY, 4);

beforeAll(async () => {
	small = await smallSchool('assigning');
	[first, second] = small.skills.map(({ id }) => id);
});
afterAll(() => small.database.close());
beforeEach(() => small.database.run('UPDATE practice_set SET withdrawn_at = ? WHERE withdrawn_at IS NULL', [NOW]));

const usual = () => ({
	...{ skillId: first, groupId: null, itemCount: 5, opensOn: TODAY, dueOn: DUE },
	studentIds: [1, 2]
});
const assign = (more: Partial<NewSet> = {}) => assignSet(small.database, specialist, oneSkillSet(usual(), more), NOW);
const begin = (student: number, id: number) =>
	beginPractice(small.database, seenOne(student), { id }, small.skills, NOW);
const questions = async (sitting: number) =>
	(await sittingItems(small.database, sitting)).map(({ familyId, seed, help }) => ({
		name: `${familyId} ${seed}`,
		help
	}));
const skillsAsked = async (sitting: number) =>
	(
		await small.database.rows<{ id: number }>(
			'SELECT skill_id AS id FROM sitting_item WHERE sitting_id = ? ORDER BY position',
			[sitting]
		)
	).map(({ id }) => id);
const queueOf = async (student: number, minute?: number, day = TODAY) =>
	queuedSets(small.database, seen(student), day, minute);

describe('a set', () => {
	it('on two skills has questions of both, a check without help at the end, and says how many there are', async () => {
		const set = await assign({
			skills: [
				{ skillId: first, practice: 3, checks: 2, hasExample: false },
				{ skillId: second, practice: 2, checks: 0, hasExample: true }
			]
		});
		expect((await queueOf(1))[0]).toMatchObject({ id: set, skillIds: [first, second], itemCount: 7 });
		const sitting = await begin(1, set);
		expect(await skillsAsked(sitting)).toEqual([first, second, first, second, first, first, first]);
		const asked = await questions(sitting);
		expect(asked.map(({ help }) => help)).toEqual([...Array(5).fill('second try'), 'told later', 'told later']);
		// The same for all.
		expect(await questions(await begin(2, set))).toEqual(asked);
	});

	it('gives each other numbers where it says so, none of which a later set has', async () => {
		const how = { ...USUAL_HOW, ownQuestions: true };
		const [one, other] = [await assign({ how }), await assign()];
		const names = [await begin(1, one), await begin(2, one), await begin(1, other)].map(questions);
		const all = (await Promise.all(names)).flat().map(({ name }) => name);
		expect(new Set(all).size).toBe(15);
	});

	it('gives each their own next step', async () => {
		const set = await assign({
			isOwnStep: true,
			skills: [first, second].map((skillId) => ({ skillId, practice: 3, checks: 1, hasExample: false })),
			students: [
				{ ...givenTo([1])[0], skillId: second },
				{ ...givenTo([2])[0], skillId: first }
			]
		});
		expect((await queueOf(1))[0]).toMatchObject({ skillIds: [second], itemCount: 4 });
		expect(await skillsAsked(await begin(1, set))).toEqual(Array(4).fill(second));
		expect(await skillsAsked(await begin(2, set))).toEqual(Array(4).fill(first));
	});

	it('is shorter or easier for some, and due another day', async () => {
		const own = { ...NO_VARIATION, practice: 3, families: 'easier' as const };
		const set = await assign({
			students: [{ studentId: 1, skillId: null, dueOn: addDays(DUE, 3), variation: own }, ...givenTo([2])]
		});
		expect((await queueOf(1))[0]).toMatchObject({ itemCount: 3, dueOn: addDays(DUE, 3) });
		expect((await queueOf(2))[0]).toMatchObject({ itemCount: 5, dueOn: DUE });
		expect(await questions(await begin(1, set))).toHaveLength(3);
		expect((await queueOf(1))[0].itemCount).toBe(3);
	});

	it('has some from before mixed in, of what the student has shown and not seen for longest', async () => {
		const before = await begin(
			1,
			await assign({ skills: [{ skillId: second, practice: 5, checks: 0, hasExample: false }] })
		);
		await small.answerAll(1, before, () => true, 9_000, NOW);
		const set = await assign({ how: { ...USUAL_HOW, older: 2 } });
		const sitting = await begin(1, set);
		const asked = await skillsAsked(sitting);
		expect(asked[0]).toBe(first);
		expect(asked.filter((id) => id === first)).toHaveLength(5);
		expect(asked.filter((id) => id === second).length).toBe(asked.length - 5);
		expect((await findSitting(small.database, seenOne(1), sitting))!.itemCount).toBe(asked.length);
	});

	it('ends once enough are right at the first try', async () => {
		const set = await assign({
			skills: [{ skillId: first, practice: 10, checks: 0, hasExample: false }],
			how: { ...USUAL_HOW, untilRight: 3 }
		});
		const sitting = await begin(1, set);
		await small.answerAll(1, sitting, (position) => position !== 1, 9_000, NOW, 3);
		expect((await findSitting(small.database, seenOne(1), sitting))!.finishedAt).toBeNull();
		await small.answerAll(1, sitting, () => true, 9_000, NOW, 1);
		expect((await findSitting(small.database, seenOne(1), sitting))!).toMatchObject({ answered: 4, untilRight: 3 });
		expect((await findSitting(small.database, seenOne(1), sitting))!.finishedAt).not.toBeNull();
		expect(await queueOf(1)).toEqual([]);
	});

	it('tells nothing at once where nothing is to be told, and no solution where there is none', async () => {
		const quiet = await begin(1, await assign({ how: { ...USUAL_HOW, feedback: 'at the end' } }));
		await small.answerAll(1, quiet, () => false, 9_000, NOW, 1);
		expect((await questions(quiet))[0].help).toBe('told later');
		expect(await triedItems(small.database, quiet, [0])).toEqual([]);
		const bare = await begin(1, await assign({ how: { ...USUAL_HOW, secondTry: false, solutions: false } }));
		await small.answerAll(1, bare, () => false, 9_000, NOW, 1);
		expect((await questions(bare))[0].help).toBe('one try');
		expect(await triedItems(small.database, bare, [0])).toEqual([]);
		const once = await begin(1, await assign({ how: { ...USUAL_HOW, secondTry: false } }));
		await small.answerAll(1, once, () => false, 9_000, NOW, 1);
		expect(await triedItems(small.database, once, [0])).toHaveLength(1);
	});
});

describe('when a set is open', () => {
	const by = (more: Partial<NewSet['dates']>) => ({
		dates: { opensOn: TODAY, opensMinute: null, dueOn: DUE, dueMinute: null, closes: false, ...more }
	});

	it('goes by the hour at the school; one that is never due comes last', async () => {
		const [late, never, soon] = [
			await assign(by({ opensMinute: 600 })),
			await assign(by({ dueOn: null })),
			await assign(by({ dueMinute: 500 }))
		];
		expect((await queueOf(1, 599)).map(({ id }) => id)).toEqual([soon, never]);
		expect((await queueOf(1, 600)).map(({ id }) => id)).toEqual([soon, late, never]);
	});

	it('one that closes takes no answers after that, also when clocks are changed; a later day opens it again', async () => {
		// Clocks go back at the school on November 1: 16:00 is at 20:00Z before and at 21:00Z after.
		for (const [dueOn, instant] of [
			['2026-10-31', '2026-10-31T20:00:00Z'],
			['2026-11-01', '2026-11-01T21:00:00Z']
		]) {
			const set = await assign(by({ opensOn: '2026-10-26', dueOn, dueMinute: 960, closes: true }));
			const sitting = await begin(1, set);
			const before = new Date(Date.parse(instant) - 1);
			expect((await closings(small.database, [sitting], before)).size).toBe(0);
			expect((await closings(small.database, [sitting], new Date(instant))).get(sitting)).toEqual({
				why: 'past due',
				at: new Date(instant)
			});
		}
	});

	it('one that closed is on nobody’s page and is not counted as waiting', async () => {
		const set = await assign(by({ opensOn: addDays(TODAY, -7), dueOn: addDays(TODAY, -1), closes: true }));
		const waits = async () => JSON.parse((await storedStudents(small.database, [1])).get('1')!).waitingFrom;
		expect(await waits()).toBe(addDays(TODAY, -7));
		expect(await closeSets(small.database, new Date(NOW.getTime() - 86_400_000))).toBe(0);
		expect(await closeSets(small.database, NOW)).toBe(2);
		expect(await closeSets(small.database, NOW)).toBe(0);
		expect(await waits()).toBeNull();
		expect(await queueOf(1)).toEqual([]);
		await changeDates(
			small.database,
			specialist,
			set,
			{ opensOn: TODAY, opensMinute: null, dueOn: DUE, dueMinute: null, closes: true },
			NOW
		);
		expect((await queueOf(1)).map(({ id }) => id)).toEqual([set]);
	});
});

describe('the page on which practice is assigned', () => {
	const plan = (more: Partial<AssignPlan> = {}): AssignPlan => ({
		lessonId: null,
		task: '',
		name: ' Before Friday ',
		groupId: null,
		isOwnStep: false,
		students: givenTo([1, 2]),
		skills: [{ skillId: first, practice: 5, checks: 0, hasExample: false }],
		how: USUAL_HOW,
		dates: { opensOn: TODAY, opensMinute: null, dueOn: DUE, dueMinute: null, closes: false },
		weeks: 1,
		onMeetings: true,
		...more
	});
	const send = (value: unknown, staff = specialist) =>
		post(small, staff, assignAction as never, { plan: JSON.stringify(value) }).catch((thrown) => thrown);
	const madeBy = async (answer: { location?: string }) =>
		(/assigned=([\d,]+)/.exec(answer.location ?? '')?.[1] ?? '').split(',').filter(Boolean).map(Number);

	it('parts all of a domain into sets of two or three skills, at once or one a week, taken back together', async () => {
		const some = small.skills.filter(({ code }) => hasItems(code)).slice(0, 8);
		const skills = some.map(({ id }) => ({ skillId: id, practice: 2, checks: 0, hasExample: false }));
		const made = await madeBy(await send(plan({ skills })));
		expect(made).toHaveLength(3);
		const parts = await skillsOfSets(small.database, made);
		expect(made.flatMap((id) => parts.get(id)!.map(({ skillId }) => skillId))).toEqual(some.map(({ id }) => id));
		expect((await queueOf(1)).filter(({ id }) => made.includes(id)).map(({ name }) => name)).toEqual([
			'Before Friday 1',
			'Before Friday 2',
			'Before Friday 3'
		]);
		expect(await withdrawSets(small.database, specialist, made, NOW)).toBe(0);
		expect((await queueOf(1)).some(({ id }) => made.includes(id))).toBe(false);
		const spread = await madeBy(await send(plan({ skills, weeks: 3 })));
		const rows = await small.database.rows<{ opensOn: string }>(
			'SELECT opens_on AS opensOn FROM practice_set WHERE id IN (?) ORDER BY id',
			[spread]
		);
		expect(rows.map(({ opensOn }) => opensOn)).toEqual([TODAY, addDays(TODAY, 7), addDays(TODAY, 14)]);
		await withdrawSets(small.database, specialist, spread, NOW);
		const many = Array.from({ length: 49 }, (_, i) => ({ ...skills[0], skillId: i + 1 }));
		expect((await send(plan({ skills: many }))).problem).toContain('48 skills');
	});

	it('assigns what was put together, and a set a week on days of school', async () => {
		const [made] = await madeBy(await send(plan()));
		expect((await queueOf(1))[0]).toMatchObject({ id: made, name: 'Before Friday' });
		const weekly = await madeBy(await send(plan({ weeks: 3 })));
		expect(weekly).toHaveLength(3);
		const rows = await small.database.rows<{ opensOn: string; dueOn: string }>(
			'SELECT opens_on AS opensOn, due_on AS dueOn FROM practice_set WHERE id IN (?) ORDER BY id',
			[weekly]
		);
		expect(rows.map(({ opensOn, dueOn }) => [opensOn, dueOn])).toEqual(
			[0, 7, 14].map((days) => [addDays(TODAY, days), addDays(DUE, days)])
		);
		const seeds = [...(await skillsOfSets(small.database, weekly)).values()].map(([{ firstSeed }]) => firstSeed);
		expect(new Set(seeds).size).toBe(3);
	});

	const step = { skillId: 1, practice: 5, checks: 0, hasExample: false };
	it.each<[string, Partial<AssignPlan>, string]>([
		['opens before today', { dates: { ...plan().dates, opensOn: addDays(TODAY, -1) } }, 'today at the earliest'],
		[
			'is due before it opens',
			{ dates: { ...plan().dates, dueOn: TODAY, opensMinute: 600, dueMinute: 600 } },
			'due before'
		],
		['has a skill that is none', { skills: [{ ...step, skillId: 60_000 }] }, 'no such skill'],
		['has no questions', { skills: [{ ...step, practice: 0 }] }, 'no questions'],
		['has a skill twice', { skills: [step, step] }, 'there twice'],
		['has a student twice', { students: givenTo([1, 1]) }, 'there twice'],
		['is for a student who is not there', { students: givenTo([1, 900]) }, 'not yours to see'],
		['has no step for a student', { isOwnStep: true }, 'own step'],
		['asks for more right than it has', { how: { ...USUAL_HOW, untilRight: 6 } }, 'more right'],
		[
			'ends early and has a check',
			{ how: { ...USUAL_HOW, untilRight: 3 }, skills: [{ ...step, checks: 2 }] },
			'neither'
		],
		['ends early and tells later', { how: { ...USUAL_HOW, untilRight: 3, feedback: 'none' } }, 'told at once'],
		[
			'gives a student more than the others',
			{ students: [{ ...givenTo([1])[0], variation: { ...NO_VARIATION, practice: 9 } }] },
			'more questions'
		]
	])('refuses what %s', async (_, more, problem) => {
		const value = plan(more);
		if (value.skills[0].skillId === 1) value.skills = value.skills.map((skill) => ({ ...skill, skillId: first }));
		expect((await send(value)).problem).toContain(problem);
		expect(await queueOf(1)).toEqual([]);
	});

	it('refuses what is no plan, and students whom the person may not see', async () => {
		expect((await send({ students: [] })).problem).toContain('Choose who');
		expect((await send('x')).problem).toContain('Choose who');
		expect((await send(plan({ students: givenTo([5]) }), teacher)).problem).toContain('not yours');
	});
});
