import type { SchoolDate } from '../../../core/calendar';
import { type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { insertGiven, nextSeeds, type GivenTo } from './assigning';
import { noteChange } from './history';
import { findSet } from './oneSet';
import { LAST_ANSWER_SQL } from './setContent';

/** Whether a set can be changed: locked until the end, of the school, and not taken back. */
async function lockSet(transaction: Database, staff: Staff, setId: number): Promise<boolean> {
	await transaction.row('SELECT id FROM practice_set WHERE id = ? FOR UPDATE', [setId]);
	const set = await findSet(transaction, staff, setId);
	return set !== null && !set.isWithdrawn;
}

/**
 * Does something for students with a set that can be changed, which is locked until the end.
 *
 * @returns for whom it was done; nobody where the set is not the school's, or was taken back
 */
const inSet = (
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	change: (transaction: Database) => Promise<number[]>
): Promise<number[]> =>
	database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds });
		return (await lockSet(transaction, staff, setId)) ? change(transaction) : [];
	});

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

/** Most runs of one student through one set. */
const MOST_RUNS = 20;

/** A further run through a set. */
interface NextRun {
	/** With questions that nobody has met yet, else with those of the run before. */
	isWithOthers: boolean;
	/** By when; null for what was so before. */
	dueOn: SchoolDate | null;
}

/**
 * Gives a set again to students who have finished it, with the same questions or with other ones. Their answers stay, and
 * each run is kept beside the one before.
 * @returns to whom
 */
export async function giveAgain(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	{ isWithOthers, dueOn }: NextRun,
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const rows = await transaction.rows<{ id: number }>(
			`SELECT given.student_id AS id
			FROM practice_set_student AS given
			JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
				AND sitting.attempt = given.attempt
			WHERE given.set_id = ? AND given.student_id IN (?) AND sitting.finished_at IS NOT NULL AND given.attempt < ?
			ORDER BY id FOR UPDATE`,
			[setId, studentIds, MOST_RUNS]
		);
		const ids = rows.map(({ id }) => id);
		if (ids.length) await beginAgain(transaction, setId, ids, { isWithOthers, dueOn });
		if (ids.length) await noteChange(transaction, staff, at, setId, { kind: 'given again', students: ids });
		return ids;
	});
}

/** Lets students who have finished a set do it once more. Belongs into a transaction that has locked the set. */
export async function beginAgain(
	transaction: Database,
	setId: number,
	studentIds: number[],
	{ isWithOthers, dueOn }: NextRun
): Promise<void> {
	const numbers = isWithOthers ? await newNumbers(transaction, setId, studentIds) : null;
	await transaction.run(
		`UPDATE practice_set_student
		SET attempt = attempt + 1, numbers_before = numbers, numbers = COALESCE(?, numbers), due_before = due_on,
			due_on = COALESCE(?, due_on), closed_at = NULL, excused_at = NULL, marked_done = FALSE
		WHERE set_id = ? AND student_id IN (?)`,
		[numbers, dueOn, setId, studentIds]
	);
	await refreshStudents(transaction, studentIds);
}

/**
 * Questions of a set that none of some students has met in it: those of a run that others were given, where there are any,
 * else new ones.
 *
 * @returns their number within the set
 */
async function newNumbers(transaction: Database, setId: number, studentIds: number[]): Promise<number> {
	const { met } = (await transaction.row<{ met: number }>(
		'SELECT MAX(GREATEST(numbers, numbers_before)) AS met FROM practice_set_student WHERE set_id = ? AND student_id IN (?)',
		[setId, studentIds]
	))!;
	const next = await transaction.row<{ number: number | null }>(
		'SELECT MIN(number) AS number FROM practice_set_numbers WHERE set_id = ? AND number > ?',
		[setId, met]
	);
	if (next?.number) return next.number;
	const parts = await transaction.rows<{ skillId: number; seeds: number }>(
		'SELECT skill_id AS skillId, seeds FROM practice_set_skill WHERE set_id = ? ORDER BY skill_id',
		[setId]
	);
	const seeds = await nextSeeds(
		transaction,
		parts.map(({ skillId }) => skillId)
	);
	await transaction.insertMany(
		'INSERT INTO practice_set_numbers (set_id, number, skill_id, first_seed, seeds) VALUES ?',
		parts.map((part) => [setId, met + 1, part.skillId, seeds.get(part.skillId)!, part.seeds])
	);
	return met + 1;
}

/** Takes a run that was given again back from students who have not begun it. @returns from whom */
export async function takeRunBack(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const rows = await transaction.rows<{ id: number }>(
			`SELECT given.student_id AS id
			FROM practice_set_student AS given
			WHERE given.set_id = ? AND given.student_id IN (?) AND given.attempt > 1
				AND NOT EXISTS (SELECT 1 FROM sitting
					WHERE sitting.set_id = given.set_id AND sitting.student_id = given.student_id
						AND sitting.attempt = given.attempt)
			ORDER BY id FOR UPDATE`,
			[setId, studentIds]
		);
		const ids = rows.map(({ id }) => id);
		if (ids.length === 0) return [];
		await transaction.run(
			'UPDATE practice_set_student SET attempt = attempt - 1, numbers = numbers_before, due_on = due_before WHERE set_id = ? AND student_id IN (?)',
			[setId, ids]
		);
		await refreshStudents(transaction, ids);
		await noteChange(transaction, staff, at, setId, { kind: 'not given again', students: ids });
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
