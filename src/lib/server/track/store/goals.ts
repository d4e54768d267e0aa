import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';

/** A goal of weekly probes. */
export interface NewGoal {
	planId: number;
	goalCorrect: number;
	goalOn: SchoolDate;
}

/**
 * Gives a plan of the school another goal; belongs into the transaction of what was decided.
 *
 * @returns the goal before; null where there is no such plan, or the goal does not fit it
 */
export async function changeGoal(transaction: Database, staff: Staff, goal: NewGoal): Promise<NewGoal | null> {
	const plan = await transaction.row<NewGoal & { studentId: number; questions: number; startsOn: SchoolDate }>(
		`SELECT plan.id AS planId, plan.goal_correct AS goalCorrect, plan.goal_on AS goalOn, plan.questions,
			plan.starts_on AS startsOn, plan.student_id AS studentId
		FROM probe_plan AS plan JOIN student ON student.id = plan.student_id
		WHERE plan.id = ? AND student.school_id = ? FOR UPDATE`,
		[goal.planId, staff.schoolId]
	);
	if (!plan || goal.goalCorrect < 1 || goal.goalCorrect > plan.questions || goal.goalOn <= plan.startsOn) return null;
	await transaction.run('UPDATE probe_plan SET goal_correct = ?, goal_on = ? WHERE id = ?', [
		goal.goalCorrect,
		goal.goalOn,
		goal.planId
	]);
	await refreshStudents(transaction, [plan.studentId]);
	return { planId: plan.planId, goalCorrect: plan.goalCorrect, goalOn: plan.goalOn };
}
