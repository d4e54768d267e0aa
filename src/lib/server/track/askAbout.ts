import { adviseFrom, type AdviceFrom, type LevelMarks, type Recommendation, whatWouldChange } from '../../core/growth';
import { shippedNorm, termSaid, toPoints, weekOfYear, yearOf } from '../../core/measurement';
import type { Database } from '../database';
import { domainList, skillList } from '../library';
import { practicedSince } from '../practice';
import { type School, schoolYears } from '../school';
import { cutScores } from '../screen';
import { schoolField } from '../standing';
import type { ChartedPlan } from './chartedPlans';
import { circumstancesOf } from './readPlans';
import { goalOf, usualDifficulty } from './readings';
import { growthMoves } from './store/growthMoves';
import { seriesAnswers } from './store/seriesAnswers';

/** One series asked about. */
export interface AskedPlan {
	plan: ChartedPlan;
	recommendation: Recommendation;
	/** Minutes of practice since it began. */
	practiced: number;
	/** What the levels of its domain are compared with. */
	marks: LevelMarks;
	/** The series of the school from which it is taken how its students grow; null as shipped. */
	pooled: number | null;
}

/** What levels in the domain of a series' focus are compared with on a day. */
async function marksOf(database: Database, school: School, { skillId, student }: ChartedPlan): Promise<LevelMarks> {
	const [skills, domains, years] = await Promise.all([
		skillList(database, school.id),
		domainList(database, school.id),
		schoolYears(database, school.id)
	]);
	const domainId = skills.find(({ id }) => id === skillId)!.domainId;
	const year = yearOf(school.today, years);
	const term = termSaid(school.today, year);
	const cuts = await cutScores(database, school.id, { measure: null, term });
	return {
		domain: domains.find(({ id }) => id === domainId)!.name,
		cut: cuts[student.grade] ?? null,
		norm: toPoints(shippedNorm(student.grade, weekOfYear(school.today, term, year)).median)
	};
}

/** A series with the advice and the practice since it began. */
export async function askAbout(database: Database, school: School, plan: ChartedPlan): Promise<AskedPlan> {
	const [[practiced], marks, moves] = await Promise.all([
		practicedSince(database, plan.student.id, [plan.startsOn], school),
		marksOf(database, school, plan),
		growthMoves(database, school.id)
	]);
	return {
		plan,
		recommendation: adviseFrom(plan.reading?.look ?? null, circumstancesOf(plan)),
		practiced,
		marks,
		pooled: moves?.series ?? null
	};
}

/** What the advice on a series will be after its next probe. Each number of right answers is worked through, so it is asked for only where it is shown. */
export async function adviceAfterNext(database: Database, school: School, plan: ChartedPlan): Promise<AdviceFrom[]> {
	const field = await schoolField(database, school.id);
	const series = (await seriesAnswers(database, field, [plan])).get(plan.id)!;
	return whatWouldChange({
		series,
		goal: goalOf(plan),
		focusDifficulty: usualDifficulty(field, plan.skillId),
		...circumstancesOf(plan)
	});
}
