import { schoolDateOf } from '../../../core/calendar';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Role, Staff, Viewer, VisibleId } from '../../request';

/** Whose a sign-in is. */
export type Holder = { accountId: number } | { studentId: number };

/** Where somebody signed in. */
export interface Device {
	address: string;
	/** What the browser says it is. */
	browser: string;
}

/** A sign-in that is not used for so long (minutes) is over: of staff, and of students, who share devices. */
export const IDLE_MINUTES = { staff: 60, student: 15 };
/** A school day: a forgotten tablet is signed out by evening. */
export const LONGEST_HOURS = 12;
/** How exactly (ms) it is kept when a sign-in was last used. */
const USED_STEP_MS = 60_000;

const minutesBefore = (at: Date, minutes: number) => new Date(at.getTime() - minutes * 60_000);

/** Begins a sign-in; the one that the browser held before is over. */
export async function beginSignIn(
	database: RootDatabase,
	holder: Holder,
	{ tokenHash, heldHash }: { tokenHash: Buffer; heldHash: Buffer | null },
	{ address, browser }: Device,
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		if (heldHash) await endSignIn(transaction, heldHash);
		await transaction.run(
			`INSERT INTO sign_in (token_hash, account_id, student_id, began_at, last_used_at, ends_at, address, browser)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				tokenHash,
				'accountId' in holder ? holder.accountId : null,
				'studentId' in holder ? holder.studentId : null,
				at,
				at,
				new Date(at.getTime() + LONGEST_HOURS * 3_600_000),
				address.slice(0, 45),
				browser.slice(0, 200)
			]
		);
	});
}

interface HolderRow {
	lastUsedAt: Date;
	accountId: number | null;
	role: Role;
	displayName: string;
	accountSchool: number;
	lacksSecondFactor: number;
	studentId: VisibleId;
	givenName: string;
	grade: number;
	studentSchool: number;
	timeZone: string | null;
	/** The day after the last on which the student is in a class; null for no end. */
	leavesOn: string | null;
}

/**
 * Who holds a sign-in that is not over, and that it is used now. A student who has left the school holds none.
 */
export async function signInHolder(database: Database, tokenHash: Buffer, at: Date): Promise<Viewer | null> {
	const row = await database.row<HolderRow>(
		`SELECT sign_in.last_used_at AS lastUsedAt,
			account.id AS accountId, account.role, account.display_name AS displayName, account.school_id AS accountSchool,
			(account.totp_secret IS NULL AND own.needs_second_factor) AS lacksSecondFactor,
			student.id AS studentId, student.shown_name AS givenName, student.grade, student.school_id AS studentSchool,
			school.time_zone AS timeZone,
			(SELECT NULLIF(MAX(COALESCE(until_on, '9999-12-31')), '9999-12-31') FROM class_membership
				WHERE class_membership.student_id = student.id) AS leavesOn
		FROM sign_in
		LEFT JOIN account ON account.id = sign_in.account_id AND account.deactivated_at IS NULL
		LEFT JOIN school AS own ON own.id = account.school_id
		LEFT JOIN student ON student.id = sign_in.student_id
		LEFT JOIN school ON school.id = student.school_id
		WHERE sign_in.token_hash = ? AND sign_in.ends_at > ?
			AND sign_in.last_used_at > IF(sign_in.account_id IS NULL, ?, ?)`,
		[tokenHash, at, minutesBefore(at, IDLE_MINUTES.student), minutesBefore(at, IDLE_MINUTES.staff)]
	);
	if (!row || (row.accountId === null && row.studentId === null)) return null;
	if (row.timeZone && row.leavesOn && row.leavesOn <= schoolDateOf(at, row.timeZone)) return null;
	if (at.getTime() - row.lastUsedAt.getTime() >= USED_STEP_MS)
		await database.run('UPDATE sign_in SET last_used_at = ? WHERE token_hash = ? AND last_used_at < ?', [
			at,
			tokenHash,
			at
		]);
	return row.accountId !== null
		? {
				kind: 'staff',
				id: row.accountId,
				schoolId: row.accountSchool,
				role: row.role,
				displayName: row.displayName,
				...(row.lacksSecondFactor ? { lacksSecondFactor: true } : {})
			}
		: { kind: 'student', id: row.studentId, schoolId: row.studentSchool, givenName: row.givenName, grade: row.grade };
}

export async function endSignIn(database: Database, tokenHash: Buffer): Promise<void> {
	await database.run('DELETE FROM sign_in WHERE token_hash = ?', [tokenHash]);
}

/** A sign-in of one's own, as one sees it. */
interface OwnSignIn extends Device {
	id: number;
	beganAt: Date;
	lastUsedAt: Date;
	/** Whether it is the one that is looked from. */
	isThis: boolean;
}

/** The sign-ins of a staff member that are not over, the latest first. */
export async function signInsOf(database: Database, staff: Staff, tokenHash: Buffer, at: Date): Promise<OwnSignIn[]> {
	return database.rows<OwnSignIn>(
		`SELECT id, began_at AS beganAt, last_used_at AS lastUsedAt, address, browser, token_hash = ? AS isThis
		FROM sign_in WHERE account_id = ? AND ends_at > ? AND last_used_at > ?
		ORDER BY began_at DESC, id DESC`,
		[tokenHash, staff.id, at, minutesBefore(at, IDLE_MINUTES.staff)]
	);
}

/** Ends other sign-ins of a staff member: one, or all but the one that is looked from. @returns how many */
export async function endOthers(
	database: RootDatabase,
	staff: Staff,
	tokenHash: Buffer,
	id: number | 'all',
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`DELETE FROM sign_in WHERE account_id = ? AND token_hash <> ? ${id === 'all' ? '' : 'AND id = ?'}`,
			[staff.id, tokenHash, ...(id === 'all' ? [] : [id])]
		);
		if (affected) await audit(transaction, staff, at, 'end sign-ins', { count: affected });
		return affected;
	});
}

/** The hash of a staff member's password. */
export async function passwordHashOf(database: Database, staff: Staff): Promise<string> {
	const row = await database.row<{ hash: string }>('SELECT password_hash AS hash FROM account WHERE id = ?', [
		staff.id
	]);
	return row!.hash;
}

/** Sets a new password; all other sign-ins are over. @returns how many of those there were */
export async function changePassword(
	database: RootDatabase,
	staff: Staff,
	newHash: string,
	tokenHash: Buffer,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await transaction.run('UPDATE account SET password_hash = ? WHERE id = ?', [newHash, staff.id]);
		const { affected } = await transaction.run('DELETE FROM sign_in WHERE account_id = ? AND token_hash <> ?', [
			staff.id,
			tokenHash
		]);
		await audit(transaction, staff, at, 'change password', { ended: affected });
		return affected;
	});
}
