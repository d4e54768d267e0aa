import {
	adjustmentsTried,
	aimline,
	baseline,
	type Aimline,
	type Circumstances,
	type Goal,
	type Level,
	levelsSince,
	type Phase,
	type RobustLine,
	type SeriesReading,
	theilSen
} from '../../core/growth';
import type { Database } from '../database';
import type { Sessions } from '../../core/timetable';
import type { School } from '../school';
import { goalOf, seriesReadings } from './readings';
import { skillList } from '../library';
import { levelsOf } from './store/levelChecks';
import { phasesOf } from './store/phases';
import type { ProbeSeries } from './store/probes';

/** A plan of probes with all that it says. */
export interface ReadPlan extends ProbeSeries {
	goal: Goal;
	/** Null before the first probe. */
	reading: SeriesReading | null;
	/** Median of the first three probes, and the line from it to the goal; null while there are fewer. */
	baseline: number | null;
	aimline: Aimline | null;
	/** Questions right gained a week, as a robust line through the probes has it; null under three. */
	rate: RobustLine | null;
	phases: Phase[];
	/** Of the focus's domain, in points and in time: the last from before the first probe, and all since. */
	levels: Level[];
}

/** Probes from which a rate of improvement is told. */
const RATE_PROBES = 3;

/** What plans of students of a school say. */
export async function readPlans(
	database: Database,
	school: Pick<School, 'id' | 'today' | 'timeZone'>,
	plans: ProbeSeries[]
): Promise<ReadPlan[]> {
	const ids = plans.filter(({ taken }) => taken.length).map(({ id }) => id);
	const students = [...new Set(plans.map(({ studentId }) => studentId))];
	const [readings, phases, levels, skills] = await Promise.all([
		seriesReadings(database, school, ids),
		phasesOf(database, plans),
		levelsOf(database, students),
		skillList(database, school.id)
	]);
	const domainOf = new Map(skills.map(({ id, domainId }) => [id, domainId]));
	return plans.map((plan) => {
		const goal = goalOf(plan);
		const points = plan.taken.map(({ week, right }) => ({ x: week, y: right }));
		const weeks = new Set(plan.taken.map(({ week }) => week)).size;
		return {
			...plan,
			goal,
			reading: readings.get(plan.id) ?? null,
			baseline: baseline(points),
			aimline: aimline(points, { x: goal.week, y: goal.right }),
			rate: weeks >= RATE_PROBES ? theilSen(points, 0.8) : null,
			phases: phases.get(plan.id) ?? [],
			levels: levelsSince(levels.get(`${plan.studentId} ${domainOf.get(plan.skillId)}`) ?? [], plan.startsOn)
		};
	});
}

/** What a review looks at beside a series. */
export const circumstancesOf = ({
	phases,
	levels,
	sessions
}: Pick<ReadPlan, 'phases' | 'levels'> & { sessions: Sessions | null }): Circumstances => ({
	sessions: { planned: sessions?.planned ?? 0, attended: sessions?.attended ?? 0 },
	adjustmentsTried: adjustmentsTried(phases),
	levelChecks: levels
});
