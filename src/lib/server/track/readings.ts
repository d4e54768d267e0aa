import { createHash } from 'node:crypto';
import {
	goalWeek,
	phaseWeeks,
	readSeries,
	READING_RULE,
	type Goal,
	type GrowthMoves,
	type SeriesReading
} from '../../core/growth';
import type { Database } from '../database';
import { schoolTimeZones } from '../people';
import type { School } from '../school';
import { fieldCode, schoolField, type SchoolField } from '../standing';
import { growthMoves } from './store/growthMoves';
import { phasesOf } from './store/phases';
import { type ProbePlan, type ProbeSeries, seriesOfPlans } from './store/probes';
import { keepReadings, keptReadings, keptText, plansWithReadings, revisionsOf } from './store/readings';
import { seriesAnswers } from './store/seriesAnswers';

/** What a plan's probes are to come to. */
export const goalOf = (plan: ProbePlan): Goal => ({
	week: goalWeek(plan),
	right: plan.goalCorrect,
	of: plan.questions
});

/** Of the usual question of a skill (logits). */
export function usualDifficulty({ field }: SchoolField, skillId: number): number {
	const place = field.placeOf.get(fieldCode(skillId));
	if (place === undefined) throw new RangeError(`the school does not teach skill ${skillId}`);
	return field.skills[place].difficulty;
}

/** Of all that readings follow from but the answers. */
const ruleOf = (field: SchoolField, moves: GrowthMoves | null): Buffer =>
	createHash('md5')
		.update(field.madeBy)
		.update(JSON.stringify([READING_RULE, moves?.slope, moves?.jump]))
		.digest();

/** Plans whose answers are in memory at once. */
const CHUNK = 50;

/** What plans' probes say, as kept or made anew where that is stale; a plan without a probe says nothing. */
export async function seriesReadings(
	database: Database,
	school: Pick<School, 'id' | 'today' | 'timeZone'>,
	planIds: number[]
): Promise<Map<number, SeriesReading>> {
	if (planIds.length === 0) return new Map();
	const [field, moves] = await Promise.all([schoolField(database, school.id), growthMoves(database, school.id)]);
	const madeBy = ruleOf(field, moves);
	const found = await keptReadings(database, planIds, madeBy);
	const stale = planIds.filter((id) => !found.has(id));
	for (let from = 0; from < stale.length; from += CHUNK) {
		const part = stale.slice(from, from + CHUNK);
		// Before the answers are read: what comes meanwhile makes it stale again.
		const revisions = await revisionsOf(database, part);
		const made = await makeReadings(database, { field, moves }, await seriesOfPlans(database, school, part));
		const kept = [...made].map(([planId, reading]) => ({ planId, reading, revision: revisions.get(planId)! }));
		await keepReadings(database, kept, madeBy);
		for (const [id, reading] of made) found.set(id, reading);
	}
	return found;
}

/**
 * Works out anew what all series say of which something is kept.
 *
 * @returns of how many, and of how many what was kept as holding was different
 */
export async function rebuildReadings(database: Database): Promise<{ series: number; different: number }> {
	let [series, different] = [0, 0];
	for (const { schoolId, timeZone } of await schoolTimeZones(database)) {
		const [field, moves] = await Promise.all([schoolField(database, schoolId), growthMoves(database, schoolId)]);
		const madeBy = ruleOf(field, moves);
		const ids = await plansWithReadings(database, schoolId);
		for (let from = 0; from < ids.length; from += CHUNK) {
			const part = ids.slice(from, from + CHUNK);
			const [kept, revisions] = [await keptReadings(database, part, madeBy), await revisionsOf(database, part)];
			const school = { id: schoolId, today: '9999-12-31', timeZone };
			const made = await makeReadings(database, { field, moves }, await seriesOfPlans(database, school, part));
			for (const [id, reading] of made) if (kept.has(id) && keptText(kept.get(id)!) !== keptText(reading)) different++;
			await keepReadings(
				database,
				[...made].map(([planId, reading]) => ({ planId, reading, revision: revisions.get(planId)! })),
				madeBy
			);
			series += made.size;
		}
	}
	return { series, different };
}

async function makeReadings(
	database: Database,
	{ field, moves }: { field: SchoolField; moves: GrowthMoves | null },
	plans: ProbeSeries[]
): Promise<Map<number, SeriesReading>> {
	const some = plans.filter(({ taken }) => taken.length);
	const [answers, phases] = await Promise.all([seriesAnswers(database, field, some), phasesOf(database, some)]);
	const made = new Map<number, SeriesReading>();
	for (const plan of some) {
		const series = answers.get(plan.id)!;
		if (series.length === 0) continue;
		const weeks = phaseWeeks(phases.get(plan.id)!, plan.taken);
		made.set(
			plan.id,
			readSeries(series, goalOf(plan), usualDifficulty(field, plan.skillId), weeks, moves ?? undefined)
		);
	}
	return made;
}
