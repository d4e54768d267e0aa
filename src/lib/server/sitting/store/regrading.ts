import type { Answer, ItemKey } from '../../../core/items';
import type { SittingKind } from '../../../core/measurement';
import type { Database } from '../../database';

/** A correction of which there may be answers that are to be judged anew. */
export interface OpenCorrection extends ItemKey {
	id: number;
	schoolId: number;
	response: Answer;
	isUndone: boolean;
	/** Sittings up to this one are done. */
	regradedTo: number;
}

const OPEN = `id, school_id AS schoolId, edition, family_id AS familyId, seed, response, undone_at IS NOT NULL AS isUndone,
	regraded_to AS regradedTo`;

const open = (row: Omit<OpenCorrection, 'response'> & { response: string }): OpenCorrection => ({
	...row,
	response: JSON.parse(row.response) as Answer,
	isUndone: Boolean(row.isUndone)
});

/** The first correction that is to be gone through, locked until the end; null for none. */
export async function nextCorrection(transaction: Database): Promise<OpenCorrection | null> {
	const row = await transaction.row<Omit<OpenCorrection, 'response'> & { response: string }>(
		`SELECT ${OPEN} FROM correction WHERE regraded_to IS NOT NULL ORDER BY id LIMIT 1 FOR UPDATE`
	);
	return row && open(row);
}

/** Corrections of a school of which answers may still have to be judged anew. */
export async function openCorrections(database: Database, schoolId: number): Promise<Set<number>> {
	const rows = await database.rows<{ id: number }>(
		'SELECT id FROM correction FORCE INDEX (by_progress) WHERE regraded_to IS NOT NULL AND school_id = ?',
		[schoolId]
	);
	return new Set(rows.map(({ id }) => id));
}

/** Has all corrections gone through once more. */
export async function openAllCorrections(database: Database): Promise<void> {
	await database.run('UPDATE correction SET regraded_to = 0 WHERE regraded_to IS NULL');
}

/** Notes how far a correction was gone through; null for to the end. */
export async function noteRegraded(transaction: Database, correctionId: number, to: number | null): Promise<void> {
	await transaction.run('UPDATE correction SET regraded_to = ? WHERE id = ?', [to, correctionId]);
}

/** How many sittings of a school have a question, and how many of them come after one. */
export async function sittingsWith(
	database: Database,
	schoolId: number,
	{ edition, familyId, seed, regradedTo }: ItemKey & { regradedTo: number }
): Promise<{ inAll: number; left: number }> {
	const row = await database.row<{ inAll: number; left: number | null }>(
		`SELECT COUNT(*) AS inAll, SUM(item.sitting_id > ?) AS \`left\`
		FROM sitting_item AS item FORCE INDEX (by_item)
		JOIN sitting ON sitting.id = item.sitting_id
		JOIN student ON student.id = sitting.student_id AND student.school_id = ?
		WHERE item.edition = ? AND item.family_id = ? AND item.seed = ?`,
		[regradedTo, schoolId, edition, familyId, seed]
	);
	return { inAll: Number(row!.inAll), left: Number(row!.left ?? 0) };
}

/** A sitting with a question that is judged anew. */
interface SittingToRegrade {
	id: number;
	studentId: number;
	kind: SittingKind;
}

/** The next sittings of a school with a question, in their order, locked until the end. */
export async function nextSittings(
	transaction: Database,
	{ schoolId, edition, familyId, seed, regradedTo }: OpenCorrection,
	most: number
): Promise<SittingToRegrade[]> {
	return transaction.rows(
		`SELECT sitting.id, sitting.student_id AS studentId, sitting.kind
		FROM sitting_item AS item FORCE INDEX (by_item)
		STRAIGHT_JOIN sitting ON sitting.id = item.sitting_id
		STRAIGHT_JOIN student ON student.id = sitting.student_id AND student.school_id = ?
		WHERE item.edition = ? AND item.family_id = ? AND item.seed = ? AND item.sitting_id > ?
		ORDER BY item.sitting_id LIMIT ? FOR UPDATE`,
		[schoolId, edition, familyId, seed, regradedTo, most]
	);
}

/** An answer that is not right, or right only by a correction. */
interface JudgedAnswer {
	id: string;
	sittingId: number;
	response: Answer | null;
	misconception: string | null;
}

/** Answers to a question within some sittings that are not right, all tries. */
export async function wrongAnswers(
	transaction: Database,
	{ edition, familyId, seed }: ItemKey,
	sittingIds: number[]
): Promise<JudgedAnswer[]> {
	const rows = await transaction.rows<Omit<JudgedAnswer, 'response'> & { response: string }>(
		`SELECT answer.id, answer.sitting_id AS sittingId, answer.response, answer.misconception
		FROM sitting_item AS item
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position AND NOT answer.correct
		WHERE item.sitting_id IN (?) AND item.edition = ? AND item.family_id = ? AND item.seed = ?`,
		[sittingIds, edition, familyId, seed]
	);
	return rows.map((row) => ({ ...row, response: JSON.parse(row.response) as Answer | null }));
}

/** An answer that is right by a correction, with the idea that it showed before. */
export interface CorrectedAnswer {
	id: string;
	correctionId: number;
	misconception: string | null;
}

/** Notes that answers, which stand in the log as right already, are so by a correction only. */
export async function noteCorrected(transaction: Database, answers: CorrectedAnswer[]): Promise<void> {
	await transaction.insertMany(
		'INSERT INTO corrected_answer (answer_id, correction_id, misconception) VALUES ?',
		answers.map(({ id, correctionId, misconception }) => [id, correctionId, misconception])
	);
}

/** Judges answers as right by a correction. */
export async function judgeRight(transaction: Database, answers: CorrectedAnswer[]): Promise<void> {
	if (answers.length === 0) return;
	await noteCorrected(transaction, answers);
	await transaction.run('UPDATE answer SET correct = TRUE, misconception = NULL WHERE id IN (?)', [
		answers.map(({ id }) => id)
	]);
}

/** Judges what is right only by a correction within some sittings as before. @returns in which sittings there was any */
export async function judgeAsBefore(
	transaction: Database,
	correctionId: number,
	sittingIds: number[]
): Promise<Set<number>> {
	const rows = await transaction.rows<{ id: string; sittingId: number }>(
		`SELECT answer.id, answer.sitting_id AS sittingId
		FROM answer JOIN corrected_answer ON corrected_answer.answer_id = answer.id AND corrected_answer.correction_id = ?
		WHERE answer.sitting_id IN (?)`,
		[correctionId, sittingIds]
	);
	if (rows.length === 0) return new Set();
	const ids = rows.map(({ id }) => id);
	await transaction.run(
		`UPDATE answer JOIN corrected_answer ON corrected_answer.answer_id = answer.id
		SET answer.correct = FALSE, answer.misconception = corrected_answer.misconception
		WHERE answer.id IN (?)`,
		[ids]
	);
	await transaction.run('DELETE FROM corrected_answer WHERE answer_id IN (?)', [ids]);
	return new Set(rows.map(({ sittingId }) => sittingId));
}
