import { adviseFrom, type Recommendation } from '../../core/growth';
import type { Database } from '../database';
import { sessionCounts } from '../groups';
import type { School } from '../school';
import { circumstancesOf, probeSeries, readPlans } from '../track';
import type { Review } from './store/reviews';

/** The rules' advice for open reviews, from probes of the group's plan, its sessions, and what was changed so far. */
export async function adviceFor(
	database: Database,
	school: School,
	reviews: Review[]
): Promise<Map<number, Recommendation>> {
	const ids = [...new Set(reviews.map(({ studentId }) => studentId))];
	const [series, sessions] = await Promise.all([
		probeSeries(database, ids, school),
		sessionCounts(database, ids, school)
	]);
	const plans = await readPlans(
		database,
		school,
		series.filter(
			(plan) =>
				// A watch after an exit belongs to no group, and is no plan to be reviewed.
				!plan.afterExit &&
				reviews.some(({ studentId, groupId }) => plan.studentId === studentId && plan.groupId === groupId)
		)
	);
	return new Map(
		reviews.map(({ id, studentId, groupId }) => {
			const plan = plans.find((one) => one.studentId === studentId && one.groupId === groupId);
			const circumstances = circumstancesOf({
				phases: plan?.phases ?? [],
				levels: plan?.levels ?? [],
				sessions: sessions.get(`${studentId} ${groupId}`) ?? null
			});
			return [id, adviseFrom(plan?.reading?.look ?? null, circumstances)];
		})
	);
}
