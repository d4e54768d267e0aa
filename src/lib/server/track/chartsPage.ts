import { adviseFrom, type Recommendation, whatWouldChange } from '../../core/growth';
import type { Database } from '../database';
import { skillList } from '../library';
import { type RosterStudent, visibleAmong } from '../people';
import { practicedSince } from '../practice';
import { idIn, numberIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { schoolField } from '../standing';
import { type ChartedPlan, chartedPlans } from './chartedPlans';
import { circumstancesOf } from './readPlans';
import { goalOf, usualDifficulty } from './readings';
import { runningPlans } from './store/probes';
import { seriesAnswers } from './store/seriesAnswers';

/** Charts on one page. */
const AT_ONCE = 24;

/** One series asked about: the advice, what would change it, and minutes of practice since it began. */
async function askedAbout(database: Database, school: School, plan: ChartedPlan, student: RosterStudent) {
	const circumstances = circumstancesOf(plan);
	const recommendation: Recommendation = adviseFrom(plan.reading?.look ?? null, circumstances);
	const [field, practiced] = await Promise.all([
		schoolField(database, school.id),
		practicedSince(database, student.id, [plan.startsOn], school)
	]);
	const series = (await seriesAnswers(database, field, [plan])).get(plan.id)!;
	return {
		plan,
		recommendation,
		next: whatWouldChange({
			series,
			goal: goalOf(plan),
			focusDifficulty: usualDifficulty(field, plan.skillId),
			...circumstances
		}),
		practiced: practiced[0]
	};
}

/** The series of a scope as small charts, so many a page, and the one that is looked at in full. */
export async function chartsPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const [plans, students, skills] = await Promise.all([
		runningPlans(database, scope.roster),
		scope.students(),
		skillList(database, school.id)
	]);
	const has = new Set<number>(plans.map(({ studentId }) => studentId));
	const charted = students.filter(({ id }) => has.has(id));
	const from = numberIn(url, 'charts');
	const [wantedStudent, wantedPlan] = [idIn(url, 'student'), idIn(url, 'plan')];
	const [looked] = wantedStudent === null ? [] : await visibleAmong(database, staff, [wantedStudent], school.today);
	const own = looked ? await chartedPlans(database, school, [looked]) : [];
	const chosen = own.find(({ id }) => id === wantedPlan) ?? own[0];
	return {
		skillNames: Object.fromEntries(skills.map(({ id, shortName }) => [id, shortName])),
		without: students.length - charted.length,
		part: { from, most: AT_ONCE, total: charted.length },
		charts: await chartedPlans(database, school, charted.slice(from, from + AT_ONCE)),
		chosen: chosen && looked ? await askedAbout(database, school, chosen, looked) : null,
		/** Whether the selected student has no series. */
		isWithout: Boolean(looked) && own.length === 0
	};
}
