import { adviseFrom, type AdviceFrom, type Recommendation, whatWouldChange } from '../../core/growth';
import type { Database } from '../database';
import { practicedSince } from '../practice';
import type { School } from '../school';
import { schoolField } from '../standing';
import type { ChartedPlan } from './chartedPlans';
import { circumstancesOf } from './readPlans';
import { goalOf, usualDifficulty } from './readings';
import { seriesAnswers } from './store/seriesAnswers';

/** One series asked about. */
export interface AskedPlan {
	plan: ChartedPlan;
	recommendation: Recommendation;
	/** What the advice will be after the next probe. */
	next: AdviceFrom[];
	/** Minutes of practice since it began. */
	practiced: number;
}

/** A series with the advice, what would change it, and the practice since it began. */
export async function askAbout(database: Database, school: School, plan: ChartedPlan): Promise<AskedPlan> {
	const circumstances = circumstancesOf(plan);
	const [field, [practiced]] = await Promise.all([
		schoolField(database, school.id),
		practicedSince(database, plan.student.id, [plan.startsOn], school)
	]);
	const series = (await seriesAnswers(database, field, [plan])).get(plan.id)!;
	return {
		plan,
		recommendation: adviseFrom(plan.reading?.look ?? null, circumstances),
		next: whatWouldChange({
			series,
			goal: goalOf(plan),
			focusDifficulty: usualDifficulty(field, plan.skillId),
			...circumstances
		}),
		practiced
	};
}
