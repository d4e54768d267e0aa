import { randomUUID } from 'node:crypto';
import { seal, unseal } from '../../auth';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { hastenJob } from '../../jobs';
import type { Staff } from '../../request';

/** What a letter says. */
export interface Letter {
	subject: string;
	text: string;
}

/** Minutes after which a letter is tried again, the first time and so on; after the last it is given up. */
const AGAIN_AFTER = [2, 10, 30, 120, 480, 1_440, 2_880];
/** Characters of what a mail server said. */
const LONGEST_PROBLEM = 300;
/** Days for which it is kept that something was sent. */
const KEPT_DAYS = 90;

/**
 * Keeps a letter to a colleague, to be sent; it belongs into the transaction of what it is about.
 *
 * @returns false for who has no address or cannot sign in any more
 */
export async function queueMail(
	transaction: RootDatabase,
	staff: Staff,
	accountId: number,
	{ subject, text }: Letter,
	at: Date
): Promise<boolean> {
	await requireOwn(transaction, staff, { staff: [accountId] });
	const account = await transaction.row<{ email: string | null }>(
		'SELECT email FROM account WHERE id = ? AND deactivated_at IS NULL',
		[accountId]
	);
	if (!account?.email) return false;
	// Of an earlier letter that still waits only the newest is of use.
	await transaction.run(
		'UPDATE outgoing_mail SET next_at = NULL, sealed = NULL WHERE account_id = ? AND next_at IS NOT NULL',
		[accountId]
	);
	await transaction.run(
		'INSERT INTO outgoing_mail (account_id, address, message_id, sealed, queued_at, next_at) VALUES (?, ?, ?, ?, ?, ?)',
		[accountId, account.email, randomUUID(), await seal(transaction, JSON.stringify({ subject, text })), at, at]
	);
	await hastenJob(transaction, 'send mail', at);
	await audit(transaction, staff, at, 'send mail', { account: accountId });
	return true;
}

/** A letter that this process sends. */
export interface ClaimedMail extends Letter {
	id: number;
	to: string;
	messageId: string;
	/** Which try it is, from 1. */
	tries: number;
}

/** Takes the letter that has waited longest, to somebody who may sign in. Should this process die, it is tried again later. */
export async function claimMail(database: RootDatabase, at: Date): Promise<ClaimedMail | null> {
	return database.transaction(async (transaction) => {
		const due = await transaction.row<Omit<ClaimedMail, keyof Letter> & { sealed: Buffer }>(
			`SELECT id, address AS \`to\`, message_id AS messageId, sealed, tries + 1 AS tries FROM outgoing_mail
			WHERE next_at <= ? AND account_id NOT IN (SELECT id FROM account WHERE deactivated_at IS NOT NULL)
			ORDER BY next_at, id LIMIT 1 FOR UPDATE SKIP LOCKED`,
			[at]
		);
		if (!due) return null;
		const { sealed, ...claimed } = { ...due, tries: Number(due.tries) };
		await transaction.run('UPDATE outgoing_mail SET tries = ?, next_at = ? WHERE id = ?', [
			claimed.tries,
			againAt(claimed.tries, at),
			claimed.id
		]);
		return { ...claimed, ...(JSON.parse(await unseal(transaction, sealed)) as Letter) };
	});
}

/** When a letter is tried again that was tried so often; null where it is given up. */
const againAt = (tries: number, at: Date): Date | null =>
	tries > AGAIN_AFTER.length ? null : new Date(at.getTime() + AGAIN_AFTER[tries - 1] * 60_000);

/** Notes that a letter was taken; what it says is gone. */
export async function markSent(database: Database, id: number, at: Date): Promise<void> {
	await database.run(`UPDATE outgoing_mail SET sent_at = ?, next_at = NULL, sealed = NULL, problem = '' WHERE id = ?`, [
		at,
		id
	]);
}

/** Notes why a letter was not taken. @param isLasting that another try would come to the same */
export async function markUnsent(
	database: Database,
	{ id, tries }: ClaimedMail,
	{ problem, isLasting }: { problem: string; isLasting: boolean }
): Promise<void> {
	const isOver = isLasting || tries > AGAIN_AFTER.length;
	await database.run(
		`UPDATE outgoing_mail SET problem = ? ${isOver ? ', next_at = NULL, sealed = NULL' : ''} WHERE id = ? AND sent_at IS NULL`,
		[problem.slice(0, LONGEST_PROBLEM), id]
	);
}

/** Forgets letters that were written long ago. */
export async function clearMails(database: Database, at: Date): Promise<void> {
	await database.run('DELETE FROM outgoing_mail WHERE queued_at < ?', [
		new Date(at.getTime() - KEPT_DAYS * 86_400_000)
	]);
}

/** How it stands with the newest letter to a colleague. */
export interface NewestMail {
	address: string;
	queuedAt: Date;
	sentAt: Date | null;
	/** What the mail server said at the last try; empty for nothing. */
	problem: string;
	/** Whether it is not tried any more without having been sent. */
	isGivenUp: boolean;
}

/** The newest letter to each colleague of a school to whom one was written. */
export async function newestMails(database: Database, schoolId: number): Promise<Map<number, NewestMail>> {
	const rows = await database.rows<NewestMail & { accountId: number; isGivenUp: number | boolean }>(
		`SELECT mail.account_id AS accountId, mail.address, mail.queued_at AS queuedAt, mail.sent_at AS sentAt, mail.problem,
			mail.sent_at IS NULL AND mail.next_at IS NULL AS isGivenUp
		FROM account
		JOIN outgoing_mail AS mail ON mail.id = (
			SELECT MAX(newest.id) FROM outgoing_mail AS newest WHERE newest.account_id = account.id)
		WHERE account.school_id = ?`,
		[schoolId]
	);
	return new Map(rows.map(({ accountId, ...mail }) => [accountId, { ...mail, isGivenUp: Boolean(mail.isGivenUp) }]));
}

/** Colleagues who may sign in and whose newest letter could not be sent, with what the mail server said. */
export async function mailProblems(
	database: Database,
	schoolId: number
): Promise<{ id: number; name: string; address: string; problem: string }[]> {
	return database.rows(
		`SELECT account.id, account.display_name AS name, mail.address, mail.problem
		FROM account
		JOIN outgoing_mail AS mail ON mail.id = (
			SELECT MAX(newest.id) FROM outgoing_mail AS newest WHERE newest.account_id = account.id)
		WHERE account.school_id = ? AND account.deactivated_at IS NULL AND account.password_hash IS NULL
			AND mail.sent_at IS NULL AND mail.problem <> ''
		ORDER BY account.display_name, account.id`,
		[schoolId]
	);
}
