import { countSessions, type SessionDay, type Sessions } from '../../core/timetable';
import type { Database } from '../database';
import { sessionDaysOf } from '../groups';
import type { RosterStudent } from '../people';
import type { School } from '../school';
import { type ReadPlan, readPlans } from './readPlans';
import { probeSeries } from './store/probes';

/** A plan with its student and the sessions of its weeks. */
export interface ChartedPlan extends ReadPlan {
	student: Pick<RosterStudent, 'id' | 'givenName' | 'familyName' | 'className' | 'grade' | 'tier'>;
	days: SessionDay[];
	sessions: Sessions | null;
}

/** Series of students with their sessions, in the order of the students. */
export async function chartedPlans(
	database: Database,
	school: School,
	students: RosterStudent[]
): Promise<ChartedPlan[]> {
	const ids = students.map(({ id }) => id);
	const [series, days] = await Promise.all([probeSeries(database, ids, school), sessionDaysOf(database, ids, school)]);
	const plans = await readPlans(database, school, series);
	return students.flatMap(({ id, givenName, familyName, className, grade, tier }) =>
		plans
			.filter(({ studentId }) => studentId === id)
			.map((plan) => {
				const own = days.get(`${id} ${plan.groupId}`) ?? null;
				return {
					...plan,
					student: { id, givenName, familyName, className, grade, tier },
					days: own?.filter(({ on }) => on >= plan.startsOn) ?? [],
					sessions: own && countSessions(own, school.today)
				};
			})
	);
}
