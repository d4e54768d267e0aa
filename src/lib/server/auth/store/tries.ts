import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { ownStudentsOnly } from '../../people';
import type { Staff } from '../../request';

/** What is counted of a subject's tries, before this one. */
export interface Counted {
	/** In a row. */
	failures: number;
	lastAt: Date | null;
	/** Whether another try is being looked at. */
	isLooking: boolean;
}

/** A subject whose tries are counted. */
export interface Subject {
	name: string;
	/** Failures that lie further back (ms) count no more. */
	memoryMs: number;
	/** Whether only one try at a time is looked at. */
	isAlone: boolean;
	studentId?: number;
}

/** A try that is looked at for longer (ms) was cut off. */
const LOOKING_MS = 30_000;

/**
 * Counts a try with all of its subjects as failed, unless it is refused; whoever comes at the same time sees it counted.
 *
 * @param judge says from what was counted before, in the order of the subjects, why the try is refused; null to let it be
 * @returns what the judge said
 */
export async function countTry<Refusal>(
	database: RootDatabase,
	subjects: Subject[],
	at: Date,
	judge: (counted: Counted[]) => Refusal | null
): Promise<Refusal | null> {
	return database.transaction(async (transaction) => {
		// In the order of their names, so that two tries do not wait for each other in a circle.
		const inOrder = [...subjects].sort((a, b) => (a.name < b.name ? -1 : 1));
		// Makes what is not there, and locks what is.
		await transaction.insertMany(
			`INSERT INTO sign_in_try (subject, failures, since, last_at, student_id) VALUES ?
			ON DUPLICATE KEY UPDATE failures = failures`,
			inOrder.map(({ name, studentId }) => [name, 0, at, at, studentId ?? null])
		);
		const rows = await transaction.rows<{
			subject: string;
			failures: number;
			since: Date;
			lastAt: Date;
			lookingUntil: Date | null;
		}>(
			`SELECT subject, failures, since, last_at AS lastAt, looking_until AS lookingUntil
			FROM sign_in_try WHERE subject IN (?) ORDER BY subject FOR UPDATE`,
			[inOrder.map(({ name }) => name)]
		);
		const counted = subjects.map(({ name, memoryMs }) => {
			const row = rows.find(({ subject }) => subject === name)!;
			const isForgotten = row.failures === 0 || at.getTime() - row.since.getTime() >= memoryMs;
			return {
				failures: isForgotten ? 0 : row.failures,
				lastAt: isForgotten ? null : row.lastAt,
				isLooking: row.lookingUntil !== null && row.lookingUntil > at
			};
		});
		const refusal = judge(counted);
		if (refusal !== null) return refusal;
		for (const [i, { name, isAlone }] of subjects.entries()) {
			await transaction.run(
				`UPDATE sign_in_try SET since = IF(? = 0, ?, since), failures = ? + 1, last_at = ?, looking_until = ?
				WHERE subject = ?`,
				[counted[i].failures, at, counted[i].failures, at, isAlone ? new Date(at.getTime() + LOOKING_MS) : null, name]
			);
		}
		return null;
	});
}

/** A try has been looked at: it stays counted as failed, or it was right and counts no more. */
export async function endTry(database: RootDatabase, subjects: Subject[], wasRight: boolean): Promise<void> {
	const [own, ...shared] = subjects.map(({ name }) => name);
	await database.transaction(async (transaction) => {
		if (wasRight) await transaction.run('DELETE FROM sign_in_try WHERE subject = ?', [own]);
		const left = wasRight ? shared : [own, ...shared];
		for (const name of left.sort())
			await transaction.run(
				'UPDATE sign_in_try SET looking_until = NULL, failures = failures - ? WHERE subject = ? AND failures > 0',
				[wasRight ? 1 : 0, name]
			);
	});
}

/** A student of whom nobody can sign in until tomorrow, or until it is allowed again. */
export interface LockedOut {
	id: number;
	givenName: string;
	familyName: string;
	className: string;
}

/** Students whose tries have failed so often since a day began, of those that a staff member may see. */
export async function lockedOut(
	database: Database,
	staff: Staff,
	{ failures, since, today }: { failures: number; since: Date; today: string }
): Promise<LockedOut[]> {
	const own = ownStudentsOnly(staff, today, 'class.id', 'membership.student_id');
	return database.rows<LockedOut>(
		`SELECT student.id, student.shown_name AS givenName, student.family_name AS familyName, class.name AS className
		FROM sign_in_try
		JOIN student ON student.id = sign_in_try.student_id
		JOIN class_membership AS membership
			ON membership.student_id = student.id
			AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)
		JOIN class ON class.id = membership.class_id
		WHERE sign_in_try.failures >= ? AND sign_in_try.since >= ? AND student.school_id = ? ${own.sql}
		ORDER BY class.grade, class.name, student.family_name, student.shown_name`,
		[today, today, failures, since, staff.schoolId, ...own.values]
	);
}

/** Lets students try again, of those that the staff member may see. */
export async function letTryAgain(
	database: RootDatabase,
	staff: Staff,
	students: { id: number }[],
	at: Date
): Promise<number> {
	if (students.length === 0) return 0;
	return database.transaction(async (transaction) => {
		const ids = students.map(({ id }) => id);
		await requireOwn(transaction, staff, { student: ids });
		const { affected } = await transaction.run('DELETE FROM sign_in_try WHERE student_id IN (?)', [ids]);
		if (affected) await audit(transaction, staff, at, 'let students sign in again', { students: ids });
		return affected;
	});
}
