import type { Database } from '../../database';
import { lockStudents } from '../../people';

/** Writes anew what is kept of students to be counted by. Belongs into the transaction that changed it. */
export async function refreshStudents(transaction: Database, studentIds: number[]): Promise<void> {
	if (studentIds.length === 0) return;
	await lockStudents(transaction, studentIds);
	await transaction.run(
		`INSERT INTO student_summary (student_id, waiting_from, review_from, probes_until)
		SELECT student.id,
			(SELECT MIN(practice_set.opens_on) FROM practice_set_student AS membership
				JOIN practice_set ON practice_set.id = membership.set_id
				LEFT JOIN sitting ON sitting.set_id = membership.set_id AND sitting.student_id = membership.student_id
					AND sitting.attempt = membership.attempt
				WHERE membership.student_id = student.id AND membership.excused_at IS NULL AND membership.closed_at IS NULL
					AND practice_set.withdrawn_at IS NULL
					AND sitting.finished_at IS NULL),
			(SELECT MIN(due_on) FROM review WHERE review.student_id = student.id AND review.verdict IS NULL),
			(SELECT MAX(LEAST(plan.goal_on, COALESCE(plan.ended_on - INTERVAL 1 DAY, plan.goal_on))) FROM probe_plan AS plan
				WHERE plan.student_id = student.id)
		FROM student WHERE student.id IN (?)
		ON DUPLICATE KEY UPDATE waiting_from = VALUES(waiting_from), review_from = VALUES(review_from), probes_until = VALUES(probes_until)`,
		[studentIds]
	);
}

/** What is kept of students, as text to compare by. */
export async function storedStudents(database: Database, studentIds: number[]): Promise<Map<string, string>> {
	const rows = await database.rows<{ studentId: number }>(
		`SELECT student_id AS studentId, waiting_from AS waitingFrom, review_from AS reviewFrom, probes_until AS probesUntil
		FROM student_summary WHERE student_id IN (?)`,
		[studentIds]
	);
	return new Map(rows.map((row) => [String(row.studentId), JSON.stringify(row)]));
}
