import { afterAll, beforeAll, expect, it } from 'vitest';
import { newProbes, NOW, seen, smallSchool, staffAs, TODAY, type SmallSchool } from '../../../../tests/smallSchool';
import { addDays } from '../../core/calendar';
import { GROWTH_PRIOR, LEAST_PROBES, LEAST_SERIES } from '../../core/growth';
import { paperForm } from '../../core/items/probeQuestions';
import { hasItems } from '../../core/items/bank';
import { placesOf, storePaperProbes } from '../sitting';
import { poolGrowth } from './poolGrowth';
import { seriesReadings } from './readings';
import { growthMoves } from './store/growthMoves';
import { probeSeries, startProbes } from './store/probes';

let small: SmallSchool;
const specialist = staffAs('specialist');
const STUDENTS = [1, 2, 3, 4, 5, 6, 7, 8];
const dayOf = (week: number) => new Date(NOW.getTime() + week * 7 * 86_400_000);
const END = addDays(TODAY, 84);

async function pool() {
	const steps = poolGrowth(small.database, NOW);
	for (;;) {
		const step = await steps.next();
		if (step.done) return step.value.pooled;
	}
}

/** Weekly probes of all students on a skill; nobody grows. */
async function seriesOn(skill: SmallSchool['skills'][number]) {
	const plan = { skillId: skill.id, groupId: null, startsOn: TODAY, goalOn: END };
	await startProbes(small.database, specialist, newProbes({ ...plan, studentIds: STUDENTS }), NOW);
	const own = (await probeSeries(small.database, seen(...STUDENTS), { ...small.school, today: END })).filter(
		({ skillId }) => skillId === skill.id
	);
	const places = await placesOf(small.database, own[0]);
	for (let week = 0; week < LEAST_PROBES; week++) {
		const letter = 'ABCDEFGHIJKL'[week];
		const { questions } = paperForm(places, letter);
		const marked = own.map(({ id, studentId }, i) => ({
			...{ planId: id, studentId, number: week + 1 },
			// The same in every week, give or take one.
			missed: questions.map((_, place) => place).filter((place) => place >= 4 + i + ((week + i) % 2))
		}));
		const at = { on: dayOf(week), at: dayOf(week) };
		await storePaperProbes(small.database, specialist, { letter, questions }, marked, small.skills, at);
	}
	return own;
}

beforeAll(async () => {
	small = await smallSchool('pool_growth');
});
afterAll(() => small.database.close());

it('how students grow is learned from a school’s own series once there are thirty, and its series are read by it', async () => {
	const skills = small.skills.filter(({ code, grade }) => grade === 3 && hasItems(code)).slice(0, 4);
	const [plan] = await seriesOn(skills[0]);
	for (const skill of skills.slice(1, 3)) await seriesOn(skill);
	expect(await pool()).toBe(0);
	expect(await growthMoves(small.database, 1)).toBeNull();
	const school = { ...small.school, today: END };
	const before = (await seriesReadings(small.database, school, [plan.id])).get(plan.id)!;
	await seriesOn(skills[3]);
	expect(await pool()).toBe(1);
	const moves = (await growthMoves(small.database, 1))!;
	expect(moves.series).toBe(4 * STUDENTS.length);
	expect(moves.series).toBeGreaterThanOrEqual(LEAST_SERIES);
	// Nobody grew.
	expect(moves.slope.mean).toBeLessThan(GROWTH_PRIOR.slope.mean);
	expect(await growthMoves(small.database, 2)).toBeNull();
	// The same series are not worked out twice.
	expect(await pool()).toBe(0);
	const after = (await seriesReadings(small.database, school, [plan.id])).get(plan.id)!;
	expect(after.probes).toEqual(before.probes);
	expect(after.ahead).not.toEqual(before.ahead);
	expect(after.look).toEqual(before.look);
});
