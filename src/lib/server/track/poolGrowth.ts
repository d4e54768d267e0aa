import { createHash } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import { LEAST_PROBES, LEAST_SERIES, phaseWeeks, poolMoves } from '../../core/growth';
import type { RootDatabase } from '../database';
import { schoolTimeZones } from '../people';
import { schoolField } from '../standing';
import { keepMoves, movesMadeOf, plansToPool } from './store/growthMoves';
import { phasesOf } from './store/phases';
import { seriesOfPlans } from './store/probes';
import { seriesAnswers } from './store/seriesAnswers';

/** Series that are learned from: the newest. */
const MOST_SERIES = 100;

/**
 * Works out for each school how its students move from week to week, from its newest series; a school with too few, or with the
 * same as last time, is left as it is. What its series say is then made anew as it is asked for.
 */
export async function* poolGrowth(
	database: RootDatabase,
	at: Date
): AsyncGenerator<{ progress: { schools: number }; checkpoint: null }, { pooled: number }> {
	let pooled = 0;
	for (const [i, { schoolId, timeZone }] of (await schoolTimeZones(database)).entries()) {
		const steps = poolSchool(database, { id: schoolId, today: '9999-12-31', timeZone }, at);
		let step = await steps.next();
		for (; !step.done; step = await steps.next()) yield { progress: { schools: i }, checkpoint: null };
		if (step.value) pooled++;
		yield { progress: { schools: i + 1 }, checkpoint: null };
	}
	return { pooled };
}

/** One school; between its steps other work of the thread goes on. @returns whether anything was worked out */
async function* poolSchool(
	database: RootDatabase,
	school: { id: number; today: string; timeZone: string },
	at: Date
): AsyncGenerator<void, boolean> {
	const found = await plansToPool(database, school.id, { probes: LEAST_PROBES, most: MOST_SERIES });
	if (found.length < LEAST_SERIES) return false;
	const field = await schoolField(database, school.id);
	const madeOf = createHash('md5').update(field.madeBy).update(JSON.stringify(found)).digest();
	if ((await movesMadeOf(database, school.id))?.equals(madeOf)) return false;
	const plans = await seriesOfPlans(
		database,
		school,
		found.map(({ id }) => id)
	);
	const [answers, phases] = await Promise.all([seriesAnswers(database, field, plans), phasesOf(database, plans)]);
	const series = plans
		.map((plan) => ({
			series: answers.get(plan.id)!,
			phases: phaseWeeks(phases.get(plan.id)!, plan.taken)
		}))
		.filter((one) => one.series.length > 0);
	const steps = poolMoves(series);
	let step = steps.next();
	for (; !step.done; step = steps.next()) {
		yield;
		await pause(0);
	}
	if (!step.value) return false;
	await keepMoves(database, school.id, { ...step.value, series: series.length }, madeOf, at);
	return true;
}
