import { schoolDateOf, type SchoolDate } from '../../../core/calendar';
import { partedBy } from '../../../core/collect';
import { type ProbeForm, probeNumber, weekOfProbe } from '../../../core/growth';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { rosterSql, type Roster, type RosterCount, SUMMARY } from '../../people';
import type { School } from '../../school';
import { refreshStudents } from '../../standing';

/** Weekly probes of one student on one skill, from a week to a goal date. */
export interface ProbePlan extends ProbeForm {
	id: number;
	studentId: VisibleId;
	skillId: number;
	skillCode: string;
	groupId: number | null;
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	goalCorrect: number;
	/** Weekday on which it is given (ISO); null: any. */
	onDay: number | null;
	/** A missed probe that may be made up, by its number. */
	makeUp: number | null;
	/** Whether it watches over a student whose group ended because they no longer needed it. */
	afterExit: boolean;
	/** Whether the level of its domain is checked beside it. */
	levelChecks: boolean;
}

/** A probe that was taken. */
export interface TakenProbe {
	sittingId: number;
	/** Within its plan, from 1. */
	number: number;
	/** That it belongs to, from 0. */
	week: number;
	on: SchoolDate;
	right: number;
}

export interface ProbeSeries extends ProbePlan {
	taken: TakenProbe[];
	/** The probe of now, 1 in the first week; after the goal date there is none. */
	numberNow: number;
	/** Whether the probe of now is still to be taken. */
	due: boolean;
}

const PLAN = `plan.id, plan.student_id AS studentId, plan.skill_id AS skillId, skill.code AS skillCode, plan.group_id AS groupId,
	plan.starts_on AS startsOn, plan.goal_on AS goalOn, plan.goal_correct AS goalCorrect, plan.questions, plan.of_focus AS ofFocus,
	plan.in_two_weeks AS inTwoWeeks, plan.on_day AS onDay, plan.make_up AS makeUp, plan.after_exit AS afterExit, plan.level_checks AS levelChecks`;

/** SQL: what ends on a day that is to come runs until then. */
const isRunning = '(plan.ended_on IS NULL OR plan.ended_on > ?)';

/** SQL: whether a probe or a level check of a plan was begun. @param plan what the plan's row is called */
export const isBegunSql = (plan: string): string =>
	`(EXISTS (SELECT 1 FROM sitting WHERE sitting.plan_id = ${plan}.id)
		OR EXISTS (SELECT 1 FROM sitting WHERE sitting.level_plan_id = ${plan}.id))`;

/** As it is stored: how often in whole numbers. */
type PlanRow = Omit<ProbePlan, 'aWeek' | 'afterExit' | 'levelChecks'> & {
	inTwoWeeks: number;
	afterExit: number;
	levelChecks: number;
};
const toPlan = ({ inTwoWeeks, afterExit, levelChecks, ...plan }: PlanRow): ProbePlan => ({
	...plan,
	aWeek: inTwoWeeks / 2,
	afterExit: Boolean(afterExit),
	levelChecks: Boolean(levelChecks)
});

/** Running plans of students with the probes taken so far. */
export async function probeSeries(
	database: Database,
	studentIds: VisibleId[],
	school: Pick<School, 'today' | 'timeZone'>
): Promise<ProbeSeries[]> {
	if (studentIds.length === 0) return [];
	const plans = await database.rows<PlanRow>(
		`SELECT ${PLAN} FROM probe_plan AS plan FORCE INDEX (by_student) JOIN skill ON skill.id = plan.skill_id
		WHERE plan.student_id IN (?) AND ${isRunning}
		ORDER BY plan.student_id, plan.starts_on, plan.id`,
		[studentIds, school.today]
	);
	return withProbes(database, plans.map(toPlan), school);
}

/** Plans of a school by their ids, ended or not, with the probes taken. */
export async function seriesOfPlans(
	database: Database,
	school: Pick<School, 'id' | 'today' | 'timeZone'>,
	planIds: number[]
): Promise<ProbeSeries[]> {
	if (planIds.length === 0) return [];
	const plans = await database.rows<PlanRow>(
		`SELECT ${PLAN} FROM probe_plan AS plan FORCE INDEX (PRIMARY)
		JOIN skill ON skill.id = plan.skill_id
		JOIN student ON student.id = plan.student_id
		WHERE plan.id IN (?) AND student.school_id = ?
		ORDER BY plan.student_id, plan.starts_on, plan.id`,
		[planIds, school.id]
	);
	return withProbes(database, plans.map(toPlan), school);
}

