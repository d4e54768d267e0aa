import type { SchoolDate } from '../../../core/calendar';
import type { Database, RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { markStale, refreshStudents } from '../../standing';
import { nextSeeds } from './assigning';
import { noteChange } from './history';
import { inSet } from './inSet';

/** Most runs of one student through one set. */
const MOST_RUNS = 20;

/** A further run through a set. */
export interface NextRun {
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

/** SQL: nothing was answered yet in the run that is theirs now. */
const RUN_NOT_BEGUN = `NOT EXISTS (SELECT 1 FROM sitting AS own
	WHERE own.set_id = given.set_id AND own.student_id = given.student_id AND own.attempt = given.attempt)`;

/** Makes the run before the one that is theirs again. */
async function endLastRun(transaction: Database, setId: number, studentIds: number[]): Promise<void> {
	await transaction.run(
		'UPDATE practice_set_student SET attempt = attempt - 1, numbers = numbers_before, due_on = due_before WHERE set_id = ? AND student_id IN (?)',
		[setId, studentIds]
	);
	await refreshStudents(transaction, studentIds);
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
			LEFT JOIN sitting AS earlier ON earlier.set_id = given.set_id AND earlier.student_id = given.student_id
				AND earlier.attempt = given.attempt - 1
			WHERE given.set_id = ? AND given.student_id IN (?) AND given.attempt > 1 AND earlier.set_aside_at IS NULL
				AND ${RUN_NOT_BEGUN}
			ORDER BY id FOR UPDATE`,
			[setId, studentIds]
		);
		const ids = rows.map(({ id }) => id);
		if (ids.length === 0) return [];
		await endLastRun(transaction, setId, ids);
		await noteChange(transaction, staff, at, setId, { kind: 'not given again', students: ids });
		return ids;
	});
}

/**
 * Lets students who have begun a set do it anew. What they answered in this run is kept aside: it stays in the log, and counts for
 * nothing.
 *
 * @returns for whom
 */
export async function letBeginAnew(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	run: NextRun,
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const rows = await transaction.rows<{ id: number; studentId: number }>(
			`SELECT sitting.id, given.student_id AS studentId
			FROM practice_set_student AS given
			JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
				AND sitting.attempt = given.attempt
			WHERE given.set_id = ? AND given.student_id IN (?) AND given.attempt < ?
			ORDER BY sitting.id FOR UPDATE`,
			[setId, studentIds, MOST_RUNS]
		);
		if (rows.length === 0) return [];
		await transaction.run(`UPDATE sitting SET trust = 'set aside', set_aside_at = ? WHERE id IN (?)`, [
			at,
			rows.map(({ id }) => id)
		]);
		const ids = rows.map(({ studentId }) => studentId);
		await beginAgain(transaction, setId, ids, run);
		await markStale(transaction, ids, { reachesBack: true });
		await noteChange(transaction, staff, at, setId, { kind: 'begun anew', students: ids });
		return ids;
	});
}

/** Lets what was kept aside count again for students who have not begun the set anew. @returns for whom */
export async function takeAnewBack(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	at: Date
): Promise<number[]> {
	return inSet(database, staff, setId, studentIds, async (transaction) => {
		const rows = await transaction.rows<{ id: number; studentId: number }>(
			`SELECT sitting.id, given.student_id AS studentId
			FROM practice_set_student AS given
			JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
				AND sitting.attempt = given.attempt - 1 AND sitting.set_aside_at IS NOT NULL
			WHERE given.set_id = ? AND given.student_id IN (?) AND ${RUN_NOT_BEGUN}
			ORDER BY sitting.id FOR UPDATE`,
			[setId, studentIds]
		);
		if (rows.length === 0) return [];
		await transaction.run(
			`UPDATE sitting SET trust = IF(finished_at IS NULL, 'open', 'trusted'), set_aside_at = NULL WHERE id IN (?)`,
			[rows.map(({ id }) => id)]
		);
		const ids = rows.map(({ studentId }) => studentId);
		await endLastRun(transaction, setId, ids);
		await markStale(transaction, ids, { reachesBack: true });
		await noteChange(transaction, staff, at, setId, { kind: 'not begun anew', students: ids });
		return ids;
	});
}
