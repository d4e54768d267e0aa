import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { sitAutumn } from '../../../../tests/autumnSittings';
import { type Answer, post, undo } from '../../../../tests/formPost';
import { oneSkillSet } from '../../../../tests/oneSkillSet';
import { NOW, seenOne, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { canonicalAnswer } from '../../core/items';
import { itemFrom } from '../../core/items/bank';
import { USUAL_HOW } from '../../core/practice';
import { keepRecurring } from '../jobs/store/jobs';
import { workJob } from '../jobs/workJob';
import { assignSet } from '../practice';
import { finishDiagnostic } from '../screen';
import {
	acceptedAnswers,
	beginPractice,
	practiceItem,
	regradeEverything,
	sittingItems,
	withAccepted
} from '../sitting';
import { regradeStep } from '../sitting/regrade';
import { fill } from '../database/seeding';
import { rebuildEverything } from '../standing/rebuild';
import { studentFields } from '../standing/store/studentFields';
import { acceptActions } from './acceptForm';
import { toldCorrections } from './corrections';
import { setResultsPage } from './setResultsPage';

let small: SmallSchool;
const specialist = staffAs('specialist');
const interventionist = staffAs('interventionist');
const WHY = 'The stem allows both.';

beforeAll(async () => {
	small = await smallSchool('accepting');
	await keepRecurring(small.database, NOW);
});
afterAll(() => small.database.close());

const act = (action: keyof typeof acceptActions, fields: Record<string, string>, staff = specialist) =>
	post(small, staff, acceptActions[action], fields);
const back = (answer: Answer) => undo(small, specialist, acceptActions, answer);
/** Lets the jobs that are due be done, a minute later each time. */
let minutes = 0;
const work = async () => {
	const now = new Date(NOW.getTime() + ++minutes * 60_000);
	while (await workJob(small.database, () => now));
};
const answersIn = (sittingId: number) =>
	small.database.rows<{ id: string; position: number; correct: boolean; misconception: string | null }>(
		'SELECT id, position, correct, misconception FROM answer WHERE sitting_id = ? ORDER BY position, attempt',
		[sittingId]
	);
const page = async (set: number, query = '') =>
	(await setResultsPage(
		small.database,
		specialist,
		small.school,
		set,
		new URL(`http://school.test/results?${query}`),
		NOW
	))!;
const fieldsOf = async (ids: number[]) => {
	const fields = await studentFields(small.database, ids);
	return ids.map((id) => JSON.stringify(fields.get(id)));
};

/** A set that students 1, 2 and 5 have; the first two give the same wrong answer to its first question. */
async function missedAlike() {
	const skill = small.skills.find(({ code }) => code === 'W25')!;
	const set = await assignSet(
		small.database,
		specialist,
		{
			...oneSkillSet({
				...{ skillId: skill.id, groupId: null, itemCount: 2, opensOn: TODAY, dueOn: addDays(TODAY, 4) },
				studentIds: [1, 2, 5]
			}),
			how: { ...USUAL_HOW, line: 80 }
		},
		NOW
	);
	const begin = (id: number) => beginPractice(small.database, seenOne(id), { id: set }, small.skills, NOW);
	const sittings = { 1: await begin(1), 2: await begin(2), 5: await begin(5) };
	const [{ familyId, seed }] = await sittingItems(small.database, sittings[1]);
	const item = itemFrom(familyId, seed);
	const wrong = item.expectedErrors[0];
	for (const id of [1, 2] as const) await small.answer(id, sittings[id], { position: 0, response: wrong.answer });
	return { set, sittings, item, wrong };
}

describe('another answer that is accepted for all', () => {
	it('judges every answer that says it anew: scores, ideas, standings and proofs follow, and its undo leads back', async () => {
		const { set, sittings, item, wrong } = await missedAlike();
		const [{ id: answerId }] = await answersIn(sittings[1]);
		const before = await fieldsOf([1, 2, 5]);
		expect((await page(set)).ideas).toMatchObject([{ misconception: wrong.misconception, times: 2 }]);

		const told = await act('accept', { answer: answerId, why: WHY });
		expect(told.done).toMatch(/2 answers of 2 students are judged anew/);
		expect((await page(set, 'question=0')).chosen!.accepted).toMatchObject([
			{ why: WHY, answers: 0, mayUndo: true, progress: { done: 0, of: 3 } }
		]);
		await work();
		const chosen = (await page(set, 'question=0')).chosen!;
		expect(chosen.accepted).toMatchObject([{ answers: 2, progress: null }]);
		// Of a page that began to read before: what it read may be of before, so that it looks again.
		const seen = await toldCorrections(small.database, specialist, { ...item, item }, new Set([chosen.accepted[0].id]));
		expect(seen).toMatchObject([{ progress: { done: 3, of: 3 } }]);
		expect(chosen.tries.map(({ correct, shows }) => [correct, shows])).toEqual([
			[true, null],
			[true, null]
		]);
		expect((await page(set)).ideas).toEqual([]);
		expect((await page(set)).rows.map(({ id, score }) => [id, score.right]).sort()).toEqual([
			[1, 1],
			[2, 1],
			[5, 0]
		]);
		const after = await fieldsOf([1, 2, 5]);
		expect(after[0]).not.toBe(before[0]);
		expect(after[1]).not.toBe(before[1]);

		// From now on, too: as it is stored, and on the device.
		await small.answer(5, sittings[5], { position: 0, response: wrong.answer });
		expect(await answersIn(sittings[5])).toMatchObject([{ correct: true, misconception: null }]);
		const accepted = await acceptedAnswers(small.database, [item]);
		const shown = await practiceItem(small.database, withAccepted(item, accepted({ ...item, schoolId: 1 })));
		expect(shown.proof.hashes).toHaveLength((await practiceItem(small.database, item)).proof.hashes.length + 1);
		expect(accepted({ ...item, schoolId: 2 })).toEqual([]);

		expect((await act('accept', { answer: answerId, why: WHY })).problem).toContain('right already');
		await back(told);
		await work();
		expect((await page(set)).ideas).toMatchObject([{ misconception: wrong.misconception, times: 3 }]);
		expect((await page(set)).rows.map(({ score }) => score.right)).toEqual([0, 0, 0]);
		expect((await fieldsOf([1, 2, 5])).slice(0, 2)).toEqual(before.slice(0, 2));
		const log = await small.database.rows<{ action: string; detail: string }>(
			`SELECT action, detail FROM audit_entry WHERE action LIKE '%accept another answer' ORDER BY id`
		);
		expect(log.map(({ action }) => action)).toEqual(['accept another answer', 'undo accept another answer']);
		expect(JSON.parse(log[0].detail)).toMatchObject({ why: WHY, students: [1, 2] });
	});

	it('asks anew what is to follow of a run that was under the line', async () => {
		const { sittings } = await missedAlike();
		await small.answerAll(1, sittings[1], () => true);
		await work();
		const followed = () =>
			small.database.rows<{ kind: string; why: string | null }>(
				'SELECT kind, why FROM follow_on WHERE sitting_id = ?',
				[sittings[1]]
			);
		// One of two right: under 80%.
		expect(await followed()).toEqual([{ kind: 'notice', why: 'below' }]);
		const [{ id: answer }] = await answersIn(sittings[1]);
		const told = await act('accept', { answer, why: WHY });
		await work();
		await work();
		expect(await followed()).toEqual([{ kind: 'nothing', why: null }]);
		await back(told);
		await work();
		await work();
		expect(await followed()).toEqual([{ kind: 'notice', why: 'below' }]);
	});

	it('is for whose set it is, within what they see, and for what can be right at all', async () => {
		const { sittings } = await missedAlike();
		const [{ id: answer }] = await answersIn(sittings[1]);
		expect((await act('accept', { answer, why: WHY }, interventionist)).problem).toBeTruthy();
		const elsewhere = { ...staffAs('coordinator', 20), schoolId: 2 };
		expect((await act('accept', { answer, why: WHY }, elsewhere)).problem).toContain('no such answer');
		expect((await act('accept', { answer, why: '' })).problem).toBeTruthy();
		const told = await act('accept', { answer, why: WHY });
		const { correction } = told.undo!.fields as { correction: string };
		expect((await act('refuse', { correction }, elsewhere)).problem).toContain('not yours');
		expect((await act('refuse', { correction }, interventionist)).problem).toContain('not yours');
		await back(told);
		expect((await act('refuse', { correction })).problem).toContain('undone already');
		await work();
	});

	it('misses no answer that is being stored meanwhile', async () => {
		const { sittings, item } = await missedAlike();
		const { id: answer } = (await answersIn(sittings[1]))[0];
		const regraded: Promise<unknown>[] = [];
		await small.database.transaction(async (transaction) => {
			// As an answer is stored: question and sitting are locked, and what is accepted is read.
			await transaction.row(
				`SELECT sitting.id FROM sitting_item AS item JOIN sitting ON sitting.id = item.sitting_id
				WHERE item.sitting_id = ? AND item.position = 0 FOR UPDATE`,
				[sittings[5]]
			);
			const accepted = await acceptedAnswers(transaction, [item]);
			expect(accepted({ ...item, schoolId: 1 })).toEqual([]);
			await act('accept', { answer, why: WHY });
			regraded.push(regradeStep(small.database, NOW));
			await transaction.run(
				`INSERT INTO answer (id, sitting_id, position, attempt, student_id, skill_id, response, correct, milliseconds,
					answered_at, received_at)
				SELECT UUID(), ?, 0, 1, 5, skill_id, response, correct, milliseconds, answered_at, received_at
				FROM answer WHERE id = ?`,
				[sittings[5], answer]
			);
		});
		await Promise.all(regraded);
		expect(await answersIn(sittings[5])).toMatchObject([{ correct: true, misconception: null }]);
	});
});

describe('regrading a screening', () => {
	const STUDENTS = 300;
	const scores = () =>
		small.database.rows<{ id: number; domain: number; theta: number; error: number; on: string }>(
			`SELECT sitting_id AS id, domain_id AS domain, theta, standard_error AS error, taken_on AS \`on\` FROM score
			WHERE sitting_id >= 100 ORDER BY sitting_id, domain_id`
		);

	it('is worked on step by step, and scores, standings and their rebuild agree before, with, and after it', async () => {
		await sitAutumn(small, { students: STUDENTS });
		await fill(
			small.database,
			'class_membership',
			Array.from({ length: STUDENTS }, (_, n) => ({ student_id: 100 + n, class_id: 1, from_on: '2026-08-24' }))
		);
		await small.database.run(`UPDATE sitting SET trust = 'open' WHERE id >= 100`);
		for (let id = 100; id < 100 + STUDENTS; id++)
			await small.database.transaction((transaction) => finishDiagnostic(transaction, id, small.skills, small.school));
		// All answered "1": a typed question that most missed.
		const asked = (await sittingItems(small.database, 100)).map((place) => ({
			...place,
			item: itemFrom(place.familyId, place.seed)
		}));
		const typed = asked.find(
			(one) => one.item.response.kind === 'number' && canonicalAnswer(one.item, one.item.key) !== '1'
		)!;
		const wrong = await small.database.rows<{ id: string; sitting: number; trust: string }>(
			`SELECT answer.id, sitting_id AS sitting, sitting.trust FROM answer JOIN sitting ON sitting.id = answer.sitting_id
			WHERE sitting_id >= 100 AND position = ? AND NOT correct ORDER BY sitting_id`,
			[typed.position]
		);
		expect(wrong.length).toBeGreaterThan(50);
		const before = await scores();
		await rebuildEverything(small.database);

		const told = await act('accept', { answer: wrong[0].id, why: WHY });
		expect(told.done).toContain(`${wrong.length} answers of ${wrong.length} students are judged anew`);
		const steps = [];
		for (let step; (step = await regradeStep(small.database, NOW));) steps.push(step);
		expect(steps.map(({ sittings }) => sittings)).toEqual([50, 100, 150, 200, 250, 300, 300]);
		expect(new Set(steps.map(({ of }) => of))).toEqual(new Set([STUDENTS]));
		expect(steps.reduce((sum, { answers }) => sum + answers, 0)).toBe(wrong.length);
		const after = await scores();
		const changed = new Set(before.filter((row, i) => row.theta !== after[i].theta).map(({ id }) => id));
		// Whose answer was wrong and counts: all of them, and nobody else.
		expect([...changed]).toEqual(wrong.filter(({ trust }) => trust === 'trusted').map(({ sitting }) => sitting));
		for (const [i, row] of before.entries()) {
			if (row.domain === 0) expect(after[i].theta).toBeGreaterThanOrEqual(row.theta);
			expect(after[i].on).toBe(row.on);
		}
		await rebuildEverything(small.database);
		expect(await regradeEverything(small.database, NOW)).toBe(0);
		expect(await rebuildEverything(small.database)).toMatchObject({ different: 0, summariesChanged: 0 });

		await back(told);
		await work();
		expect(await scores()).toEqual(before);
		expect(await regradeEverything(small.database, NOW)).toBe(0);
		await rebuildEverything(small.database);
		expect(await rebuildEverything(small.database)).toMatchObject({ different: 0, summariesChanged: 0 });
	}, 120_000);
});
