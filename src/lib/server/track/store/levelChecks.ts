import { partedBy } from '../../../core/collect';
import {
	levelCheckDays,
	type BegunCheck,
	type Level,
	type LevelSource,
	openLevelChecks,
	type OpenCheck
} from '../../../core/growth';
import { POINTS_PER_LOGIT, toPoints } from '../../../core/measurement';
import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import type { ProbePlan } from './probes';

/** A level check that a student has to take now. */
export interface LevelCheckToDo extends OpenCheck {
	studentId: number;
	/** Questions answered; 0 before it is begun. */
	answered: number;
}

/** The level checks that students have to take on a day. @param domainOf of a skill */
export async function levelChecksToDo(
	database: Database,
	plans: Pick<ProbePlan, 'id' | 'studentId' | 'skillId' | 'startsOn' | 'goalOn' | 'afterExit' | 'levelChecks'>[],
	domainOf: (skillId: number) => number,
	today: SchoolDate
): Promise<LevelCheckToDo[]> {
	// Few plans have a check on a day: only theirs are asked about.
	const checked = plans.filter(
		(plan) => plan.levelChecks && levelCheckDays(plan).some(({ opensOn }) => opensOn <= today)
	);
	if (checked.length === 0) return [];
	const studentIds = [...new Set(checked.map(({ studentId }) => studentId))];
	const [begun, scores] = await Promise.all([
		database.rows<Omit<BegunCheck, 'isFinished'> & { isFinished: number; answered: number }>(
			`SELECT level_plan_id AS planId, level_place AS place, id AS sittingId, answered, finished_at IS NOT NULL AS isFinished
			FROM sitting WHERE level_plan_id IN (?)`,
			[checked.map(({ id }) => id)]
		),
		database.rows<{ studentId: number; domainId: number; on: SchoolDate }>(
			'SELECT student_id AS studentId, domain_id AS domainId, taken_on AS `on` FROM level_score WHERE student_id IN (?)',
			[studentIds]
		)
	]);
	const answeredIn = new Map(begun.map(({ sittingId, answered }) => [sittingId, answered]));
	const plansOf = partedBy(checked, ({ studentId }) => studentId);
	const begunFor = partedBy(begun, ({ planId }) => planId);
	const scoresOf = partedBy(scores, ({ studentId }) => studentId);
	return studentIds.flatMap((studentId) => {
		const own = plansOf(studentId);
		return openLevelChecks(
			own.map((plan) => ({ ...plan, domainId: domainOf(plan.skillId) })),
			own.flatMap(({ id }) => begunFor(id).map((one) => ({ ...one, isFinished: Boolean(one.isFinished) }))),
			scoresOf(studentId),
			today
		).map((check) => ({
			...check,
			studentId,
			answered: check.sittingId === null ? 0 : answeredIn.get(check.sittingId)!
		}));
	});
}

/** Levels of students in domains, by student and domain, in time: by diagnostics that count and by level checks; in points. */
export async function levelsOf(database: Database, studentIds: VisibleId[]): Promise<Map<string, Level[]>> {
	const levels = new Map<string, Level[]>();
	if (studentIds.length === 0) return levels;
	const rows = await database.rows<{
		studentId: number;
		domainId: number;
		by: LevelSource;
		on: SchoolDate;
		theta: number;
		standardError: number;
	}>(
		`SELECT student_id AS studentId, domain_id AS domainId, 'diagnostic' AS \`by\`, taken_on AS \`on\`, theta,
			standard_error AS standardError
		FROM score FORCE INDEX (by_origin) WHERE student_id IN (?) AND domain_id <> 0 AND source = 'diagnostic'
		UNION ALL
		SELECT level.student_id, level.domain_id, sitting.level_place, level.taken_on, level.theta, level.standard_error
		FROM level_score AS level JOIN sitting ON sitting.id = level.sitting_id
		WHERE level.student_id IN (?)
		ORDER BY \`on\``,
		[studentIds, studentIds]
	);
	for (const { studentId, domainId, by, on, theta, standardError } of rows) {
		const key = `${studentId} ${domainId}`;
		const level = { by, on, score: toPoints(theta), standardError: POINTS_PER_LOGIT * standardError };
		levels.set(key, [...(levels.get(key) ?? []), level]);
	}
	return levels;
}
