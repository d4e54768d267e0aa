import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { seenBy } from '../../people';

/** What somebody does for a student until a day. */
export interface Task {
	id: number;
	/** That it was agreed in; null for what was asked for outside one. */
	reviewId: number | null;
	studentId: VisibleId;
	/** The student's. */
	givenName: string;
	familyName: string;
	/** Who does it. */
	accountId: number;
	who: string;
	what: string;
	dueOn: SchoolDate;
	doneAt: Date | null;
}

const TASK = `SELECT task.id, task.review_id AS reviewId, task.student_id AS studentId, student.given_name AS givenName,
		student.family_name AS familyName, task.account_id AS accountId, account.display_name AS who, task.what,
		task.due_on AS dueOn, task.done_at AS doneAt
	FROM review_task AS task
	JOIN student ON student.id = task.student_id
	JOIN account ON account.id = task.account_id`;

/** What somebody has to do for students whom they see, the earliest due first. */
export async function ownTasks(database: Database, staff: Staff, today: SchoolDate): Promise<Task[]> {
	const seen = seenBy(staff, today, 'task.student_id');
	return database.rows<Task>(
		`${TASK} WHERE task.account_id = ? AND task.done_at IS NULL AND ${seen.sql}
		ORDER BY task.due_on, task.id LIMIT 100`,
		[staff.id, ...seen.values]
	);
}

/** How much somebody has to do. */
export async function countTasks(database: Database, staff: Staff, today: SchoolDate): Promise<number> {
	const seen = seenBy(staff, today, 'task.student_id');
	const counted = await database.row<{ total: number }>(
		`SELECT COUNT(*) AS total FROM review_task AS task
		WHERE task.account_id = ? AND task.done_at IS NULL AND ${seen.sql}`,
		[staff.id, ...seen.values]
	);
	return Number(counted!.total);
}

/** Tasks of a school that are not done although their day is before another, with who has them. */
export const tasksLateAt = (database: Database, staff: Staff, day: SchoolDate): Promise<{ who: string }[]> =>
	database.rows<{ who: string }>(
		`SELECT account.display_name AS who
		FROM account STRAIGHT_JOIN review_task AS task ON task.account_id = account.id
		WHERE account.school_id = ? AND task.done_at IS NULL AND task.due_on < ? ORDER BY account.display_name, task.id`,
		[staff.schoolId, day]
	);

/** Tasks for students, done or not, the earliest due first. */
export async function tasksFor(database: Database, studentIds: VisibleId[]): Promise<Task[]> {
	if (studentIds.length === 0) return [];
	return database.rows<Task>(`${TASK} WHERE task.student_id IN (?) ORDER BY task.due_on, task.id`, [studentIds]);
}

/** Says that a task is done, or that it is not: one's own, of specialists and coordinators anyone's. @returns whether anything changed */
export async function finishTask(
	database: RootDatabase,
	staff: Staff,
	taskId: number,
	isDone: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND task.account_id = ?';
		const task = await transaction.row<{ reviewId: number | null; studentId: number }>(
			`SELECT task.review_id AS reviewId, task.student_id AS studentId FROM review_task AS task
			JOIN student ON student.id = task.student_id
			WHERE task.id = ? AND student.school_id = ? AND task.done_at IS ${isDone ? 'NULL' : 'NOT NULL'} ${ownOnly} FOR UPDATE`,
			[taskId, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (!task) return false;
		await transaction.run('UPDATE review_task SET done_at = ? WHERE id = ?', [isDone ? at : null, taskId]);
		await audit(transaction, staff, at, isDone ? 'finish a task' : 'undo finishing a task', {
			task: taskId,
			review: task.reviewId ?? undefined,
			student: task.studentId
		});
		return true;
	});
}

/** A task that somebody is asked for. */
export interface AskedTask {
	studentId: number;
	accountId: number;
	what: string;
	dueOn: SchoolDate;
}

/** Asks adults to do something for students; what somebody has still to do for the same student in the same words is not asked twice. @returns ids of the tasks */
export async function askFor(database: RootDatabase, staff: Staff, tasks: AskedTask[], at: Date): Promise<number[]> {
	return database.transaction(async (transaction) => {
		const studentIds = [...new Set(tasks.map(({ studentId }) => studentId))];
		await requireOwn(transaction, staff, { student: studentIds, staff: tasks.map(({ accountId }) => accountId) });
		await transaction.rows('SELECT id FROM student WHERE id IN (?) ORDER BY id FOR UPDATE', [studentIds]);
		const asked: number[] = [];
		for (const { studentId, accountId, what, dueOn } of tasks) {
			const open = await transaction.row(
				'SELECT 1 FROM review_task WHERE student_id = ? AND account_id = ? AND what = ? AND done_at IS NULL LIMIT 1',
				[studentId, accountId, what]
			);
			if (open) continue;
			const { insertId } = await transaction.run(
				'INSERT INTO review_task (student_id, account_id, what, due_on, asked_by) VALUES (?, ?, ?, ?, ?)',
				[studentId, accountId, what, dueOn, staff.id]
			);
			asked.push(insertId);
		}
		if (asked.length) await audit(transaction, staff, at, 'ask for tasks', { tasks: asked, students: studentIds });
		return asked;
	});
}

/** Takes back tasks that were asked for and are not done: own ones, of specialists and coordinators anyone's. @returns how many */
export async function takeBackAsked(
	database: RootDatabase,
	staff: Staff,
	taskIds: number[],
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND task.asked_by = ?';
		const found = await transaction.rows<{ id: number; studentId: number }>(
			`SELECT task.id, task.student_id AS studentId FROM review_task AS task JOIN student ON student.id = task.student_id
			WHERE task.id IN (?) AND student.school_id = ? AND task.asked_by IS NOT NULL AND task.done_at IS NULL ${ownOnly} FOR UPDATE`,
			[taskIds, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (found.length === 0) return 0;
		await transaction.run('DELETE FROM review_task WHERE id IN (?)', [found.map(({ id }) => id)]);
		await audit(transaction, staff, at, 'take back tasks', { students: found.map(({ studentId }) => studentId) });
		return found.length;
	});
}
