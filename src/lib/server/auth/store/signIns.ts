import { schoolDateOf } from '../../../core/calendar';
import { audit, type Database, type RootDatabase } from '../../database';
import { type Role, signsInBy, type Staff, type Viewer, type VisibleId } from '../../request';

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
	homeId: number | null;
	isHome: number;
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
			account.id AS accountId, account.home_id AS homeId,
			EXISTS (SELECT 1 FROM account AS other WHERE other.home_id = account.id) AS isHome, account.role, account.display_name AS displayName, account.school_id AS accountSchool,
			(COALESCE(account.totp_secret, home.totp_secret) IS NULL AND own.needs_second_factor) AS lacksSecondFactor,
			student.id AS studentId, student.shown_name AS givenName, student.grade, student.school_id AS studentSchool,
			school.time_zone AS timeZone,
			(SELECT NULLIF(MAX(COALESCE(until_on, '9999-12-31')), '9999-12-31') FROM class_membership
				WHERE class_membership.student_id = student.id) AS leavesOn
		FROM sign_in
		LEFT JOIN account ON account.id = sign_in.account_id AND account.deactivated_at IS NULL
		LEFT JOIN account AS home ON home.id = account.home_id
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
				...(row.homeId === null ? {} : { homeId: row.homeId }),
				...(row.homeId !== null || row.isHome ? { servesOthers: true } : {}),
				...(row.lacksSecondFactor ? { lacksSecondFactor: true } : {})
			}
		: { kind: 'student', id: row.studentId, schoolId: row.studentSchool, givenName: row.givenName, grade: row.grade };
}

/** Makes a sign-in one of another account of the same person, with a new token; it ends when it would have ended. @returns whether it was held */
export async function moveSignIn(
	database: Database,
	staff: Staff,
	account: number,
	{ tokenHash, heldHash }: { tokenHash: Buffer; heldHash: Buffer }
): Promise<boolean> {
	const { affected } = await database.run(
		'UPDATE sign_in SET token_hash = ?, account_id = ? WHERE token_hash = ? AND account_id = ?',
		[tokenHash, account, heldHash, staff.id]
	);
	return affected > 0;
}

export async function endSignIn(database: Database, tokenHash: Buffer): Promise<void> {
	await database.run('DELETE FROM sign_in WHERE token_hash = ?', [tokenHash]);
}

/** SQL: of the account that somebody signs in by, or of one they come to from there; takes its id twice. */
const OF_PERSON = 'account_id IN (SELECT id FROM account WHERE id = ? OR home_id = ?)';

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
	const rows = await database.rows<Omit<OwnSignIn, 'isThis'> & { isThis: number }>(
		`SELECT id, began_at AS beganAt, last_used_at AS lastUsedAt, address, browser, token_hash = ? AS isThis
		FROM sign_in WHERE ${OF_PERSON} AND ends_at > ? AND last_used_at > ?
		ORDER BY began_at DESC, id DESC`,
		[tokenHash, signsInBy(staff), signsInBy(staff), at, minutesBefore(at, IDLE_MINUTES.staff)]
	);
	return rows.map((row) => ({ ...row, isThis: Boolean(row.isThis) }));
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
			`DELETE FROM sign_in WHERE ${OF_PERSON} AND token_hash <> ? ${id === 'all' ? '' : 'AND id = ?'}`,
			[signsInBy(staff), signsInBy(staff), tokenHash, ...(id === 'all' ? [] : [id])]
		);
		if (affected) await audit(transaction, staff, at, 'end sign-ins', { count: affected });
		return affected;
	});
}

/** The hash of a staff member's password; null for who signs in with the identity provider only. */
export async function passwordHashOf(database: Database, staff: Staff): Promise<string | null> {
	const row = await database.row<{ hash: string | null }>('SELECT password_hash AS hash FROM account WHERE id = ?', [
		signsInBy(staff)
	]);
	return row!.hash;
}

/** Sets a new password; all other sign-ins are over, at every school. @returns how many of those there were */
export async function changePassword(
	database: RootDatabase,
	staff: Staff,
	newHash: string,
	tokenHash: Buffer,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const home = signsInBy(staff);
		await transaction.run('UPDATE account SET password_hash = ? WHERE id = ?', [newHash, home]);
		const { affected } = await transaction.run(`DELETE FROM sign_in WHERE ${OF_PERSON} AND token_hash <> ?`, [
			home,
			home,
			tokenHash
		]);
		await audit(transaction, staff, at, 'change password', { ended: affected });
		return affected;
	});
}
