import type { Given, ItemKey } from '../../../core/items';
import type { AskedQuestion, Run, Try } from '../../../core/results';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';

interface Row extends Omit<AskedQuestion, 'tries'>, Omit<Try, 'correct'> {
	studentId: number;
	attempt: number | null;
	correct: boolean | null;
}

/** Runs of some students through a set that are theirs now, question by question; those who have not begun are absent. */
export async function setRuns(database: Database, setId: number, studentIds: VisibleId[]): Promise<Run[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Row>(
		`SELECT sitting.student_id AS studentId, item.position, item.family_id AS familyId, item.seed, item.edition,
			item.skill_id AS skillId, answer.attempt, answer.correct, answer.milliseconds, answer.hints, answer.misconception
		FROM practice_set_student AS given
		JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
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

/** A try at a question of a set, with what was answered. */
export interface GivenTry extends Try, ItemKey {
	studentId: number;
	position: number;
	attempt: number;
	response: Given;
	answeredAt: Date;
}

/** Which tries are asked for: all at the questions of one place, of all students or of one. */
interface TriesAsked {
	position: number;
	studentIds: VisibleId[];
}

/** Tries at the questions that stand at one place of the runs of some students through a set, in their order. */
export async function triesAt(
	database: Database,
	setId: number,
	{ position, studentIds }: TriesAsked
): Promise<GivenTry[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Omit<GivenTry, 'response'> & { response: string }>(
		`SELECT sitting.student_id AS studentId, item.position, item.family_id AS familyId, item.seed, item.edition,
			answer.attempt, answer.correct, answer.milliseconds, answer.hints, answer.misconception, answer.response,
			answer.answered_at AS answeredAt
		FROM practice_set_student AS given
		JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		JOIN sitting_item AS item ON item.sitting_id = sitting.id AND item.position = ?
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE given.set_id = ? AND given.student_id IN (?)
		ORDER BY sitting.student_id, answer.attempt`,
		[position, setId, studentIds]
	);
	return rows.map((row) => ({
		...row,
		correct: Boolean(row.correct),
		response: JSON.parse(row.response) as Given
	}));
}

/** An answer within a set, with its id: for taking out. */
export interface SetAnswer extends GivenTry {
	id: string;
	skillId: number;
}

/** All answers of some students within the runs through a set that are theirs now, by student and question. */
export async function setAnswers(database: Database, setId: number, studentIds: VisibleId[]): Promise<SetAnswer[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Omit<SetAnswer, 'response'> & { response: string }>(
		`SELECT answer.id, sitting.student_id AS studentId, item.position, item.family_id AS familyId, item.seed, item.edition,
			item.skill_id AS skillId, answer.attempt, answer.correct, answer.milliseconds, answer.hints,
			answer.misconception, answer.response, answer.answered_at AS answeredAt
		FROM practice_set_student AS given
		JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		JOIN sitting_item AS item ON item.sitting_id = sitting.id
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		WHERE given.set_id = ? AND given.student_id IN (?)
		ORDER BY sitting.student_id, item.position, answer.attempt`,
		[setId, studentIds]
	);
	return rows.map((row) => ({
		...row,
		correct: Boolean(row.correct),
		response: JSON.parse(row.response) as Given
	}));
}
