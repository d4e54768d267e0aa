import type { Database } from '../database';
import { skillList } from '../library';
import { visibleAmong } from '../people';
import { idIn, numberIn, type Staff } from '../request';
import type { School } from '../school';
import type { Scope } from '../shell';
import { adviceAfterNext, askAbout } from './askAbout';
import { chartedPlans } from './chartedPlans';
import { runningPlans } from './store/probes';

/** Charts on one page. */
const AT_ONCE = 24;

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
		chosen: chosen
			? { ...(await askAbout(database, school, chosen)), next: await adviceAfterNext(database, school, chosen) }
			: null,
		/** Whether the selected student has no series. */
		isWithout: Boolean(looked) && own.length === 0
	};
}
