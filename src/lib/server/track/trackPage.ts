import type { Database } from '../database';
import { currentGroups, cycleDates, sessionCounts } from '../groups';
import { skillList } from '../library';
import { visibleAmong, type RosterStudent } from '../people';
import { practicedSince } from '../practice';
import { FIRST_ROWS, idIn, type Staff } from '../request';
import { currentCycle, type School } from '../school';
import type { Scope } from '../shell';
import { readSeries } from './readSeries';
import { probeSeries, runningPlans } from './store/probes';

/**
 * Weekly probes of a scope: every student, those with probes first, the series that is looked at, and groups whose members
 * have none on their focus.
 */
export async function trackPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const [students, plans, skills, groups, cycle] = await Promise.all([
		scope.students(),
		runningPlans(database, scope.roster),
		skillList(database, school.id),
		currentGroups(database, staff, school.today),
		currentCycle(database, school.id, school.today)
	]);
	const dueOnly = url.searchParams.get('show') === 'due';
	const listed = new Set<number>(plans.filter(({ due }) => due || !dueOnly).map(({ studentId }) => studentId));
	const planned = students.filter(({ id }) => listed.has(id));
	const withPlans = new Set<number>(plans.map(({ studentId }) => studentId));
	const shown = dueOnly ? planned : [...planned, ...students.filter(({ id }) => !withPlans.has(id))];
	const has = new Set(plans.map(({ studentId, skillId }) => `${studentId} ${skillId}`));
	const inScope = new Set<number>(students.map(({ id }) => id));
	const [wantedStudent, wantedPlan] = [idIn(url, 'student'), idIn(url, 'plan')];
	const chosen =
		plans.find(({ id, studentId }) => id === wantedPlan && (!wantedStudent || studentId === wantedStudent)) ??
		plans.find(({ studentId }) => studentId === wantedStudent) ??
		(wantedStudent === null ? plans.find(({ studentId }) => studentId === planned[0]?.id) : undefined);
	const seen = chosen ? await visibleAmong(database, staff, [chosen.studentId], school.today) : [];
	const [looked] = await rowsOf(database, school, seen);
	const plan = looked?.plans.find(({ id }) => id === chosen!.id);
	const practiced = plan ? await practicedSince(database, seen[0].id, [plan.startsOn], school) : [];
	return {
		running: plans.length,
		due: plans.filter(({ due }) => due).length,
		without: students.length - withPlans.size,
		dueOnly,
		chosen: plan && { ...looked, plan: { ...plan, practiced: practiced[0] } },
		groups: groups
			.map(({ id, name, focusSkillId, studentIds }) => ({
				id,
				name,
				focusSkillId,
				free: studentIds.filter((one) => inScope.has(one) && !has.has(`${one} ${focusSkillId}`))
			}))
			.filter(({ free }) => free.length),
		skillNames: Object.fromEntries(skills.map(({ id, shortName }) => [id, shortName])),
		goalOn: cycleDates(cycle, school).endsOn,
		ids: shown.map(({ id }) => id as number),
		rows: await rowsOf(database, school, shown.slice(0, FIRST_ROWS))
	};
}

/** Rows of some students, with their series in full. */
export async function trackRows(database: Database, staff: Staff, school: School, ids: number[]) {
	return rowsOf(database, school, await visibleAmong(database, staff, ids, school.today));
}

async function rowsOf(database: Database, school: School, students: RosterStudent[]) {
	const ids = students.map(({ id }) => id);
	const [series, sessions] = await Promise.all([
		probeSeries(database, ids, school),
		sessionCounts(database, ids, school)
	]);
	return students.map(({ id, givenName, familyName, className }) => ({
		id: id as number,
		givenName,
		familyName,
		className,
		plans: series
			.filter(({ studentId }) => studentId === id)
			.map((plan) => ({ ...readSeries(plan), sessions: sessions.get(`${id} ${plan.groupId}`) ?? null }))
	}));
}
