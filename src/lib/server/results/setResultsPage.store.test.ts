import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { USUAL_HOW } from '../../core/practice';
import { itemFrom } from '../../core/items/bank';
import { assignSet, type NewSet } from '../practice';
import { beginPractice, sittingItems } from '../sitting';
import { setResultsPage } from './setResultsPage';

let small: SmallSchool;
/** Finished by student 1, under way for 2, not begun by 5; student 5 is of another class. */
let set: number;
const specialist = staffAs('specialist');
const teacher = staffAs('teacher');
const url = (query = '') => new URL(`http://school.test/results?${query}`);
const results = async (query = '', staff = specialist, of = set) =>
	setResultsPage(small.database, staff, small.school, of, url(query), NOW);

async function give(change: Partial<NewSet> = {}): Promise<number> {
	const skill = small.skills.find(({ code }) => code === 'W25') ?? small.skills[0];
	const usual = oneSkillSet({
		...{ skillId: skill.id, groupId: null, itemCount: 4, opensOn: TODAY, dueOn: addDays(TODAY, 4) },
		studentIds: [1, 2, 5]
	});
	return assignSet(small.database, specialist, { ...usual, ...change }, NOW);
}

/** Lets a student answer a question by a wrong idea of it, then rightly. @returns the idea */
async function answerByIdea(studentId: number, sittingId: number, position: number): Promise<string> {
	const { familyId, seed } = (await sittingItems(small.database, sittingId))[position];
	const item = itemFrom(familyId, seed);
	const [{ answer, misconception }] = item.expectedErrors;
	await small.answer(studentId, sittingId, { position, response: answer, milliseconds: 12_400 });
	await small.answer(studentId, sittingId, { position, response: item.key, attempt: 2, hints: 1, milliseconds: 8_000 });
	return misconception;
}

let ideas: string[];
beforeAll(async () => {
	small = await smallSchool('set_results');
	set = await give();
	const [first, second] = [1, 2].map((id) =>
		beginPractice(small.database, seenOne(id), { id: set }, small.skills, NOW)
	);
	ideas = [await answerByIdea(1, await first, 0), await answerByIdea(2, await second, 0)];
	await small.answerAll(1, await first, () => true);
});
afterAll(() => small.database.close());

describe('results of a set', () => {
	it('have every student who has it, question by question, with what they come to', async () => {
		const { rows, columns, bins, set: about } = (await results())!;
		expect(about.id).toBe(set);
		const row = (id: number) => rows.find((one) => one.id === id)!;
		expect(rows.map(({ id }) => id).sort()).toEqual([1, 2, 5]);
		expect(row(1).cells.map(({ outcome }) => outcome)).toEqual(['later', 'first try', 'first try', 'first try']);
		expect(row(1).cells[0]).toEqual({ outcome: 'later', tries: 2, hints: 1, seconds: 20 });
		expect(row(1).score).toMatchObject({ asked: 4, answered: 4, right: 3, later: 1, hinted: 1 });
		expect(row(2)).toMatchObject({ state: 'under way', score: { answered: 1, right: 0 } });
		expect(row(5)).toMatchObject({ state: 'not begun', cells: [], score: { asked: 0 } });
		expect(columns.map(({ answered, right }) => [answered, right])).toEqual([
			[2, 0],
			[1, 1],
			[1, 1],
			[1, 1]
		]);
		// Of who has finished only.
		expect(bins.map(({ studentIds }) => studentIds)).toEqual([[], [], [], [1], []]);
		// All have the same questions, which are as hard for both.
		expect(row(1).expected).toBeCloseTo(row(2).expected, 9);
		expect(row(1).expected).toBeGreaterThan(1);
	});

	it('tell what was missed and by which idea, with who, and lead to the question', async () => {
		const page = (await results())!;
		expect(page.missed).toMatchObject([{ positions: [0], answered: 2, missed: 2, later: 2, isKind: false }]);
		expect(page.missed[0].students.map(({ id }) => id)).toEqual([1, 2]);
		expect(new Set(ideas).size).toBe(1);
		expect(page.ideas).toMatchObject([{ misconception: ideas[0], times: 2, place: { student: 1, question: 0 } }]);
		expect(page.ideas[0].students.map(({ id }) => id)).toEqual([1, 2]);
		expect(page.ideas[0].shows.length).toBeGreaterThan(5);
	});

	it('show a question with what one student answered, or all', async () => {
		const one = (await results('student=2&question=0'))!.chosen!;
		expect(one.student).toMatchObject({ id: 2 });
		expect(one.tries.map(({ attempt, correct, hints, seconds }) => [attempt, correct, hints, seconds])).toEqual([
			[1, false, 0, 12],
			[2, true, 1, 8]
		]);
		expect([one.tries[0].shows === null, one.tries[1].shows]).toEqual([false, null]);
		const all = (await results('question=0'))!.chosen!;
		expect(all.student).toBeNull();
		expect(all.tries.map(({ student, attempt }) => [student.id, attempt])).toEqual([
			[1, 1],
			[1, 2],
			[2, 1],
			[2, 2]
		]);
		for (const nothing of ['question=9', 'student=2&question=9']) expect((await results(nothing))!.chosen).toBeNull();
		expect((await results())!.chosen).toBeNull();
	});

	it('are sorted and narrowed', async () => {
		const ids = async (query: string) => (await results(query))!.rows.map(({ id }) => id);
		expect(await ids('sort=time')).toEqual([1, 2, 5]);
		expect(await ids('sort=right')).toEqual([5, 2, 1]);
		expect(await ids('show=not+finished')).toEqual(expect.arrayContaining([2, 5]));
		expect(await ids('show=not+finished')).toHaveLength(2);
		expect(await ids('show=below+the+line')).toEqual([2, 1]);
		expect(await ids('show=nonsense')).toHaveLength(3);
	});

	it('are of those who may be seen, and of no other school', async () => {
		const own = (await results('', teacher))!;
		expect(own.rows.map(({ id }) => id).sort()).toEqual([1, 2]);
		expect(own.students).toHaveLength(2);
		expect((await results('student=5&question=0', teacher))!.chosen?.student ?? null).toBeNull();
		expect(await results('', { ...specialist, id: 20, schoolId: 2 })).toBeNull();
		expect(await results('', specialist, 99_999)).toBeNull();
	});

	it('tell questions by kind where each has numbers of their own, and none for all at a place', async () => {
		const own = await give({ how: { ...USUAL_HOW, ownQuestions: true } });
		for (const id of [1, 2])
			await small.answerAll(
				id,
				await beginPractice(small.database, seenOne(id), { id: own }, small.skills, NOW),
				() => false
			);
		const page = (await results('question=0', specialist, own))!;
		expect(page.columns.every(({ stem }) => stem === null)).toBe(true);
		expect(page.missed.every(({ isKind }) => isKind)).toBe(true);
		expect(page.missed.reduce((sum, { missed }) => sum + missed, 0)).toBe(8);
		expect(page.chosen).toBeNull();
		expect((await results('question=0&student=1', specialist, own))!.chosen!.tries[0].correct).toBe(false);
	});
});
