import type { SchoolDate } from '../../../core/calendar';
import { askFact, type FactTry, type Operation } from '../../../core/fluency';
import type { Database, RootDatabase } from '../../database';
import type { VisibleId } from '../../request';

/** One or two minutes of facts of one operation. */
export interface FactRun {
	id: number;
	operation: Operation;
	minutes: number;
	day: SchoolDate;
	/** The how-manieth with its operation on its day. */
	number: number;
	isEnded: boolean;
}

type RunRow = Omit<FactRun, 'isEnded'> & { isEnded: number };

const RUN = `id, operation, minutes, own_day AS day, own_number AS number, ended_at IS NOT NULL AS isEnded`;
const runFrom = (row: RunRow): FactRun => ({ ...row, isEnded: Boolean(row.isEnded) });

/** Begins a run, or gives the one of that number which is there already. */
export async function beginFactRun(
	database: Database,
	studentId: VisibleId,
	{ operation, minutes, day, number }: Omit<FactRun, 'id' | 'isEnded'>,
	at: Date
): Promise<number> {
	const { insertId } = await database.run(
		`INSERT INTO fact_run (student_id, operation, minutes, own_day, own_number, started_at) VALUES (?, ?, ?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE id = LAST_INSERT_ID(id)`,
		[studentId, operation, minutes, day, number, at]
	);
	return insertId;
}

/** The runs of a student on a day. */
export async function factRunsOn(database: Database, studentId: VisibleId, day: SchoolDate): Promise<FactRun[]> {
	const rows = await database.rows<RunRow>(
		`SELECT ${RUN} FROM fact_run WHERE student_id = ? AND own_day = ? ORDER BY operation, own_number`,
		[studentId, day]
	);
	return rows.map(runFrom);
}

/** A run of this student, or null. */
export async function findFactRun(database: Database, studentId: VisibleId, id: number): Promise<FactRun | null> {
	const row = await database.row<RunRow>(`SELECT ${RUN} FROM fact_run WHERE id = ? AND student_id = ?`, [
		id,
		studentId
	]);
	return row && runFrom(row);
}

/** A first try at a fact that a student's device sends. */
export interface SubmittedFact {
	/** Made by the device. */
	id: string;
	position: number;
	first: number;
	second: number;
	response: number;
	milliseconds: number;
	answeredAt: string;
}

/**
 * Stores tries of a run. Those that are there, by id or by place, stay as they are: sending again changes nothing.
 *
 * @param isOver whether the run's time is over with them
 */
export async function storeFacts(
	database: RootDatabase,
	studentId: VisibleId,
	run: FactRun,
	tries: SubmittedFact[],
	isOver: boolean,
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		const begun = await transaction.row<{ startedAt: Date }>(
			'SELECT started_at AS startedAt FROM fact_run WHERE id = ? FOR UPDATE',
			[run.id]
		);
		await transaction.insertMany(
			`INSERT IGNORE INTO fact_answer (id, run_id, position, student_id, operation, first, second, response, correct,
				milliseconds, answered_at, received_at)
			VALUES ?`,
			tries.map(({ id, position, first, second, response, milliseconds, answeredAt }) => [
				...[id, run.id, position, studentId, run.operation, first, second, response],
				askFact(run.operation, { first, second }).answer === response,
				milliseconds,
				// A device's clock may be ahead, or behind.
				new Date(Math.min(at.getTime(), Math.max(begun!.startedAt.getTime(), Date.parse(answeredAt)))),
				at
			])
		);
		if (isOver)
			await transaction.run('UPDATE fact_run SET ended_at = COALESCE(ended_at, ?) WHERE id = ?', [at, run.id]);
	});
}

/** Tries that are looked at of each student and operation: the newest, more than a year of days. */
const MOST_TRIES = 6_000;

/** A try with the run that it belongs to. */
export interface StoredFact extends FactTry {
	runId: number;
	position: number;
}

/** A student's tries at an operation, oldest first. */
export async function factTries(database: Database, studentId: VisibleId, operation: Operation): Promise<StoredFact[]> {
	const rows = await database.rows<Omit<StoredFact, 'correct'> & { correct: number }>(
		`SELECT run_id AS runId, position, first, second, correct, milliseconds FROM fact_answer
		WHERE student_id = ? AND operation = ?
		ORDER BY answered_at DESC, run_id DESC, position DESC LIMIT ${MOST_TRIES}`,
		[studentId, operation]
	);
	return rows.reverse().map((row) => ({ ...row, correct: Boolean(row.correct) }));
}

/** A try with its student, operation and moment. */
export interface TimedFact extends FactTry {
	studentId: number;
	operation: Operation;
	answeredAt: Date;
}

/** All tries of some students at an operation, oldest first. */
export async function factTriesOf(
	database: Database,
	studentIds: VisibleId[],
	operation: Operation
): Promise<Map<number, TimedFact[]>> {
	const byStudent = new Map<number, TimedFact[]>(studentIds.map((id) => [id, []]));
	if (studentIds.length === 0) return byStudent;
	const rows = await database.rows<Omit<TimedFact, 'correct'> & { correct: number }>(
		`SELECT student_id AS studentId, operation, first, second, correct, milliseconds, answered_at AS answeredAt
		FROM fact_answer WHERE student_id IN (?) AND operation = ?
		ORDER BY student_id, answered_at, run_id, position`,
		[studentIds, operation]
	);
	for (const row of rows) byStudent.get(row.studentId)!.push({ ...row, correct: Boolean(row.correct) });
	return byStudent;
}
