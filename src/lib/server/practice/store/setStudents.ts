import type { RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { type GivenTo, insertGiven } from './assigning';
import { noteChange } from './history';
import { inSet } from './inSet';
import { LAST_ANSWER_SQL } from './setContent';

/** Gives a set to students who do not have it yet. @returns to whom */
export async function addToSet(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	students: GivenTo[],
	at: Date
): Promise<number[]> {
	const ids = students.map(({ studentId }) => studentId);
	return inSet(database, staff, setId, ids, async (transaction) => {
		const there = await transaction.rows<{ id: number; place: number }>(
			'SELECT student_id AS id, place FROM practice_set_student WHERE set_id = ?',
			[setId]
		);
		const has = new Set(there.map(({ id }) => id));
		const added = students.filter(({ studentId }) => !has.has(studentId));
		if (added.length === 0) return [];
		// Where each has numbers of their own, places behind the last share those of the first again.
		await insertGiven(transaction, setId, added, Math.max(-1, ...there.map(({ place }) => place)) + 1);
		const addedIds = added.map(({ studentId }) => studentId);
		await refreshStudents(transaction, addedIds);
		await noteChange(transaction, staff, at, setId, { kind: 'given to more', students: addedIds });
		return addedIds;
	});
}

/** Takes a set from students who have not begun it, as if they had never had it. @returns from whom */
export async function takeFromSet(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const taken = await transaction.rows<{ id: number }>(
			`DELETE FROM practice_set_student WHERE set_id = ? AND student_id IN (?)
				AND NOT EXISTS (SELECT 1 FROM sitting
					WHERE sitting.set_id = practice_set_student.set_id AND sitting.student_id = practice_set_student.student_id)
			RETURNING student_id AS id`,
			[setId, studentIds]
		);
		const ids = taken.map(({ id }) => id);
		await refreshStudents(transaction, ids);
		if (ids.length) await noteChange(transaction, staff, at, setId, { kind: 'taken from', students: ids });
		return ids;
	});
}

/**
 * Turns a set in for students who are under way, with what is left unanswered, or opens it for them again. Answers stay and
 * count either way.
 *
 * @returns for whom it is otherwise than before
 */
export async function turnIn(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	isTurnedIn: boolean,
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const rows = await transaction.rows<{ id: number; studentId: number }>(
			`SELECT sitting.id, sitting.student_id AS studentId
			FROM practice_set_student AS given
			JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
				AND sitting.attempt = given.attempt
			WHERE given.set_id = ? AND given.student_id IN (?)
				AND ${isTurnedIn ? 'sitting.finished_at IS NULL' : 'sitting.turned_in_at IS NOT NULL'}
			ORDER BY sitting.id FOR UPDATE`,
			[setId, studentIds]
		);
		if (rows.length === 0) return [];
		await transaction.run(`UPDATE sitting SET finished_at = ?, turned_in_at = ?, trust = ? WHERE id IN (?)`, [
			isTurnedIn ? at : null,
			isTurnedIn ? at : null,
			isTurnedIn ? 'trusted' : 'open',
			rows.map(({ id }) => id)
		]);
		const ids = rows.map(({ studentId }) => studentId);
		await refreshStudents(transaction, ids);
		await noteChange(transaction, staff, at, setId, { kind: isTurnedIn ? 'turned in' : 'open again', students: ids });
		return ids;
	});
}

/** Notes that the task of a set is done with students, or not. @returns of whom that is otherwise than before */
export async function markSetTask(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	isDone: boolean,
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const rows = await transaction.rows<{ id: number }>(
			`SELECT given.student_id AS id FROM practice_set_student AS given
			JOIN practice_set ON practice_set.id = given.set_id
			WHERE given.set_id = ? AND given.student_id IN (?) AND practice_set.task IS NOT NULL
				AND (given.task_done_at IS NULL) = ?
			ORDER BY id FOR UPDATE`,
			[setId, studentIds, isDone]
		);
		const ids = rows.map(({ id }) => id);
		if (ids.length === 0) return [];
		await transaction.run('UPDATE practice_set_student SET task_done_at = ? WHERE set_id = ? AND student_id IN (?)', [
			isDone ? at : null,
			setId,
			ids
		]);
		await noteChange(transaction, staff, at, setId, { kind: isDone ? 'task done' : 'task not done', students: ids });
		return ids;
	});
}

/**
 * Lets students go on with a set that they have begun and left, though it is done in one go; or takes that back, as long as they
 * have answered nothing since.
 *
 * @returns for whom it is otherwise than before
 */
export async function letGoOn(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	mayGoOn: boolean,
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const rows = await transaction.rows<{ id: number }>(
			`SELECT given.student_id AS id
			FROM practice_set_student AS given
			JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
				AND sitting.attempt = given.attempt AND sitting.finished_at IS NULL
			WHERE given.set_id = ? AND given.student_id IN (?)
				AND ${mayGoOn ? `sitting.answered > 0 AND COALESCE(given.goes_on_at < ${LAST_ANSWER_SQL}, TRUE)` : `given.goes_on_at >= ${LAST_ANSWER_SQL}`}
			ORDER BY id FOR UPDATE`,
			[setId, studentIds]
		);
		const ids = rows.map(({ id }) => id);
		if (ids.length === 0) return [];
		await transaction.run('UPDATE practice_set_student SET goes_on_at = ? WHERE set_id = ? AND student_id IN (?)', [
			mayGoOn ? at : null,
			setId,
			ids
		]);
		await noteChange(transaction, staff, at, setId, { kind: mayGoOn ? 'may go on' : 'may not go on', students: ids });
		return ids;
	});
}
