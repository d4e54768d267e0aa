import { effectOf, ROSTER_EFFECTS, type RosterEffect } from '../../core/interchange/roster/effects';
import type { RosterChange, RosterDoubt } from '../../core/interchange/roster/schoolRoster';
import type { Database } from '../database';
import { rosterRules, rosterRuns, rosterSize, UNDO_DAYS } from '../people';
import { numberIn, type Staff } from '../request';
import type { School } from '../school';
import { leavesMany, planRun } from './applyRoster';
import { rosterSource } from './store/rosterSources';

/** Changes, and runs, that are shown at once. */
const AT_ONCE = 60;
const MOST_RUNS = 20;

/** What there is to look through of one effect. */
type Shown = { doubt: RosterDoubt } | { change: RosterChange };

/**
 * How a school takes rosters, what the one that waits would do, and what earlier ones did. The address asks for one
 * effect of the plan (`show=leave`).
 */
export async function rosterPage(database: Database, staff: Staff, school: School, url: URL, at: Date) {
	const [rules, runs, size, source] = await Promise.all([
		rosterRules(database, school.id),
		rosterRuns(database, school.id, MOST_RUNS),
		rosterSize(database, { staff, today: school.today }),
		rosterSource(database, school.id)
	]);
	const waiting = runs.find(({ state }) => state === 'planned') ?? null;
	const plan = waiting && (await planRun(database, school.id, waiting.id, school.today));
	const newest = runs.find(({ state }) => state === 'applied');
	const canUndo = newest && newest.appliedAt!.getTime() > at.getTime() - UNDO_DAYS * 86_400_000 ? newest.id : null;
	return {
		rules,
		source,
		runs: runs.filter(({ state }) => state !== 'planned'),
		canUndo,
		waiting: waiting && plan && { ...waiting, ...partOf(plan, url), isMany: leavesMany(plan, rules.mostLeaving) },
		hasStudents: size > 0
	};
}

function partOf(plan: NonNullable<Awaited<ReturnType<typeof planRun>>>, url: URL) {
	const by: Record<RosterEffect, Shown[]> = {
		settle: plan.doubts.map((doubt) => ({ doubt })),
		join: [],
		move: [],
		return: [],
		leave: [],
		change: [],
		find: [],
		classes: [],
		sections: [],
		adults: []
	};
	for (const change of plan.changes) by[effectOf(change)].push({ change });
	const counts = ROSTER_EFFECTS.map((effect) => ({ effect, count: by[effect].length })).filter(({ count }) => count);
	const asked = ROSTER_EFFECTS.find((effect) => effect === url.searchParams.get('show') && by[effect].length);
	const show = asked ?? counts[0]?.effect ?? null;
	const from = numberIn(url, 'from');
	const shown = show ? by[show] : [];
	return {
		key: plan.key,
		leaving: plan.leaving,
		changes: plan.changes.length,
		counts,
		show,
		rows: shown.slice(from, from + AT_ONCE),
		part: { from, most: AT_ONCE, total: shown.length },
		classNames: plan.classNames
	};
}
