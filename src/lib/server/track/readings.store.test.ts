import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { newProbes, NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { growthPosterior, type ProbeAnswers } from '../../core/growth';
import { DIFFICULTY_A_DIGIT, startingParameters } from '../../core/measurement';
import { beginProbe } from '../sitting';
import { readPlans } from './readPlans';
import { rebuildReadings, seriesReadings } from './readings';
import { probeSeries, startProbes } from './store/probes';

const specialist = staffAs('specialist');
let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('readings');
});
afterAll(() => small.database.close());

const day = (week: number) => new Date(NOW.getTime() + week * 7 * 86_400_000);
const series = async (studentId: number, on = TODAY) =>
	(await probeSeries(small.database, seen(studentId), { ...small.school, today: on }))[0];

/** Weekly probes with so many right each. */
async function withProbes(studentId: number, counts: number[]) {
	await startProbes(
		small.database,
		specialist,
		newProbes({
			studentIds: [studentId],
			skillId: small.skills[5].id,
			groupId: null,
			startsOn: TODAY,
			goalOn: addDays(TODAY, 70)
		}),
		NOW
	);
	for (const [week, right] of counts.entries()) await probe(studentId, week, right);
	return series(studentId, addDays(TODAY, 70));
}

async function probe(studentId: number, week: number, right: number) {
	const sitting = await beginProbe(small.database, await series(studentId), week + 1, small.skills, day(week));
	await small.answerAll(studentId, sitting, (position) => position < right, 9_000, day(week));
}

describe('what series of probes say', () => {
	it('follows from the answers as hard as their questions were, counted by SQL written apart', async () => {
		const plan = await withProbes(1, [4, 6, 7]);
		const rows = await small.database.rows<{
			week: number;
			correct: number;
			grade: number;
			term: number;
			kind: string;
			options: number | null;
			digits: number | null;
		}>(
			`SELECT sitting.probe_number - 1 AS week, answer.correct, taught.grade, taught.term, item.kind, item.options, item.digits
			FROM answer
			JOIN sitting ON sitting.id = answer.sitting_id
			JOIN sitting_item AS item USING (sitting_id, position)
			JOIN framework_skill AS taught ON taught.skill_id = answer.skill_id AND taught.framework_id = 1
			WHERE sitting.plan_id = ? ORDER BY sitting.id, answer.position`,
			[plan.id]
		);
		expect(rows).toHaveLength(48);
		const byWeek = [0, 1, 2].map((week): ProbeAnswers => ({
			week,
			answers: rows
				.filter((row) => Number(row.week) === week)
				.map(({ correct, grade, term, kind, options, digits }) => {
					const item = startingParameters({ grade, term: term as 1 | 2 | 3 }, {
						kind,
						...(options && { options })
					} as never);
					return {
						correct: Boolean(correct),
						item: { ...item, difficulty: item.difficulty + DIFFICULTY_A_DIGIT * (digits ?? 0) }
					};
				})
		}));
		const reading = (await seriesReadings(small.database, small.school, [plan.id])).get(plan.id)!;
		expect(reading.probes.map(({ right, of }) => [right, of])).toEqual([
			[4, 16],
			[6, 16],
			[7, 16]
		]);
		const last = byWeek[2].answers.map(({ item }) => item);
		const chances = growthPosterior(byWeek).predict(10, last);
		expect(reading.chanceOfGoal).toBeCloseTo(
			chances.slice(14).reduce((sum, chance) => sum + chance, 0),
			5
		);
	});

	it('is kept, made anew after another probe, and found again by a rebuild', async () => {
		const plan = await withProbes(2, [3, 3]);
		const read = async () => (await seriesReadings(small.database, small.school, [plan.id])).get(plan.id)!;
		const first = await read();
		expect(JSON.stringify(await read())).toBe(
			JSON.stringify(first, (_, value) => (typeof value === 'number' ? Number(value.toFixed(6)) : value))
		);
		await probe(2, 2, 12);
		const next = await read();
		expect(next.probes).toHaveLength(3);
		expect(next.chanceOfGoal).toBeGreaterThan(first.chanceOfGoal);
		expect(await rebuildReadings(small.database)).toMatchObject({ different: 0 });
		await small.database.run(`UPDATE series_reading SET reading = REPLACE(reading, '"right":12', '"right":11')`);
		expect(await rebuildReadings(small.database)).toMatchObject({ different: 1 });
		expect(await read()).toEqual(JSON.parse(JSON.stringify(await read())));
		expect((await read()).probes[2].right).toBe(12);
	});

	it('is nothing before the first probe, and tells baseline and rate once there are three', async () => {
		await withProbes(3, []);
		const whole = async () => (await readPlans(small.database, small.school, [await series(3, addDays(TODAY, 70))]))[0];
		expect(await whole()).toMatchObject({ reading: null, baseline: null, aimline: null, rate: null });
		for (const [week, right] of [4, 5, 9].entries()) await probe(3, week, right);
		expect(await whole()).toMatchObject({
			baseline: 5,
			aimline: { from: { x: 1, y: 5 }, to: { x: 10, y: 14 }, slope: 1 },
			rate: { slope: 2.5 },
			goal: { week: 10, right: 14, of: 16 }
		});
	});
});
