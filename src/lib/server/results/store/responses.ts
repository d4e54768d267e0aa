import type { Given, ItemKey } from '../../../core/items';
import type { SittingKind } from '../../../core/measurement';
import type { Try } from '../../../core/results';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';

/** An answer of a student, with what it was given in. */
export interface Response extends Try, ItemKey {
	id: string;
	kind: SittingKind;
	/** Of practice that was given: the set, and the name it has of its own. */
	setId: number | null;
	setName: string | null;
	/** Of a run that is kept aside, because the student did the set anew. */
	isAside: boolean;
	/** The letter of the form where it was answered on paper: then `response` is no answer where it is not right. */
	paperForm: string | null;
	/** Right by a correction only, for why; null by the question's key. */
	correctedFor: string | null;
	skillId: number;
	attempt: number;
	position: number;
	response: Given;
	answeredAt: Date;
}

/** Which answers of a student are asked for; null for all. */
export interface ResponsesAsked {
	skillId: number | null;
	isRight: boolean | null;
	kind: SittingKind | null;
	/** Of one run through a diagnostic, a set, a probe or a check. */
	sittingId: number | null;
}

/** What a student has answered, the newest first: a part of the list, and how many answers there are. */
export async function responsesOf(
	database: Database,
	studentId: VisibleId,
	{ skillId, isRight, kind, sittingId }: ResponsesAsked,
	{ from, most }: { from: number; most: number }
): Promise<{ responses: Response[]; total: number }> {
	const conditions = [
		{ sql: 'answer.student_id = ?', value: studentId as number },
		skillId !== null && { sql: 'answer.skill_id = ?', value: skillId },
		isRight !== null && { sql: 'answer.correct = ?', value: isRight },
		kind !== null && { sql: 'sitting.kind = ?', value: kind },
		sittingId !== null && { sql: 'answer.sitting_id = ?', value: sittingId }
	].filter((condition) => condition !== false);
	const wanted = conditions.map(({ sql }) => sql).join(' AND ');
	const values = conditions.map(({ value }) => value);
	const found = `FROM answer FORCE INDEX (by_student_skill) JOIN sitting ON sitting.id = answer.sitting_id WHERE ${wanted}`;
	const count = await database.row<{ total: number }>(`SELECT COUNT(*) AS total ${found}`, values);
	const rows = await database.rows<Omit<Response, 'response'> & { response: string }>(
		`SELECT part.*, item.family_id AS familyId, item.seed, item.edition, practice_set.name AS setName,
			correction.why AS correctedFor
		FROM (
			SELECT answer.id, sitting.kind, sitting.set_id AS setId, answer.sitting_id AS sittingId, answer.skill_id AS skillId,
				answer.position, answer.attempt, answer.response, answer.correct, answer.misconception, answer.milliseconds,
				answer.hints, answer.answered_at AS answeredAt, sitting.set_aside_at IS NOT NULL AS isAside,
				sitting.paper_form AS paperForm
			${found}
			ORDER BY answer.answered_at DESC, answer.sitting_id DESC, answer.position DESC, answer.attempt DESC
			LIMIT ${Number(most)} OFFSET ${Number(from)}
		) AS part
		JOIN sitting_item AS item ON item.sitting_id = part.sittingId AND item.position = part.position
		LEFT JOIN practice_set ON practice_set.id = part.setId
		LEFT JOIN corrected_answer ON corrected_answer.answer_id = part.id
		LEFT JOIN correction ON correction.id = corrected_answer.correction_id
		ORDER BY part.answeredAt DESC, part.sittingId DESC, part.position DESC, part.attempt DESC`,
		values
	);
	return {
		responses: rows.map((row) => ({
			...row,
			correct: Boolean(row.correct),
			isAside: Boolean(row.isAside),
			response: JSON.parse(row.response) as Given
		})),
		total: Number(count!.total)
	};
}

/** Skills in whose questions a student has answered anything. */
export async function answeredSkills(database: Database, studentId: VisibleId): Promise<Set<number>> {
	const rows = await database.rows<{ id: number }>('SELECT DISTINCT skill_id AS id FROM answer WHERE student_id = ?', [
		studentId
	]);
	return new Set(rows.map(({ id }) => id));
}
