import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newProbes, NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../../tests/smallSchool';
import { addDays } from '../../../core/calendar';
import { DIFFICULTY_A_DIGIT, POINTS_PER_LOGIT, startingParameters, toPoints } from '../../../core/measurement';
import { LEVEL_CHECK_ITEMS } from '../../../core/screening';
import { scoreLevelCheck } from '../../screen';
import { beginLevelCheck, closings, sittingItems } from '../../sitting';
import { circumstancesOf, readPlans } from '../readPlans';
import { levelChecksToDo, levelsOf } from './levelChecks';
import { probeSeries, startProbes, undoStartProbes } from './probes';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('level_checks');
});
afterAll(() => small.database.close());

const specialist = staffAs('specialist');
const GOAL = addDays(TODAY, 70);
/** Within the two weeks of the plan's middle. */
const MIDDLE = addDays(TODAY, 36);
const at = (day: string) => new Date(`${day}T15:00:00Z`);
const schoolOn = (today: string) => ({ ...small.school, today });
const domainOf = (id: number) => small.skills.find((skill) => skill.id === id)!.domainId;
const start = (studentId: number, skillId = small.skills[5].id, levelChecks = true) =>
	startProbes(
		small.database,
		specialist,
		{ ...newProbes({ studentIds: [studentId], skillId, groupId: null, startsOn: TODAY, goalOn: GOAL }), levelChecks },
		NOW
	);
const toDo = async (studentId: number, day: string) =>
	levelChecksToDo(small.database, await probeSeries(small.database, seen(studentId), schoolOn(day)), domainOf, day);
const levels = async (studentId: number) =>
	(await levelsOf(small.database, seen(studentId))).get(`${studentId} ${domainOf(small.skills[5].id)}`) ?? [];

async function take(studentId: number, day: string, right: (position: number) => boolean, most?: number) {
	const [check] = await toDo(studentId, day);
	const sitting = await beginLevelCheck(small.database, studentId, check, small.skills, at(day));
	await small.answerAll(studentId, sitting, right, 9_000, at(day), most);
	return sitting;
}

/** Bayes on a grid of levels, written apart from the core: a normal prior, two-parameter answers with luck. */
function onGrid(answers: { a: number; b: number; c: number; correct: number }[], prior: { mean: number; sd: number }) {
	let [sum, first, second] = [0, 0, 0];
	for (let level = prior.mean - 6; level <= prior.mean + 6; level += 0.01) {
		let weight = Math.exp(-((level - prior.mean) ** 2) / (2 * prior.sd ** 2));
		for (const { a, b, c, correct } of answers) {
			const right = c + (1 - c) / (1 + Math.exp(-a * (level - b)));
			weight *= Number(correct) ? right : 1 - right;
		}
		[sum, first, second] = [sum + weight, first + weight * level, second + weight * level ** 2];
	}
	return { mean: first / sum, sd: Math.sqrt(second / sum - (first / sum) ** 2) };
}

describe('level checks', () => {
	it('wait in the middle of the plan, ask one domain, and are scored by their answers alone', async () => {
		await start(1);
		expect(await toDo(1, TODAY)).toEqual([]);
		expect(await toDo(1, MIDDLE)).toEqual([expect.objectContaining({ studentId: 1, place: 'middle', answered: 0 })]);
		const sitting = await take(1, MIDDLE, (position) => position % 3 > 0);
		expect(await toDo(1, MIDDLE)).toEqual([]);
		const items = await sittingItems(small.database, sitting);
		expect(items.length).toBe(LEVEL_CHECK_ITEMS);
		const rows = await small.database.rows<{
			correct: number;
			domain: number;
			grade: number;
			term: number;
			kind: string;
			options: number | null;
			digits: number | null;
		}>(
			`SELECT answer.correct, taught.domain_id AS domain, taught.grade, taught.term, item.kind, item.options, item.digits
			FROM answer JOIN sitting_item AS item USING (sitting_id, position)
			JOIN framework_skill AS taught ON taught.skill_id = item.skill_id AND taught.framework_id = (SELECT framework_id FROM school WHERE id = 1)
			WHERE answer.sitting_id = ?`,
			[sitting]
		);
		expect(new Set(rows.map(({ domain }) => domain))).toEqual(new Set([domainOf(small.skills[5].id)]));
		const answers = rows.map(({ correct, grade, term, kind, options, digits }) => {
			const item = startingParameters({ grade, term }, { kind: kind as 'number', options: options ?? undefined });
			return {
				a: item.discrimination,
				b: item.difficulty + DIFFICULTY_A_DIGIT * (digits ?? 0),
				c: item.guessing ?? 0,
				correct
			};
		});
		// Grade 4; the school has not said when its year begins, so it is its second term: 0 logits.
		const { mean, sd } = onGrid(answers, { mean: 0, sd: 1.1 });
		const [level] = await levels(1);
		expect(level).toMatchObject({ by: 'middle', on: MIDDLE });
		expect(level.score).toBeCloseTo(toPoints(mean), 1);
		expect(level.standardError).toBeCloseTo(POINTS_PER_LOGIT * sd, 1);
	});

	it('are part of what a review looks at: a fall from one to the next is known', async () => {
		await start(2);
		await take(2, MIDDLE, () => true);
		await take(2, addDays(GOAL, -2), () => false);
		const [plan] = await readPlans(
			small.database,
			schoolOn(GOAL),
			await probeSeries(small.database, seen(2), schoolOn(GOAL))
		);
		const { levelChecks } = circumstancesOf({ ...plan, sessions: null });
		expect(levelChecks.length).toBe(2);
		expect(levelChecks[0].score - levelChecks[1].score).toBeGreaterThan(60);
	});

	it('go on where they were left, and close with the plan', async () => {
		const [plan] = await start(3);
		const sitting = await take(3, MIDDLE, () => true, 7);
		const late = addDays(MIDDLE, 15);
		expect(await toDo(3, late)).toEqual([expect.objectContaining({ sittingId: sitting, answered: 7 })]);
		expect((await closings(small.database, [sitting], at(late))).size).toBe(0);
		await small.database.run('UPDATE probe_plan SET ended_on = ? WHERE id = ?', [late, plan]);
		expect(await toDo(3, late)).toEqual([]);
		expect((await closings(small.database, [sitting], at(late))).get(sitting)!.why).toBe('taken back');
		expect(await levels(3)).toEqual([]);
	});

	it('keep a plan from being taken back once begun; where nobody wants them there are none', async () => {
		const plans = await start(4);
		await take(4, MIDDLE, () => true, 1);
		expect(await undoStartProbes(small.database, specialist, plans, NOW)).toBe(0);
		await start(5, small.skills[5].id, false);
		expect(await toDo(5, MIDDLE)).toEqual([]);
	});

	it('are scored anew where an answer is judged otherwise, and twice begun are one', async () => {
		await start(6);
		const [check] = await toDo(6, MIDDLE);
		const begin = () => beginLevelCheck(small.database, 6, check, small.skills, at(MIDDLE));
		const [sitting, again] = [await begin(), await begin()];
		expect(again).toBe(sitting);
		await small.answerAll(6, sitting, () => false, 9_000, at(MIDDLE));
		const [before] = await levels(6);
		await small.database.run('UPDATE answer SET correct = TRUE WHERE sitting_id = ? AND position < 10', [sitting]);
		await small.database.transaction((transaction) =>
			scoreLevelCheck(transaction, sitting, small.skills, small.school)
		);
		const [after] = await levels(6);
		expect(after.score).toBeGreaterThan(before.score + 10);
	});
});
