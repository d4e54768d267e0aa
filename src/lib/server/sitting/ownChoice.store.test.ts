import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { askFact } from '../../core/fluency';
import { USUAL_HABITS, type Habits } from '../../core/practice';
import { dueCards } from '../../core/retention';
import { assignSet } from '../practice';
import { factRows } from '../practice/factsPage';
import { habitsPage } from '../practice/habitsPage';
import { changeHabits } from '../practice/store/habits';
import { findSchool } from '../school';
import { readStandings, recallsOf } from '../standing';
import { beginFacts, factRunPage } from './factRunPage';
import { beginOwnWork, ownPage, reviewAfter } from './ownPage';
import { factTries, findFactRun, storeFacts, type SubmittedFact } from './store/factRuns';
import { ownSittings } from './store/ownSittings';
import { beginPractice } from './store/practiceSittings';
import { findSitting, sittingItems } from './store/sittings';

let small: SmallSchool;
const specialist = staffAs('specialist');
const DAY = 86_400_000;
const days = (after: number) => new Date(NOW.getTime() + after * DAY);
const student = (id: number) => ({ kind: 'student' as const, id: seenOne(id), schoolId: 1, givenName: '', grade: 4 });
const locals = (at: Date) => ({ database: small.database, at, viewer: null }) as unknown as App.Locals;

/** Lets a student answer many questions of a skill rightly on a day. */
async function makeSecure(id: number, skillId: number, at: Date): Promise<void> {
	const day = at.toISOString().slice(0, 10);
	const set = await assignSet(
		small.database,
		specialist,
		oneSkillSet(
			{ skillId, groupId: null, itemCount: 12, opensOn: day, dueOn: addDays(day, 3), studentIds: [id] },
			{ skills: [{ skillId, practice: 12, checks: 0, hasExample: false }] }
		),
		at
	);
	await small.answerAll(
		id,
		await beginPractice(small.database, seenOne(id), { id: set }, small.skills, at),
		() => true,
		20_000,
		at
	);
}

const habitsOf1 = (habits: Partial<Habits>) =>
	changeHabits(small.database, { staff: specialist, today: TODAY }, [{ classId: 1, ...USUAL_HABITS, ...habits }], NOW);

let easy: { id: number; shortName: string };

beforeAll(async () => {
	small = await smallSchool('own_choice');
	// Easy for a fourth grader, so that twelve right answers are enough.
	easy = small.skills.find(({ code }) => code === 'W11') ?? small.skills[0];
	await makeSecure(1, easy.id, days(-30));
});
afterAll(() => small.database.close());

describe('a few from before', () => {
	it('asks what was secure weeks ago, once a day, and its answers are evidence', async () => {
		const standings = (await readStandings(small.database, [seenOne(1)])).get(1)!;
		expect(standings.get(easy.id)?.standing).toBe('secure');
		const page = await ownPage(locals(NOW), student(1));
		expect(page.todo.find(({ kind }) => kind === 'review')).toMatchObject({
			title: 'A few from before',
			isBegun: false
		});
		expect(await reviewAfter(locals(NOW), student(1))).toBe('1 question, about 1 minute');

		const sitting = (await beginOwnWork(locals(NOW), student(1), 'review', 1))!;
		expect(await beginOwnWork(locals(NOW), student(1), 'review', 1)).toBe(sitting);
		expect(await findSitting(small.database, seenOne(1), sitting)).toMatchObject({ kind: 'review', setId: null });
		const [item] = await sittingItems(small.database, sitting);
		expect(item.help).toBe('second try');
		await small.answerAll(1, sitting, () => true, 9_000, NOW);
		const after = await ownPage(locals(NOW), student(1));
		expect(after.todo.some(({ kind }) => kind === 'review')).toBe(false);
		expect(after.done[0]).toMatchObject({ title: 'A few from before', right: { right: 1, of: 1 } });
		expect(await beginOwnWork(locals(NOW), student(1), 'review', 1)).toBeNull();
		const recalls = await recallsOf(small.database, seenOne(1), [easy.id], 'UTC');
		expect(recalls.get(easy.id)!.at(-1)).toEqual({ on: TODAY, right: 1, of: 1 });
	});

	it('does not come again before its day, and with another question then', async () => {
		const recalls = (await recallsOf(small.database, seenOne(1), [easy.id], 'UTC')).get(easy.id)!;
		const isDue = (after: number) => dueCards([{ skill: easy.id, recalls }], addDays(TODAY, after)).length > 0;
		let after = 1;
		while (!isDue(after)) after++;
		expect(after).toBeGreaterThan(3);
		expect(await reviewAfter(locals(days(after - 1)), student(1))).toBeNull();
		const again = (await beginOwnWork(locals(days(after)), student(1), 'review', 1))!;
		const asked = new Set<string>();
		for (const sitting of [again, ...(await ownSittings(small.database, seenOne(1), TODAY)).map(({ id }) => id)])
			for (const { familyId, seed } of await sittingItems(small.database, sitting)) asked.add(`${familyId} ${seed}`);
		expect(asked.size).toBe(2);
	});

	it('is off where the class has no minutes for it, and a coordinator of nothing changes nothing', async () => {
		await makeSecure(2, easy.id, days(-30));
		expect(await reviewAfter(locals(NOW), student(2))).not.toBeNull();
		const before = await habitsOf1({ reviewMinutes: 0 });
		expect(before.map(({ reviewMinutes }) => reviewMinutes)).toEqual([USUAL_HABITS.reviewMinutes]);
		expect(await reviewAfter(locals(NOW), student(2))).toBeNull();
		expect(await beginOwnWork(locals(NOW), student(2), 'review', 1)).toBeNull();
		await changeHabits(small.database, { staff: specialist, today: TODAY }, before, NOW);
		const stranger = { staff: { ...staffAs('teacher'), id: 999 as never }, today: TODAY };
		expect(await changeHabits(small.database, stranger, [{ ...before[0], reviewMinutes: 1 }], NOW)).toEqual([]);
		expect(await reviewAfter(locals(NOW), student(2))).not.toBeNull();
	});
});

