import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { isBegunSql } from './probes';

/** Weeks for which a student is watched over after an exit, with a probe every second week. */
const WATCHED_WEEKS = 8;
/** The share that a student is to keep after an exit. */
const KEPT_SHARE = 0.85;

/**
 * Watches over a student after an exit: for each plan that ended with their group, a probe every second week on the same skill.
 * Belongs into the transaction of the verdict.
 *
 * @returns ids of the plans
 */
export async function beginWatch(
	transaction: Database,
	staff: Staff,
	endedPlans: number[],
	on: SchoolDate
): Promise<number[]> {
	const begun: number[] = [];
	for (const id of endedPlans) {
		const { insertId, affected } = await transaction.run(
			`INSERT INTO probe_plan (student_id, skill_id, group_id, starts_on, goal_on, goal_correct, questions, of_focus,
				in_two_weeks, on_day, after_exit, level_checks, created_by)
			SELECT student_id, skill_id, NULL, ?, ? + INTERVAL ? WEEK, CEIL(? * questions), questions, of_focus, 1, on_day, TRUE, level_checks, ?
			FROM probe_plan WHERE id = ?`,
			[on, on, WATCHED_WEEKS, KEPT_SHARE, staff.id, id]
		);
		if (affected) begun.push(insertId);
	}
	if (begun.length) {
		const students = await transaction.rows<{ studentId: number }>(
			'SELECT DISTINCT student_id AS studentId FROM probe_plan WHERE id IN (?)',
			[begun]
		);
		await refreshStudents(
			transaction,
			students.map(({ studentId }) => studentId)
		);
	}
	return begun;
}

/** Ends a watch that an exit began, where that is taken back; plans of which no probe was begun are gone. */
export async function endWatch(transaction: Database, planIds: number[], on: SchoolDate): Promise<void> {
	if (planIds.length === 0) return;
	await transaction.run(
		`DELETE FROM probe_plan
		WHERE id IN (?) AND NOT ${isBegunSql('probe_plan')}`,
		[planIds]
	);
	await transaction.run('UPDATE probe_plan SET ended_on = GREATEST(?, starts_on) WHERE id IN (?)', [on, planIds]);
}
