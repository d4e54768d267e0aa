import type { Answer, ItemKey } from '../../../core/items';
import { audit, type Database, type RootDatabase } from '../../database';
import { hastenJob } from '../../jobs';
import type { Staff } from '../../request';

/** Another answer to a question than its key says, that a school accepts from all who are asked it. */
export interface AcceptedAnswer {
	/** Of the correction. */
	id: number;
	schoolId: number;
	response: Answer;
}

const nameOf = ({ edition, familyId, seed }: ItemKey) => `${edition} ${familyId} ${seed}`;

/**
 * What schools accept beside the keys of questions, by question. Whoever stores answers reads it once their sittings are locked:
 * a correction that comes after that goes through the sitting once it is free.
 */
export async function acceptedAnswers(
	database: Database,
	items: ItemKey[]
): Promise<(place: ItemKey & { schoolId: number }) => AcceptedAnswer[]> {
	const names = new Map(items.map((item) => [nameOf(item), item]));
	if (names.size === 0) return () => [];
	const rows = await database.rows<ItemKey & { id: number; schoolId: number; response: string }>(
		`SELECT id, school_id AS schoolId, edition, family_id AS familyId, seed, response FROM correction
		WHERE (edition, family_id, seed) IN (?) AND undone_at IS NULL
		ORDER BY id`,
		[[...names.values()].map(({ edition, familyId, seed }) => [edition, familyId, seed])]
	);
	return (place) =>
		rows
			.filter((row) => row.schoolId === place.schoolId && nameOf(row) === nameOf(place))
			.map(({ id, schoolId, response }) => ({ id, schoolId, response: JSON.parse(response) as Answer }));
}

/** An answer that was given, as somebody who may want to accept it for all has to know it. */
export interface GivenAnswer extends ItemKey {
	studentId: number;
	/** Null outside practice that was assigned. */
	setId: number | null;
	/** Who assigned it. */
	setBy: number | null;
	response: Answer | null;
	correct: boolean;
}

/** An answer of a student of the school; null for none. */
export async function givenAnswer(database: Database, staff: Staff, id: string): Promise<GivenAnswer | null> {
	const row = await database.row<Omit<GivenAnswer, 'response'> & { response: string }>(
		`SELECT answer.student_id AS studentId, sitting.set_id AS setId, practice_set.created_by AS setBy,
			item.family_id AS familyId, item.seed, item.edition, answer.response, answer.correct
		FROM answer
		JOIN student ON student.id = answer.student_id AND student.school_id = ?
		JOIN sitting ON sitting.id = answer.sitting_id
		JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
		LEFT JOIN practice_set ON practice_set.id = sitting.set_id
		WHERE answer.id = ?`,
		[staff.schoolId, id]
	);
	return row && { ...row, correct: Boolean(row.correct), response: JSON.parse(row.response) as Answer | null };
}

/** What those of a school answered to a question, all tries, each with how it is judged. */
export async function answersTo(
	database: Database,
	schoolId: number,
	{ edition, familyId, seed }: ItemKey
): Promise<{ studentId: number; response: Answer | null; correct: boolean }[]> {
	const rows = await database.rows<{ studentId: number; response: string; correct: number }>(
		`SELECT answer.student_id AS studentId, answer.response, answer.correct
		FROM sitting_item AS item FORCE INDEX (by_item)
		JOIN answer ON answer.sitting_id = item.sitting_id AND answer.position = item.position
		JOIN student ON student.id = answer.student_id AND student.school_id = ?
		WHERE item.edition = ? AND item.family_id = ? AND item.seed = ?`,
		[schoolId, edition, familyId, seed]
	);
	return rows.map((row) => ({
		...row,
		correct: Boolean(row.correct),
		response: JSON.parse(row.response) as Answer | null
	}));
}

/** A correction to be made, and whom it is about. */
export interface NewCorrection extends ItemKey {
	response: Answer;
	why: string;
	/** The answer in words, for the log. */
	says: string;
	/** Whose answers are judged anew. */
	studentIds: number[];
}

/**
 * Accepts another answer to a question from all of the school who are asked it. Answers that are there already are judged anew by a
 * job, which is hastened.
 *
 * @returns the id of the correction
 */
export async function addCorrection(
	database: RootDatabase,
	staff: Staff,
	{ edition, familyId, seed, response, why, says, studentIds }: NewCorrection,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const { insertId } = await transaction.run(
			`INSERT INTO correction (school_id, edition, family_id, seed, response, why, made_by, made_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			[staff.schoolId, edition, familyId, seed, JSON.stringify(response), why, staff.id, at]
		);
		await hastenJob(transaction, 'regrade', at);
		await audit(transaction, staff, at, 'accept another answer', {
			...{ correction: insertId, question: `${familyId} ${seed} (${edition})`, answer: says, why, students: studentIds }
		});
		return insertId;
	});
}

/** Undoes a correction of the school: what is right only by it is judged as before, by the job. @returns whether there was one */
export async function undoCorrection(
	database: RootDatabase,
	staff: Staff,
	correctionId: number,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE correction SET undone_by = ?, undone_at = ?, regraded_to = 0
			WHERE id = ? AND school_id = ? AND undone_at IS NULL`,
			[staff.id, at, correctionId, staff.schoolId]
		);
		if (affected === 0) return false;
		await hastenJob(transaction, 'regrade', at);
		await audit(transaction, staff, at, 'undo accept another answer', { correction: correctionId });
		return true;
	});
}

/** A correction as it is told of beside its question. */
export interface KnownCorrection extends ItemKey {
	id: number;
	response: Answer;
	why: string;
	by: string;
	/** Who made it. */
	byId: number;
	at: Date;
	/** Answers that are right by it. */
	answers: number;
	/** Sittings up to this one are gone through; null once all are. */
	regradedTo: number | null;
}

const KNOWN = `correction.id, correction.edition, correction.family_id AS familyId, correction.seed, correction.response,
	correction.why, account.display_name AS \`by\`, correction.made_by AS byId, correction.made_at AS at,
	(SELECT COUNT(*) FROM corrected_answer WHERE correction_id = correction.id) AS answers,
	correction.regraded_to AS regradedTo`;

const known = (row: Omit<KnownCorrection, 'response'> & { response: string }): KnownCorrection => ({
	...row,
	response: JSON.parse(row.response) as Answer,
	answers: Number(row.answers)
});

/** What a school accepts beside the key of a question, the first accepted first. */
export async function correctionsOf(
	database: Database,
	schoolId: number,
	{ edition, familyId, seed }: ItemKey
): Promise<KnownCorrection[]> {
	const rows = await database.rows<Omit<KnownCorrection, 'response'> & { response: string }>(
		`SELECT ${KNOWN} FROM correction JOIN account ON account.id = correction.made_by
		WHERE correction.edition = ? AND correction.family_id = ? AND correction.seed = ? AND correction.school_id = ?
			AND correction.undone_at IS NULL
		ORDER BY correction.id`,
		[edition, familyId, seed, schoolId]
	);
	return rows.map(known);
}

/** A correction of the school that was not undone; null for none. */
export async function findCorrection(database: Database, staff: Staff, id: number): Promise<KnownCorrection | null> {
	const row = await database.row<Omit<KnownCorrection, 'response'> & { response: string }>(
		`SELECT ${KNOWN} FROM correction JOIN account ON account.id = correction.made_by
		WHERE correction.id = ? AND correction.school_id = ? AND correction.undone_at IS NULL`,
		[id, staff.schoolId]
	);
	return row && known(row);
}