describe('practice of their own choice', () => {
	it('waits until what was given is done, where the class wants it so', async () => {
		const set = await assignSet(
			small.database,
			specialist,
			oneSkillSet({
				skillId: small.skills[2].id,
				groupId: null,
				itemCount: 5,
				opensOn: TODAY,
				dueOn: addDays(TODAY, 3),
				studentIds: [1]
			}),
			NOW
		);
		expect((await ownPage(locals(NOW), student(1))).free).toMatchObject({ isAfterGiven: true });
		expect(await beginOwnWork(locals(NOW), student(1), 'free', easy.id)).toBeNull();
		await habitsOf1({ givenFirst: false });
		const free = (await ownPage(locals(NOW), student(1))).free!;
		expect(free.isAfterGiven).toBe(false);
		expect(free.secure).toContainEqual({ id: easy.id, name: easy.shortName });
		// What waits already is not proposed.
		expect(free.proposals.map(({ id }) => id)).not.toContain(small.skills[2].id);
		await habitsOf1({});
		await small.answerAll(
			1,
			await beginPractice(small.database, seenOne(1), { id: set }, small.skills, NOW),
			() => true
		);
	});

	it('is five questions of what is proposed or known, goes on where it was, and is told apart', async () => {
		const sitting = (await beginOwnWork(locals(NOW), student(1), 'free', easy.id))!;
		expect(await sittingItems(small.database, sitting)).toHaveLength(5);
		expect(await beginOwnWork(locals(NOW), student(1), 'free', easy.id)).toBe(sitting);
		await small.answerAll(1, sitting, () => true, 9_000, NOW, 2);
		const page = await ownPage(locals(NOW), student(1));
		expect(page.todo[0]).toMatchObject({ kind: 'free', id: easy.id, note: '2 of 5 done', isBegun: true });
		// Left, it is still there on other days, two weeks long, and goes on from there.
		for (const [after, isThere] of [
			[1, true],
			[14, true],
			[15, false]
		] as const) {
			const { todo } = await ownPage(locals(days(after)), student(1));
			expect(todo.filter(({ kind }) => kind === 'free').map(({ note }) => note)).toEqual(
				isThere ? ['2 of 5 done'] : []
			);
		}
		expect(await beginOwnWork(locals(days(1)), student(1), 'free', easy.id)).toBe(sitting);
		// Not theirs to choose.
		const further = small.skills.find(({ grade }) => grade === 7)!;
		expect(await beginOwnWork(locals(NOW), student(1), 'free', further.id)).toBeNull();
		await habitsOf1({ freePractice: false });
		expect((await ownPage(locals(NOW), student(1))).free).toBeNull();
		await habitsOf1({});
	});
});

