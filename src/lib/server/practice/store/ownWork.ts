import type { SetDates, SetHow, TimedAnswer } from '../../../core/practice';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import { idsIn, type SetNamed } from './practice';

/** A set that a student has finished. */
export interface FinishedSet extends Pick<SetNamed, 'name' | 'skillIds'>, Pick<SetDates, 'dueOn' | 'dueMinute'> {
	sittingId: number;
	feedback: SetHow['feedback'];
	answered: number;
	/** At the first try. */
	right: number;
	finishedAt: Date;
}

/** Sets that a student finished from an instant on, the last one first. */
export async function finishedSince(database: Database, studentId: VisibleId, since: Date): Promise<FinishedSet[]> {
	const rows = await database.rows<FinishedSet & { skillIds: string }>(
		`SELECT sitting.id AS sittingId, practice_set.name, practice_set.feedback, sitting.answered,
			COALESCE(given.due_on, practice_set.due_on) AS dueOn, practice_set.due_minute AS dueMinute,
			(SELECT GROUP_CONCAT(part.skill_id ORDER BY part.number) FROM practice_set_skill AS part
				WHERE part.set_id = given.set_id AND (given.skill_id IS NULL OR part.skill_id = given.skill_id)) AS skillIds,
			(SELECT COALESCE(SUM(answer.correct), 0) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1) AS \`right\`,
			sitting.finished_at AS finishedAt
		FROM sitting
		JOIN practice_set_student AS given ON given.set_id = sitting.set_id AND given.student_id = sitting.student_id
		JOIN practice_set ON practice_set.id = sitting.set_id
		WHERE sitting.student_id = ? AND sitting.kind = 'practice' AND sitting.finished_at >= ?
		ORDER BY sitting.finished_at DESC, sitting.id DESC`,
		[studentId, since]
	);
	return rows.map((row) => ({ ...row, skillIds: idsIn(row.skillIds), right: Number(row.right) }));
}

/** Answers that students gave in practice from an instant on, all tries, by student. */
export async function practiceTimes(
	database: Database,
	studentIds: VisibleId[],
	since: Date
): Promise<Map<number, TimedAnswer[]>> {
	const found = new Map<number, TimedAnswer[]>(studentIds.map((id) => [id, []]));
	if (studentIds.length === 0) return found;
	// By the sittings of these students that anything can have been answered in since.
	const rows = await database.rows<{ studentId: number; answeredAt: Date; milliseconds: number }>(
		`SELECT sitting.student_id AS studentId, answer.answered_at AS answeredAt, answer.milliseconds
		FROM sitting FORCE INDEX (by_set) JOIN answer ON answer.sitting_id = sitting.id
		WHERE sitting.student_id IN (?) AND sitting.set_id IS NOT NULL
			AND (sitting.finished_at IS NULL OR sitting.finished_at >= ?) AND answer.answered_at >= ?`,
		[studentIds, since, since]
	);
	for (const { studentId, answeredAt, milliseconds } of rows)
		found.get(studentId)!.push({ at: answeredAt.getTime(), milliseconds });
	return found;
}

/** When each of some students last worked on a set; those who never did are absent. */
export async function lastWorked(database: Database, studentIds: VisibleId[]): Promise<Map<number, Date>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<{ studentId: number; at: Date }>(
		`SELECT newest.student_id AS studentId, MAX(answer.answered_at) AS at
		FROM (SELECT student_id, MAX(id) AS id FROM sitting
			WHERE student_id IN (?) AND set_id IS NOT NULL AND answered > 0 GROUP BY student_id) AS newest
		JOIN answer ON answer.sitting_id = newest.id
		GROUP BY newest.student_id`,
		[studentIds]
	);
	return new Map(rows.map(({ studentId, at }) => [studentId, at]));
}
