import type { Given } from '../../../core/items';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import type { SetAnswer } from './setRuns';

/** Answers of students, all tries, within runs through sets that they began since an instant, in the order of the runs. */
export async function runAnswers(
	database: Database,
	studentIds: VisibleId[],
	since: Date
): Promise<(SetAnswer & { setId: number })[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Omit<SetAnswer, 'response'> & { response: string; setId: number }>(
		`SELECT answer.id, sitting.student_id AS studentId, sitting.set_id AS setId, item.position, item.family_id AS familyId,
			item.seed, item.edition, item.skill_id AS skillId, answer.attempt, answer.correct, answer.milliseconds,
			answer.hints, answer.misconception, answer.response, answer.answered_at AS answeredAt
		FROM sitting FORCE INDEX (by_set)
		JOIN practice_set ON practice_set.id = sitting.set_id AND NOT practice_set.done_only
		JOIN sitting_item AS item ON item.sitting_id = sitting.id
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE sitting.student_id IN (?) AND sitting.set_id IS NOT NULL AND sitting.started_at >= ?
			AND sitting.set_aside_at IS NULL
		ORDER BY sitting.student_id, sitting.started_at, sitting.id, item.position, answer.attempt`,
		[studentIds, since]
	);
	return rows.map((row) => ({
		...row,
		correct: Boolean(row.correct),
		response: JSON.parse(row.response) as Given
	}));
}