describe('facts', () => {
	const fact = (position: number, response: number, isOver = false): SubmittedFact & { isOver: boolean } => ({
		id: `00000000-0000-4000-a000-00000000000${position}`,
		position,
		first: 6,
		second: 7,
		response,
		milliseconds: 2_000 + position,
		answeredAt: NOW.toISOString(),
		isOver
	});

	it('are those of the class, a run begun twice is one, and what is sent again is not stored twice', async () => {
		expect(await beginFacts(locals(NOW), student(1), 'add')).toBeNull();
		const id = (await beginFacts(locals(NOW), student(1), 'times'))!;
		expect(await beginFacts(locals(NOW), student(1), 'times')).toBe(id);
		const run = (await findFactRun(small.database, seenOne(1), id))!;
		expect(await findFactRun(small.database, seenOne(2), id)).toBeNull();
		const { answer } = askFact('times', { first: 6, second: 7 });
		await storeFacts(small.database, seenOne(1), run, [fact(0, answer), fact(1, answer + 1)], false, NOW);
		await storeFacts(small.database, seenOne(1), run, [fact(1, answer), fact(2, answer, true)], true, NOW);
		const tries = await factTries(small.database, seenOne(1), 'times');
		expect(tries.map(({ position, correct }) => [position, correct])).toEqual([
			[0, true],
			[1, false],
			[2, true]
		]);
		// However far behind a device's clock is, an answer comes after its run began.
		const behind = {
			...fact(3, answer),
			id: '00000000-0000-4000-a000-000000000099',
			answeredAt: '1999-01-01T00:00:00Z'
		};
		await storeFacts(small.database, seenOne(1), run, [{ ...behind, position: 3 }], false, NOW);
		const row = await small.database.row<{ early: number }>(
			'SELECT COUNT(*) AS early FROM fact_answer JOIN fact_run ON fact_run.id = run_id WHERE answered_at < started_at'
		);
		expect(Number(row!.early)).toBe(0);
		await small.database.run('DELETE FROM fact_answer WHERE run_id = ? AND position = 3', [id]);
		const page = (await factRunPage(locals(NOW), student(1), id))!;
		expect(page.run.isEnded).toBe(true);
		expect(page.during).toHaveLength(3);
		expect((await ownPage(locals(NOW), student(1))).facts.find(({ operation }) => operation === 'times')).toMatchObject(
			{
				done: 1,
				isOpen: false
			}
		);
		const next = (await beginFacts(locals(NOW), student(1), 'times'))!;
		expect(next).not.toBe(id);
		expect((await factRunPage(locals(NOW), student(1), next))!.before).toHaveLength(3);
		await habitsOf1({ factMinutes: 2, factOperations: ['add'] });
		expect((await ownPage(locals(NOW), student(1))).facts).toMatchObject([{ operation: 'add', minutes: 2 }]);
		expect(await beginFacts(locals(NOW), student(1), 'times')).toBeNull();
		await habitsOf1({});
	});

	it('are counted for staff as a count by hand does, with who has stopped', async () => {
		const run = (await findFactRun(
			small.database,
			seenOne(1),
			(await beginFacts(locals(NOW), student(1), 'divide'))!
		))!;
		const all = [1, 2, 3].map((n) => ({ ...fact(n, 6), id: `10000000-0000-4000-a000-00000000000${n}` }));
		await storeFacts(small.database, seenOne(1), run, all, true, NOW);
		const who = [{ id: seenOne(1), givenName: 'A', familyName: 'B', className: 'Avocet', grade: 4 }];
		const school = await findSchool(small.database, 1, NOW);
		const [row] = await factRows(small.database, school, who as never, 'divide');
		expect(row).toMatchObject({
			fluent: 1,
			slow: 0,
			notYet: 0,
			gained: 1,
			lastOn: TODAY,
			hasStopped: false,
			seconds: null
		});
		const later = await findSchool(small.database, 1, days(20));
		const [afterwards] = await factRows(small.database, later, who as never, 'divide');
		expect(afterwards).toMatchObject({ fluent: 1, gained: 0, hasStopped: true });
	});

	it('and all else that is done of themselves is counted by class', async () => {
		const school = await findSchool(small.database, 1, NOW);
		const { classes } = await habitsPage(small.database, specialist, school);
		const own = classes.find(({ classId }) => classId === 1)!;
		expect(own.lately).toMatchObject({ review: 1, free: 1, facts: 1 });
	});
});