async function withProbes(
	database: Database,
	plans: ProbePlan[],
	{ today, timeZone }: Pick<School, 'today' | 'timeZone'>
): Promise<ProbeSeries[]> {
	if (plans.length === 0) return [];
	const taken = await database.rows<{
		planId: number;
		sittingId: number;
		number: number;
		startedAt: Date;
		right: number;
	}>(
		`SELECT sitting.plan_id AS planId, sitting.id AS sittingId, sitting.probe_number AS number, sitting.started_at AS startedAt,
			COALESCE(SUM(answer.correct), 0) AS \`right\`
		FROM sitting LEFT JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.plan_id IN (?) AND sitting.finished_at IS NOT NULL
		GROUP BY sitting.id
		ORDER BY sitting.probe_number`,
		[plans.map(({ id }) => id)]
	);
	const takenFor = partedBy(taken, ({ planId }) => planId);
	return plans.map((plan) => {
		const numberNow = probeNumber(plan, today);
		const own = takenFor(plan.id);
		const isTaken = (wanted: number | null) => own.some(({ number }) => number === wanted);
		return {
			...plan,
			makeUp: isTaken(plan.makeUp) ? null : plan.makeUp,
			taken: own.map(({ sittingId, number, startedAt, right }) => ({
				sittingId,
				number,
				week: weekOfProbe(plan, number),
				on: schoolDateOf(startedAt, timeZone),
				right: Number(right)
			})),
			numberNow,
			due: numberNow >= 1 && today <= plan.goalOn && !isTaken(numberNow)
		};
	});
}

const isDue = `plan.starts_on <= ? AND plan.goal_on >= ? AND NOT EXISTS (
	SELECT 1 FROM sitting
	WHERE sitting.plan_id = plan.id AND sitting.probe_number = DATEDIFF(?, plan.starts_on) * plan.in_two_weeks DIV 14 + 1
		AND sitting.finished_at IS NOT NULL)`;

/** A running plan, as far as lists of many need it. */
export interface RunningPlan {
	id: number;
	studentId: VisibleId;
	skillId: number;
	groupId: number | null;
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	/** Weekday on which it is given (ISO); null: any. */
	onDay: number | null;
	due: boolean;
	/** Whether it watches over a student after an exit. */
	afterExit: boolean;
	/** Whether the level of its domain is checked beside it. */
	levelChecks: boolean;
	/** When its last probe was begun; null before the first. */
	lastAt: Date | null;
}

/** Running plans of a roster, by student, without their probes. */
export async function runningPlans(database: Database, roster: Roster): Promise<RunningPlan[]> {
	const among = rosterSql(roster);
	const { today } = roster;
	type Flags = 'due' | 'afterExit' | 'levelChecks';
	const rows = await database.rows<Omit<RunningPlan, Flags> & Record<Flags, number>>(
		// In this order: else the plans of a whole district may be read.
		`SELECT plan.id, plan.student_id AS studentId, plan.skill_id AS skillId, plan.group_id AS groupId,
			plan.starts_on AS startsOn, plan.goal_on AS goalOn, plan.on_day AS onDay, plan.after_exit AS afterExit,
			plan.level_checks AS levelChecks, ${isDue} AS due,
			(SELECT MAX(sitting.started_at) FROM sitting
				WHERE sitting.plan_id = plan.id AND sitting.finished_at IS NOT NULL) AS lastAt
		FROM ${among.sql} AS roster STRAIGHT_JOIN probe_plan AS plan ON plan.student_id = roster.id
		WHERE ${isRunning}
		ORDER BY plan.student_id, plan.starts_on, plan.id`,
		[today, today, today, ...among.values, today]
	);
	return rows.map((row) => ({
		...row,
		due: Boolean(row.due),
		afterExit: Boolean(row.afterExit),
		levelChecks: Boolean(row.levelChecks)
	}));
}

/** Students with a probe of the week, of a running plan, that is still to be taken: those that `probeSeries` calls due. */
export const dueProbes = (today: SchoolDate): RosterCount => ({
	sql: `IF(summary.probes_until >= ?, EXISTS (SELECT 1 FROM probe_plan AS plan
		WHERE plan.student_id = roster.id AND ${isRunning} AND ${isDue}), 0)`,
	values: [today, today, today, today, today],
	join: SUMMARY
});

