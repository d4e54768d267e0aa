import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { insertGiven, type GivenTo } from './assigning';
import { findSet } from './oneSet';

/** Whether a set can be changed: locked until the end, of the school, and not taken back. */
async function lockSet(transaction: Database, staff: Staff, setId: number): Promise<boolean> {
	await transaction.row('SELECT id FROM practice_set WHERE id = ? FOR UPDATE', [setId]);
	const set = await findSet(transaction, staff, setId);
	return set !== null && !set.isWithdrawn;
}

/** Gives a set to students who do not have it yet. @returns to whom */
export async function addToSet(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	students: GivenTo[],
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		const ids = students.map(({ studentId }) => studentId);
		await requireOwn(transaction, staff, { student: ids });
		if (!(await lockSet(transaction, staff, setId))) return [];
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
		await audit(transaction, staff, at, 'give practice to more', { set: setId, students: addedIds });
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
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds });
		if (!(await lockSet(transaction, staff, setId))) return [];
		const taken = await transaction.rows<{ id: number }>(
			`DELETE FROM practice_set_student WHERE set_id = ? AND student_id IN (?)
				AND NOT EXISTS (SELECT 1 FROM sitting
					WHERE sitting.set_id = practice_set_student.set_id AND sitting.student_id = practice_set_student.student_id)
			RETURNING student_id AS id`,
			[setId, studentIds]
		);
		const ids = taken.map(({ id }) => id);
		await refreshStudents(transaction, ids);
		if (ids.length) await audit(transaction, staff, at, 'take practice from some', { set: setId, students: ids });
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
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds });
		if (!(await lockSet(transaction, staff, setId))) return [];
		const rows = await transaction.rows<{ id: number; studentId: number }>(
			`SELECT id, student_id AS studentId FROM sitting
			WHERE set_id = ? AND student_id IN (?) AND ${isTurnedIn ? 'finished_at IS NULL' : 'turned_in_at IS NOT NULL'}
			ORDER BY id FOR UPDATE`,
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
		await audit(transaction, staff, at, isTurnedIn ? 'turn practice in' : 'open practice again', {
			set: setId,
			students: ids
		});
		return ids;
	});
}
