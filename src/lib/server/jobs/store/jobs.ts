import { randomUUID } from 'node:crypto';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** What a school asks for. */
type AskedKind = 'calibration' | 'field constants';
/** What comes again by itself, for all schools: how often (minutes). */
const RECURRING = {
	'clear sign-ins': 60,
	'keep earlier cells': 60,
	'find notices': 15,
	'sync rosters': 30,
	'send mail': 1,
	'close sets': 5,
	'follow on': 1,
	regrade: 1,
	'pool growth': 1_440,
	'send digests': 60
} as const;
type JobKind = AskedKind | keyof typeof RECURRING;
type JobState = 'waiting' | 'running' | 'done' | 'canceled' | 'failed';

/** A job that this process works on. */
export interface ClaimedJob {
	id: number;
	/** Null for what is done for all schools. */
	schoolId: number | null;
	kind: JobKind;
	/** How often (minutes) it comes again; null for what is asked for. */
	everyMinutes: number | null;
	/** As it was kept last; null at the start. */
	checkpoint: unknown;
	claim: string;
}

/** A claim that is not renewed for this long is over, and another process may go on. */
export const CLAIM_MS = 120_000;

/** Asks for a job, unless the school has one of the kind under way. @returns its id, or null */
export async function askForJob(
	database: RootDatabase,
	staff: Staff,
	kind: AskedKind,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [staff.schoolId]);
		const open = await transaction.row(
			`SELECT id FROM job WHERE school_id = ? AND kind = ? AND state IN ('waiting', 'running')`,
			[staff.schoolId, kind]
		);
		if (open) return null;
		const { insertId } = await transaction.run(
			'INSERT INTO job (school_id, kind, asked_by, asked_at) VALUES (?, ?, ?, ?)',
			[staff.schoolId, kind, staff.id, at]
		);
		await audit(transaction, staff, at, 'ask for job', { job: insertId, kind });
		return insertId;
	});
}

/** Sees to it that each kind of recurring work waits for its time. */
export async function keepRecurring(database: Database, at: Date): Promise<void> {
	await database.insertMany(
		`INSERT INTO job (kind, every_minutes, due_at, asked_at) VALUES ?
		ON DUPLICATE KEY UPDATE every_minutes = VALUES(every_minutes)`,
		Object.entries(RECURRING).map(([kind, minutes]) => [kind, minutes, at, at])
	);
}

/** Lets recurring work that waits for its time be done at once. */
export async function hastenJob(database: Database, kind: keyof typeof RECURRING, at: Date): Promise<void> {
	await database.run(
		"UPDATE job SET due_at = LEAST(due_at, ?) WHERE kind = ? AND school_id IS NULL AND state = 'waiting'",
		[at, kind]
	);
}

/** Takes the oldest job that waits, or that a process left behind; null when there is none. */
export async function claimJob(database: RootDatabase, at: Date): Promise<ClaimedJob | null> {
	return database.transaction(async (transaction) => {
		const job = await transaction.row<Omit<ClaimedJob, 'checkpoint' | 'claim'> & { checkpoint: string | null }>(
			`SELECT id, school_id AS schoolId, kind, every_minutes AS everyMinutes, checkpoint FROM job
			WHERE (state = 'waiting' AND (due_at IS NULL OR due_at <= ?)) OR (state = 'running' AND claimed_until < ?)
			ORDER BY id LIMIT 1
			FOR UPDATE SKIP LOCKED`,
			[at, at]
		);
		if (!job) return null;
		const claim = randomUUID();
		await transaction.run(`UPDATE job SET state = 'running', claimed_by = ?, claimed_until = ? WHERE id = ?`, [
			claim,
			new Date(at.getTime() + CLAIM_MS),
			job.id
		]);
		return { ...job, checkpoint: job.checkpoint && JSON.parse(job.checkpoint), claim };
	});
}

/** Says how far a job is and renews the claim. @returns false when it was canceled or is another's by now: stop */
export async function renewClaim(
	database: Database,
	{ id, claim }: ClaimedJob,
	progress: unknown,
	checkpoint: unknown,
	at: Date
): Promise<boolean> {
	const { affected } = await database.run(
		`UPDATE job SET progress = ?, checkpoint = ?, claimed_until = ? WHERE id = ? AND claimed_by = ? AND state = 'running'`,
		[JSON.stringify(progress), JSON.stringify(checkpoint), new Date(at.getTime() + CLAIM_MS), id, claim]
	);
	return affected > 0;
}

/** Ends a job with what came of it, unless it was canceled or is another's. Recurring work waits for its next time. */
export async function endJob(
	database: Database,
	{ id, claim, everyMinutes }: ClaimedJob,
	end: { state: 'done' | 'failed'; result: unknown },
	at: Date
): Promise<void> {
	const again = everyMinutes !== null;
	await database.run(
		`UPDATE job SET state = ?, result = ?, checkpoint = NULL, ended_at = ?, due_at = ?
		WHERE id = ? AND claimed_by = ? AND state = 'running'`,
		[
			again ? 'waiting' : end.state,
			JSON.stringify(end.result),
			at,
			again ? new Date(at.getTime() + everyMinutes * 60_000) : null,
			id,
			claim
		]
	);
}

/** Cancels a job of the school. @returns whether it was under way */
export async function cancelJob(database: RootDatabase, staff: Staff, id: number, at: Date): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE job SET state = 'canceled', checkpoint = NULL, ended_at = ?
			WHERE id = ? AND school_id = ? AND state IN ('waiting', 'running')`,
			[at, id, staff.schoolId]
		);
		if (affected) await audit(transaction, staff, at, 'cancel job', { job: id });
		return affected > 0;
	});
}

interface Job<Progress, Result> {
	id: number;
	state: JobState;
	progress: Progress | null;
	result: Result | null;
	askedBy: string;
	askedAt: Date;
	endedAt: Date | null;
}

/** The school's newest job of a kind. */
export async function newestJob<Progress, Result>(
	database: Database,
	schoolId: number,
	kind: AskedKind
): Promise<Job<Progress, Result> | null> {
	const row = await database.row<
		Omit<Job<never, never>, 'progress' | 'result'> & { progress: string | null; result: string | null }
	>(
		`SELECT job.id, job.state, job.progress, job.result, account.display_name AS askedBy, job.asked_at AS askedAt,
			job.ended_at AS endedAt
		FROM job
		JOIN account ON account.id = job.asked_by
		WHERE job.school_id = ? AND job.kind = ?
		ORDER BY job.id DESC LIMIT 1`,
		[schoolId, kind]
	);
	return (
		row && { ...row, progress: row.progress && JSON.parse(row.progress), result: row.result && JSON.parse(row.result) }
	);
}
