import { weeksBetween } from '../../core/calendar';
import { advise, type Recommendation } from '../../core/growth';
import type { Database } from '../database';
import { sessionCounts } from '../groups';
import type { School } from '../school';
import { readStandings } from '../standing';
import { probeSeries } from '../track';
import type { Review } from './store/reviews';

/** The rule's advice for open reviews, from probes on the group's focus, standings and attendance. */
export async function adviceFor(
	database: Database,
	school: School,
	reviews: Review[]
): Promise<Map<number, Recommendation>> {
	const ids = [...new Set(reviews.map(({ studentId }) => studentId))];
	const [series, standings, attendance] = await Promise.all([
		probeSeries(database, ids, school),
		readStandings(database, ids),
		sessionCounts(database, ids, school)
	]);
	return new Map(
		reviews.map((review) => {
			const plan = series.find((one) => one.studentId === review.studentId && one.groupId === review.groupId);
			const sessions = attendance.get(`${review.studentId} ${review.groupId}`);
			const now = plan && standings.get(review.studentId)!.get(plan.skillId);
			return [
				review.id,
				advise({
					probes: plan?.probes ?? [],
					goal: plan ? { x: weeksBetween(plan.startsOn, plan.goalOn), y: plan.goalCorrect } : { x: 8, y: 7 },
					focusStandings: now ? [now.standing] : [],
					sessionsPlanned: sessions?.planned ?? 0,
					sessionsAttended: sessions?.attended ?? 0
				})
			];
		})
	);
}
