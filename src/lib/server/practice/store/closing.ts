import { addDays, momentOf, schoolDateOf, type SchoolDate } from '../../../core/calendar';
import { isPastDue } from '../../../core/practice';
import type { RootDatabase } from '../../database';
import { refreshStudents } from '../../standing';

/** A set that closes has nobody left whose own time goes on so many days (a due date lies 120 ahead at most). */
const LONGEST = 200;

/**
 * Notes for whom sets that close are over, so that they are not counted as waiting any more. What a set takes goes by its
 * due date itself, not by this.
 *
 * @returns for how many students' sets
 */
export async function closeSets(database: RootDatabase, at: Date): Promise<number> {
	const utcDay = schoolDateOf(at, 'UTC');
	return database.transaction(async (transaction) => {
		const rows = await transaction.rows<{
			setId: number;
			studentId: number;
			dueOn: SchoolDate;
			dueMinute: number | null;
			timeZone: string;
		}>(
			`SELECT given.set_id AS setId, given.student_id AS studentId, COALESCE(given.due_on, practice_set.due_on) AS dueOn,
				practice_set.due_minute AS dueMinute, school.time_zone AS timeZone
			FROM practice_set
			JOIN practice_set_student AS given ON given.set_id = practice_set.id
			JOIN school ON school.id = practice_set.school_id
			WHERE practice_set.closes AND practice_set.withdrawn_at IS NULL AND practice_set.due_on > ? AND given.closed_at IS NULL
				AND COALESCE(given.due_on, practice_set.due_on) <= ?
			ORDER BY given.set_id, given.student_id
			FOR UPDATE`,
			[addDays(utcDay, -LONGEST), addDays(utcDay, 1)]
		);
		const over = rows.filter((row) => isPastDue(row, momentOf(at, row.timeZone)));
		if (over.length === 0) return 0;
		await transaction.run('UPDATE practice_set_student SET closed_at = ? WHERE (set_id, student_id) IN (?)', [
			at,
			over.map(({ setId, studentId }) => [setId, studentId])
		]);
		await refreshStudents(transaction, [...new Set(over.map(({ studentId }) => studentId))]);
		return over.length;
	});
}
