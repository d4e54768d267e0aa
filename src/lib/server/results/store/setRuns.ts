import type { Given, ItemKey } from '../../../core/items';
import type { AskedQuestion, Run, Try } from '../../../core/results';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';

interface Row extends Omit<AskedQuestion, 'tries'>, Omit<Try, 'correct'> {
	studentId: number;
	attempt: number | null;
	correct: boolean | null;
}

/** Runs through sets that are the students' now: of a set given once more, the last. */
const RUNS = `FROM practice_set_student AS given
		JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt`;

/** Runs of some students through a set that are theirs now, question by question; those who have not begun are absent. */
export async function setRuns(database: Database, setId: number, studentIds: VisibleId[]): Promise<Run[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Row>(
		`SELECT sitting.student_id AS studentId, item.position, item.family_id AS familyId, item.seed, item.edition,
			item.skill_id AS skillId, answer.attempt, answer.correct, answer.milliseconds, answer.hints, answer.misconception
		${RUNS}
		JOIN sitting_item AS item ON item.sitting_id = sitting.id
		LEFT JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE given.set_id = ? AND given.student_id IN (?)
		ORDER BY sitting.student_id, item.position, answer.attempt`,
		[setId, studentIds]
	);
	const runs = new Map<number, AskedQuestion[]>();
	for (const { studentId, attempt, correct, milliseconds, hints, misconception, ...place } of rows) {
		const questions = runs.get(studentId) ?? [];
		runs.set(studentId, questions);
		let question = questions.at(-1);
		if (question?.position !== place.position) questions.push((question = { ...place, tries: [] }));
		if (attempt !== null) question.tries.push({ correct: Boolean(correct), milliseconds, hints, misconception });
	}
	return [...runs].map(([studentId, questions]) => ({ studentId, questions }));
}

/** An answer within a set, with what was answered. */
export interface SetAnswer extends Try, ItemKey {
	id: string;
	studentId: number;
	position: number;
	skillId: number;
	attempt: number;
	response: Given;
	answeredAt: Date;
}

/**
 * Answers of some students within the runs through a set that are theirs now, by student and question, first tries first.
 *
 * @param position only those to the questions that stand there
 */
export async function setAnswers(
	database: Database,
	setId: number,
	studentIds: VisibleId[],
	position: number | null = null
): Promise<SetAnswer[]> {
	if (studentIds.length === 0) return [];
	const isThere = position === null ? { sql: '', values: [] } : { sql: 'AND item.position = ?', values: [position] };
	const rows = await database.rows<Omit<SetAnswer, 'response'> & { response: string }>(
		`SELECT answer.id, sitting.student_id AS studentId, item.position, item.family_id AS familyId, item.seed, item.edition,
			item.skill_id AS skillId, answer.attempt, answer.correct, answer.milliseconds, answer.hints,
			answer.misconception, answer.response, answer.answered_at AS answeredAt
		${RUNS}
		JOIN sitting_item AS item ON item.sitting_id = sitting.id ${isThere.sql}
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE given.set_id = ? AND given.student_id IN (?)
		ORDER BY sitting.student_id, item.position, answer.attempt`,
		[...isThere.values, setId, studentIds]
	);
	return rows.map((row) => ({
		...row,
		correct: Boolean(row.correct),
		response: JSON.parse(row.response) as Given
	}));
}
