import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import { refreshStudents } from '../../standing';
import { forgetReadings, isBegunSql } from '../../track';

/** What a change of a group did to its members' weekly probes, as it is stored to be undone. */
export interface CarriedPlans {
	ended: number[];
	begun: number[];
	/** Goal days that were moved, as they were before. */
	goals: { id: number; goalOn: SchoolDate }[];
}

/** SQL: a plan like another, from a day on. */
const LIKE = `INSERT INTO probe_plan (student_id, skill_id, group_id, starts_on, goal_on, goal_correct, questions, of_focus,
		in_two_weeks, on_day, level_checks, created_by)
	SELECT ?, ?, group_id, ?, goal_on, goal_correct, questions, of_focus, in_two_weeks, on_day, level_checks, created_by
	FROM probe_plan WHERE id = ? AND goal_on > ?`;

/** Begins a plan like another for a student; null where they have one on the skill, or the goal's day has come. */
async function beginLike(
	transaction: Database,
	plan: number,
	{ studentId, skillId, on }: { studentId: number; skillId: number; on: SchoolDate }
): Promise<number | null> {
	const running = await transaction.row(
		'SELECT 1 FROM probe_plan WHERE student_id = ? AND skill_id = ? AND ended_on IS NULL LIMIT 1',
		[studentId, skillId]
	);
	if (running) return null;
	const { insertId, affected } = await transaction.run(LIKE, [studentId, skillId, on, plan, on]);
	return affected ? insertId : null;
}

/** A group's weekly probes go over to another focus: those that run end, and begin on the new one with the same goal and day. */
export async function carryToFocus(
	transaction: Database,
	groupId: number,
	skillId: number,
	on: SchoolDate
): Promise<CarriedPlans> {
	const plans = await transaction.rows<{ id: number; studentId: number }>(
		`SELECT id, student_id AS studentId FROM probe_plan
		WHERE group_id = ? AND skill_id <> ? AND ended_on IS NULL ORDER BY id FOR UPDATE`,
		[groupId, skillId]
	);
	const begun: number[] = [];
	for (const { id, studentId } of plans) {
		const plan = await beginLike(transaction, id, { studentId, skillId, on });
		if (plan !== null) begun.push(plan);
	}
	const ended = plans.map(({ id }) => id);
	if (ended.length)
		await transaction.run('UPDATE probe_plan SET ended_on = GREATEST(?, starts_on) WHERE id IN (?)', [on, ended]);
	await refreshStudents(
		transaction,
		plans.map(({ studentId }) => studentId)
	);
	return { ended, begun, goals: [] };
}

/** Who joins a group in which others have weekly probes on its focus gets them, too. */
export async function carryToJoining(
	transaction: Database,
	groupId: number,
	studentIds: number[],
	on: SchoolDate
): Promise<CarriedPlans> {
	const like = await transaction.row<{ id: number; skillId: number }>(
		`SELECT id, skill_id AS skillId FROM probe_plan WHERE group_id = ? AND ended_on IS NULL ORDER BY id DESC LIMIT 1`,
		[groupId]
	);
	const begun: number[] = [];
	if (like)
		for (const studentId of studentIds) {
			const plan = await beginLike(transaction, like.id, { studentId, skillId: like.skillId, on });
			if (plan !== null) begun.push(plan);
		}
	if (begun.length) await refreshStudents(transaction, studentIds);
	return { ended: [], begun, goals: [] };
}

/** Weekly probes that aim at a group's last day aim at its new one. */
export async function carryToEnd(
	transaction: Database,
	groupId: number,
	from: SchoolDate,
	to: SchoolDate
): Promise<CarriedPlans> {
	const goals = await transaction.rows<{ id: number; goalOn: SchoolDate }>(
		`SELECT id, goal_on AS goalOn FROM probe_plan
		WHERE group_id = ? AND goal_on = ? AND starts_on < ? AND ended_on IS NULL FOR UPDATE`,
		[groupId, from, to]
	);
	const ids = goals.map(({ id }) => id);
	if (ids.length) await transaction.run('UPDATE probe_plan SET goal_on = ? WHERE id IN (?)', [to, ids]);
	await forgetReadings(transaction, ids);
	return { ended: [], begun: [], goals };
}

/** Whether a probe or level check was taken of a plan that began with a change: then it is not taken back any more. */
export async function isProbedSince(transaction: Database, { begun }: CarriedPlans): Promise<boolean> {
	if (begun.length === 0) return false;
	return (
		(await transaction.row(`SELECT 1 FROM probe_plan AS plan WHERE plan.id IN (?) AND ${isBegunSql('plan')} LIMIT 1`, [
			begun
		])) !== null
	);
}

/** Puts back what a change did to weekly probes, of which none was taken since. */
export async function takeCarriedBack(transaction: Database, { ended, begun, goals }: CarriedPlans): Promise<void> {
	if (begun.length) await transaction.run('DELETE FROM probe_plan WHERE id IN (?)', [begun]);
	if (ended.length) await transaction.run('UPDATE probe_plan SET ended_on = NULL WHERE id IN (?)', [ended]);
	for (const { id, goalOn } of goals)
		await transaction.run('UPDATE probe_plan SET goal_on = ? WHERE id = ?', [goalOn, id]);
	await forgetReadings(
		transaction,
		goals.map(({ id }) => id)
	);
	const ids = [...ended, ...begun];
	if (ids.length === 0) return;
	const students = await transaction.rows<{ studentId: number }>(
		'SELECT student_id AS studentId FROM probe_plan WHERE id IN (?)',
		[ids]
	);
	await refreshStudents(
		transaction,
		students.map(({ studentId }) => studentId)
	);
}