interface NewPlan {
	/** With the form of each one's probes, and how many of its questions are to be right. */
	students: ({ id: number; goalCorrect: number } & ProbeForm)[];
	skillId: number;
	groupId: number | null;
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	/** Weekday on which probes are given (ISO); null: any. */
	onDay: number | null;
	/** Whether the level of its domain is checked beside it; it is where nobody says. */
	levelChecks?: boolean;
}

/** Starts weekly probes; a student who already has a running plan on the skill keeps it. @returns ids of new plans */
export async function startProbes(database: RootDatabase, staff: Staff, plan: NewPlan, at: Date): Promise<number[]> {
	return database.transaction(async (transaction) => {
		const studentIds = plan.students.map(({ id }) => id);
		await requireOwn(transaction, staff, { student: studentIds, group: [plan.groupId], skill: [plan.skillId] });
		// The students are locked, so that the same request sent twice starts one plan.
		await transaction.rows('SELECT id FROM student WHERE id IN (?) ORDER BY id FOR UPDATE', [studentIds]);
		const running = await transaction.rows<{ studentId: number }>(
			`SELECT student_id AS studentId FROM probe_plan
			WHERE student_id IN (?) AND skill_id = ? AND ended_on IS NULL`,
			[studentIds, plan.skillId]
		);
		const has = new Set(running.map(({ studentId }) => studentId));
		const ids: number[] = [];
		for (const { id, goalCorrect, questions, ofFocus, aWeek } of plan.students.filter(
			(student) => !has.has(student.id)
		)) {
			const { insertId } = await transaction.run(
				`INSERT INTO probe_plan (student_id, skill_id, group_id, starts_on, goal_on, goal_correct, questions, of_focus, in_two_weeks,
					on_day, level_checks, created_by)
				VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
				[
					...[id, plan.skillId, plan.groupId, plan.startsOn, plan.goalOn, goalCorrect],
					...[questions, ofFocus, 2 * aWeek, plan.onDay, plan.levelChecks ?? true, staff.id]
				]
			);
			ids.push(insertId);
		}
		if (ids.length === 0) return ids;
		await refreshStudents(transaction, studentIds);
		await audit(transaction, staff, at, 'start probes', { plans: ids });
		return ids;
	});
}

/** Takes back plans nobody has sat yet: own ones, of specialists and coordinators anyone's. @returns how many were taken back */
export async function undoStartProbes(
	database: RootDatabase,
	staff: Staff,
	planIds: number[],
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND plan.created_by = ?';
		const free = await transaction.rows<{ id: number; studentId: number }>(
			`SELECT plan.id, plan.student_id AS studentId FROM probe_plan AS plan
			JOIN student ON student.id = plan.student_id
			WHERE plan.id IN (?) AND student.school_id = ? AND NOT ${isBegunSql('plan')} ${ownOnly} FOR UPDATE`,
			[planIds, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (free.length === 0) return 0;
		for (const { id } of free) await transaction.run('DELETE FROM probe_plan WHERE id = ?', [id]);
		await refreshStudents(
			transaction,
			free.map(({ studentId }) => studentId)
		);
		await audit(transaction, staff, at, 'undo start probes', { plans: free.length });
		return free.length;
	});
}

/** Lets a missed probe be made up, or takes that back (null). @returns whether there is such a plan */
export async function letMakeUp(
	database: RootDatabase,
	staff: Staff,
	planId: number,
	number: number | null,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const plan = await transaction.row<{ studentId: number }>(
			`SELECT plan.student_id AS studentId FROM probe_plan AS plan
			JOIN student ON student.id = plan.student_id
			WHERE plan.id = ? AND student.school_id = ? AND plan.ended_on IS NULL FOR UPDATE`,
			[planId, staff.schoolId]
		);
		if (!plan) return false;
		await transaction.run('UPDATE probe_plan SET make_up = ? WHERE id = ?', [number, planId]);
		await audit(transaction, staff, at, number ? 'let make up a probe' : 'take back making up a probe', {
			plans: [planId],
			students: [plan.studentId]
		});
		return true;
	});
}
