import type { Database } from './pool';
import type { Staff } from '../request';

/** Characters of detail: hundreds of students and what was noted of each. */
const MOST_DETAIL = 60_000;

/**
 * Writes down what a staff member did, in the same transaction as the deed.
 *
 * @param detail what was done, and to what; students in it (`student`, `students`, `studentIds`) are whom the entry is
 *   about. A change has what was `before` and `after`.
 */
export async function audit(
	database: Database,
	staff: Pick<Staff, 'id' | 'schoolId'>,
	at: Date,
	action: string,
	detail: Record<string, unknown>
): Promise<void> {
	const { insertId } = await database.run(
		'INSERT INTO audit_entry (school_id, account_id, at, action, detail) VALUES (?, ?, ?, ?, ?)',
		[staff.schoolId, staff.id, at, action, JSON.stringify(detail).slice(0, MOST_DETAIL)]
	);
	const students = [detail.student, detail.students, detail.studentIds].flat().filter((id) => typeof id === 'number');
	if (students.length)
		await database.run(
			`INSERT INTO audit_subject (entry_id, student_id)
			SELECT ?, id FROM student WHERE id IN (?) AND school_id = ?`,
			[insertId, students, staff.schoolId]
		);
}
