import { cycleWeek, schoolDateOf, weeksBetween, type SchoolDate } from '../../../core/calendar';
import type { Point } from '../../../core/growth';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { rosterSql, type Roster, type RosterCount, SUMMARY } from '../../people';
import type { School } from '../../school';
import { refreshStudents } from '../../standing';

interface ProbePlan {
	id: number;
	studentId: number;
	skillId: number;
	skillCode: string;
	groupId: number | null;
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	goalCorrect: number;
}

export interface ProbeSeries extends ProbePlan {
	/** x: weeks since the plan's start; y: items right of 8. */
	probes: (Point & { on: SchoolDate })[];
	/** The week now, 1 in the first; probes after the goal date are none. */
	weekNow: number;
	/** Whether this week's probe is still to be taken. */
	due: boolean;
}

const PLAN = `plan.id, plan.student_id AS studentId, plan.skill_id AS skillId, skill.code AS skillCode, plan.group_id AS groupId,
	plan.starts_on AS startsOn, plan.goal_on AS goalOn, plan.goal_correct AS goalCorrect`;

/** Running plans of students with the probes taken so far. */
export async function probeSeries(
	database: Database,
	studentIds: VisibleId[],
	{ today, timeZone }: Pick<School, 'today' | 'timeZone'>
): Promise<ProbeSeries[]> {
	if (studentIds.length === 0) return [];
	const plans = await database.rows<ProbePlan>(
		`SELECT ${PLAN} FROM probe_plan AS plan JOIN skill ON skill.id = plan.skill_id
		WHERE plan.student_id IN (?) AND plan.ended_on IS NULL
		ORDER BY plan.student_id, plan.starts_on, plan.id`,
		[studentIds]
	);
	if (plans.length === 0) return [];
	const taken = await database.rows<{
		planId: number;
		week: number;
		startedAt: Date;
		correct: number;
		finishedAt: Date | null;
	}>(
		`SELECT sitting.plan_id AS planId, sitting.week, sitting.started_at AS startedAt, sitting.finished_at AS finishedAt,
			COALESCE(SUM(answer.correct), 0) AS correct
		FROM sitting LEFT JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.plan_id IN (?)
		GROUP BY sitting.id
		ORDER BY sitting.week`,
		[plans.map(({ id }) => id)]
	);
	return plans.map((plan) => {
		const own = taken.filter((probe) => probe.planId === plan.id);
		const done = own.filter((probe) => probe.finishedAt);
		const weekNow = cycleWeek(plan.startsOn, today);
		return {
			...plan,
			probes: done.map((probe) => {
				const on = schoolDateOf(probe.startedAt, timeZone);
				return { x: weeksBetween(plan.startsOn, on), y: Number(probe.correct), on };
			}),
			weekNow,
			due: weekNow >= 1 && today <= plan.goalOn && !done.some((probe) => probe.week === weekNow)
		};
	});
}

const isDue = `plan.starts_on <= ? AND plan.goal_on >= ? AND NOT EXISTS (
	SELECT 1 FROM sitting
	WHERE sitting.plan_id = plan.id AND sitting.week = DATEDIFF(?, plan.starts_on) DIV 7 + 1
		AND sitting.finished_at IS NOT NULL)`;

/** Running plans of a roster, by student, without their probes. */
export async function runningPlans(
	database: Database,
	roster: Roster
): Promise<{ id: number; studentId: VisibleId; skillId: number; due: boolean }[]> {
	const among = rosterSql(roster);
	const { today } = roster;
	const rows = await database.rows<{ id: number; studentId: VisibleId; skillId: number; due: number }>(
		// In this order: else the plans of a whole district may be read.
		`SELECT plan.id, plan.student_id AS studentId, plan.skill_id AS skillId, ${isDue} AS due
		FROM ${among.sql} AS roster STRAIGHT_JOIN probe_plan AS plan ON plan.student_id = roster.id
		WHERE plan.ended_on IS NULL
		ORDER BY plan.student_id, plan.starts_on, plan.id`,
		[today, today, today, ...among.values]
	);
	return rows.map((row) => ({ ...row, due: Boolean(row.due) }));
}

/** Students with a probe of the week, of a running plan, that is still to be taken: those that `probeSeries` calls due. */
export const dueProbes = (today: SchoolDate): RosterCount => ({
	sql: `IF(summary.plans > 0, EXISTS (SELECT 1 FROM probe_plan AS plan
		WHERE plan.student_id = roster.id AND plan.ended_on IS NULL AND ${isDue}), 0)`,
	values: [today, today, today],
	join: SUMMARY
});

interface NewPlan {
	studentIds: number[];
	skillId: number;
	groupId: number | null;
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	goalCorrect: number;
}

/** Starts weekly probes; a student who already has a running plan on the skill keeps it. @returns ids of new plans */
export async function startProbes(database: RootDatabase, staff: Staff, plan: NewPlan, at: Date): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: plan.studentIds, group: [plan.groupId], skill: [plan.skillId] });
		// The students are locked, so that the same request sent twice starts one plan.
		await transaction.rows('SELECT id FROM student WHERE id IN (?) ORDER BY id FOR UPDATE', [plan.studentIds]);
		const running = await transaction.rows<{ studentId: number }>(
			`SELECT student_id AS studentId FROM probe_plan
			WHERE student_id IN (?) AND skill_id = ? AND ended_on IS NULL`,
			[plan.studentIds, plan.skillId]
		);
		const has = new Set(running.map(({ studentId }) => studentId));
		const ids: number[] = [];
		for (const studentId of plan.studentIds.filter((id) => !has.has(id))) {
			const { insertId } = await transaction.run(
				`INSERT INTO probe_plan (student_id, skill_id, group_id, starts_on, goal_on, goal_correct, created_by)
				VALUES (?, ?, ?, ?, ?, ?, ?)`,
				[studentId, plan.skillId, plan.groupId, plan.startsOn, plan.goalOn, plan.goalCorrect, staff.id]
			);
			ids.push(insertId);
		}
		if (ids.length === 0) return ids;
		await refreshStudents(transaction, plan.studentIds);
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
			LEFT JOIN sitting ON sitting.plan_id = plan.id
			WHERE plan.id IN (?) AND student.school_id = ? AND sitting.id IS NULL ${ownOnly} FOR UPDATE`,
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
