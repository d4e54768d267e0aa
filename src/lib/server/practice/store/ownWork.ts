import type { SittingKind } from '../../../core/measurement';
import type { SetDates, SetHow, TimedAnswer } from '../../../core/practice';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import { idsIn, type SetNamed } from './practice';

/** Practice that a student has finished: a set, or what they did of themselves. */
export interface FinishedWork {
	sittingId: number;
	kind: SittingKind;
	/** Null of what they did of themselves. */
	set:
		| (Pick<SetNamed, 'name' | 'skillIds'> &
				Pick<SetDates, 'dueOn' | 'dueMinute'> &
				Pick<SetHow, 'feedback' | 'doneOnly'>)
		| null;
	answered: number;
	/** At the first try. */
	right: number;
	/** Of its first question. */
	skillId: number;
	finishedAt: Date;
}

/** Practice that a student finished from an instant on, the last first. */
export async function finishedSince(database: Database, studentId: VisibleId, since: Date): Promise<FinishedWork[]> {
	const rows = await database.rows<
		Omit<FinishedWork, 'set'> & {
			setId: number | null;
			name: string;
			feedback: SetHow['feedback'];
			doneOnly: boolean;
			dueOn: SetDates['dueOn'];
			dueMinute: number | null;
			skillIds: string;
		}
	>(
		`SELECT sitting.id AS sittingId, sitting.kind, sitting.set_id AS setId, practice_set.name, practice_set.feedback,
			practice_set.done_only AS doneOnly, sitting.answered, COALESCE(given.due_on, practice_set.due_on) AS dueOn, practice_set.due_minute AS dueMinute,
			(SELECT GROUP_CONCAT(part.skill_id ORDER BY part.number) FROM practice_set_skill AS part
				WHERE part.set_id = given.set_id AND (given.skill_id IS NULL OR part.skill_id = given.skill_id)) AS skillIds,
			(SELECT COALESCE(SUM(answer.correct), 0) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1) AS \`right\`,
			item.skill_id AS skillId, sitting.finished_at AS finishedAt
		FROM sitting
		JOIN sitting_item AS item ON item.sitting_id = sitting.id AND item.position = 0
		LEFT JOIN practice_set_student AS given
			ON given.set_id = sitting.set_id AND given.student_id = sitting.student_id
		LEFT JOIN practice_set ON practice_set.id = given.set_id
		WHERE sitting.student_id = ? AND sitting.kind IN ('practice', 'review', 'free') AND sitting.finished_at >= ?
			AND (sitting.set_id IS NULL OR given.set_id IS NOT NULL) AND sitting.set_aside_at IS NULL
		ORDER BY sitting.finished_at DESC, sitting.id DESC`,
		[studentId, since]
	);
	return rows.map(({ setId, name, feedback, doneOnly, dueOn, dueMinute, skillIds, ...row }) => ({
		...row,
		right: Number(row.right),
		set: setId === null ? null : { name, feedback, doneOnly, dueOn, dueMinute, skillIds: idsIn(skillIds) }
	}));
}

/** Answers that students gave in practice and in runs of facts from an instant on, all tries, by student. */
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
		WHERE sitting.student_id IN (?) AND sitting.kind IN ('practice', 'review', 'free')
			AND (sitting.finished_at IS NULL OR sitting.finished_at >= ?) AND answer.answered_at >= ?
			AND sitting.set_aside_at IS NULL
		UNION ALL
		SELECT student_id, answered_at, milliseconds FROM fact_answer
		WHERE student_id IN (?) AND operation IN ('add', 'take', 'times', 'divide') AND answered_at >= ?`,
		[studentIds, since, since, studentIds, since]
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
			WHERE student_id IN (?) AND kind IN ('practice', 'review', 'free') AND answered > 0 GROUP BY student_id) AS newest
		JOIN answer ON answer.sitting_id = newest.id
		GROUP BY newest.student_id`,
		[studentIds]
	);
	return new Map(rows.map(({ studentId, at }) => [studentId, at]));
}
