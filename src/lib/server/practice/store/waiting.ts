import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import { lockStudents, type RosterCount } from '../../people';

/** Students with a set that is open on a day and not finished. */
export const withWork = (today: SchoolDate): RosterCount => ({
	sql: 'COALESCE(summary.waiting_from <= ?, 0)',
	values: [today],
	join: { sql: 'LEFT JOIN student_summary AS summary ON summary.student_id = roster.id', values: [] }
});

/** Writes anew from when on work waits for students. Belongs into the transaction that changed it. */
export async function refreshWaiting(transaction: Database, studentIds: number[]): Promise<void> {
	if (studentIds.length === 0) return;
	await lockStudents(transaction, studentIds);
	await transaction.run(
		`INSERT INTO student_summary (student_id, waiting_from)
		SELECT student.id,
			(SELECT MIN(practice_set.opens_on) FROM practice_set_student AS membership
				JOIN practice_set ON practice_set.id = membership.set_id
				LEFT JOIN sitting ON sitting.set_id = membership.set_id AND sitting.student_id = membership.student_id
				WHERE membership.student_id = student.id AND practice_set.withdrawn_at IS NULL
					AND sitting.finished_at IS NULL)
		FROM student WHERE student.id IN (?)
		ON DUPLICATE KEY UPDATE waiting_from = VALUES(waiting_from)`,
		[studentIds]
	);
}

/** What is kept of when work waits, as text to compare by. */
export async function storedWaiting(database: Database, studentIds: number[]): Promise<Map<string, string>> {
	const rows = await database.rows<{ studentId: number; waitingFrom: string | null }>(
		'SELECT student_id AS studentId, waiting_from AS waitingFrom FROM student_summary WHERE student_id IN (?)',
		[studentIds]
	);
	return new Map(rows.map(({ studentId, waitingFrom }) => [String(studentId), String(waitingFrom)]));
}
