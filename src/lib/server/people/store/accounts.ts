import { audit, type Database, type RootDatabase } from '../../database';
import type { Role, Staff } from '../../request';

/** A staff account as Setup lists it. */
export interface StaffInSetup {
	id: number;
	userName: string;
	displayName: string;
	role: Role;
	email: string | null;
	/** Whether they can sign in: a password was chosen, or they come from an account at another school. */
	hasPassword: boolean;
	/** Whether they sign in by an account at another school. */
	isFromOther: boolean;
	/** Whether a code is asked for after it. */
	hasSecondFactor: boolean;
	/** Until when an invitation that was not used can be; null for none. */
	invitedUntil: Date | null;
	lastSignIn: Date | null;
	deactivatedAt: Date | null;
}

/** SQL of an account and of the other school's by which its person signs in. */
const YES_OR_NO = {
	hasPassword: 'COALESCE(account.password_hash, home.password_hash) IS NOT NULL',
	isFromOther: 'account.home_id IS NOT NULL',
	hasSecondFactor: 'COALESCE(account.totp_secret, home.totp_secret) IS NOT NULL'
} as const;
const yesOrNo = Object.entries(YES_OR_NO)
	.map(([name, sql]) => `${sql} AS ${name}`)
	.join(', ');

/** All accounts of a school, those who cannot sign in any more last. */
export async function staffInSetup(database: Database, schoolId: number, at: Date): Promise<StaffInSetup[]> {
	const rows = await database.rows<Omit<StaffInSetup, keyof typeof YES_OR_NO> & Record<keyof typeof YES_OR_NO, number>>(
		`SELECT account.id, account.user_name AS userName, account.display_name AS displayName, account.role,
			account.email, account.deactivated_at AS deactivatedAt, ${yesOrNo},
			(SELECT MAX(expires_at) FROM invitation WHERE account_id = account.id AND expires_at > ?) AS invitedUntil,
			(SELECT MAX(began_at) FROM sign_in WHERE account_id = account.id) AS lastSignIn
		FROM account LEFT JOIN account AS home ON home.id = account.home_id AND home.deactivated_at IS NULL
		WHERE account.school_id = ?
		ORDER BY account.deactivated_at IS NOT NULL, account.role, account.display_name, account.id`,
		[at, schoolId]
	);
	return rows.map((row) => ({
		...row,
		hasPassword: Boolean(row.hasPassword),
		isFromOther: Boolean(row.isFromOther),
		hasSecondFactor: Boolean(row.hasSecondFactor)
	}));
}

export interface NewAccount {
	userName: string;
	displayName: string;
	role: Role;
	email: string | null;
}

/** Adds an account that nobody can sign in with yet. @returns its id; null where another has the user name */
export async function addAccount(
	database: RootDatabase,
	staff: Staff,
	{ userName, displayName, role, email }: NewAccount,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		const taken = await transaction.row('SELECT 1 FROM account WHERE user_name = ? FOR UPDATE', [userName]);
		if (taken) return null;
		const { insertId } = await transaction.run(
			'INSERT INTO account (school_id, role, user_name, display_name, email) VALUES (?, ?, ?, ?, ?)',
			[staff.schoolId, role, userName, displayName, email]
		);
		await audit(transaction, staff, at, 'add account', { account: insertId, userName, displayName, role, email });
		return insertId;
	});
}

/** An account of the staff member's school, held until the transaction ends. */
async function holdAccount(transaction: Database, { schoolId }: Staff, id: number) {
	return transaction.row<NewAccount & { deactivatedAt: Date | null }>(
		`SELECT user_name AS userName, display_name AS displayName, role, email, deactivated_at AS deactivatedAt
		FROM account WHERE id = ? AND school_id = ? FOR UPDATE`,
		[id, schoolId]
	);
}

/** Changes name, role and address of an account. @returns what they were; null for no such account */
export async function changeAccount(
	database: RootDatabase,
	staff: Staff,
	id: number,
	{ displayName, role, email }: Omit<NewAccount, 'userName'>,
	at: Date
): Promise<Omit<NewAccount, 'userName'> | null> {
	return database.transaction(async (transaction) => {
		const before = await holdAccount(transaction, staff, id);
		if (!before) return null;
		await transaction.run('UPDATE account SET display_name = ?, role = ?, email = ? WHERE id = ?', [
			displayName,
			role,
			email,
			id
		]);
		await audit(transaction, staff, at, 'change account', { account: id, before, after: { displayName, role, email } });
		return before;
	});
}

/** Keeps a person from signing in, at once, or lets them again. @returns whether that is another than before */
export async function setActive(
	database: RootDatabase,
	staff: Staff,
	id: number,
	isActive: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const before = await holdAccount(transaction, staff, id);
		if (!before || (before.deactivatedAt === null) === isActive) return false;
		await transaction.run('UPDATE account SET deactivated_at = ? WHERE id = ?', [isActive ? null : at, id]);
		if (!isActive) {
			await transaction.run('DELETE FROM sign_in WHERE account_id = ?', [id]);
			await transaction.run('DELETE FROM invitation WHERE account_id = ?', [id]);
		}
		await audit(transaction, staff, at, isActive ? 'reactivate account' : 'deactivate account', { account: id });
		return true;
	});
}

/** Days for which an invitation can be used. */
export const INVITATION_DAYS = 14;

/** Invites a person to choose a password, by the hash of a link's token; earlier invitations end. @returns the person's name */
export async function invite(
	database: RootDatabase,
	staff: Staff,
	id: number,
	tokenHash: Buffer,
	at: Date
): Promise<string | null> {
	return database.transaction(async (transaction) => {
		const account = await holdAccount(transaction, staff, id);
		if (!account || account.deactivatedAt) return null;
		await transaction.run('DELETE FROM invitation WHERE account_id = ?', [id]);
		await transaction.run(
			'INSERT INTO invitation (token_hash, account_id, made_by, made_at, expires_at) VALUES (?, ?, ?, ?, ?)',
			[tokenHash, id, staff.id, at, new Date(at.getTime() + INVITATION_DAYS * 86_400_000)]
		);
		await audit(transaction, staff, at, 'invite', { account: id });
		return account.displayName;
	});
}

/** Whom an invitation is for; null once it is used or over. */
export async function invitedBy(database: Database, tokenHash: Buffer, at: Date) {
	return database.row<{ id: number; schoolId: number; userName: string; displayName: string; schoolName: string }>(
		`SELECT account.id, account.school_id AS schoolId, account.user_name AS userName,
			account.display_name AS displayName, school.name AS schoolName
		FROM invitation
		JOIN account ON account.id = invitation.account_id AND account.deactivated_at IS NULL
		JOIN school ON school.id = account.school_id
		WHERE invitation.token_hash = ? AND invitation.expires_at > ?`,
		[tokenHash, at]
	);
}

/**
 * Uses an invitation: the password is the one chosen, and whoever was signed in is not any more. It opens this school
 * only: accounts at others to which the person came from this one wait for invitations of their own.
 *
 * @returns whether it could be used
 */
export async function acceptInvitation(
	database: RootDatabase,
	tokenHash: Buffer,
	passwordHash: string,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const invited = await invitedBy(transaction, tokenHash, at);
		if (!invited) return false;
		const { affected } = await transaction.run('DELETE FROM invitation WHERE token_hash = ?', [tokenHash]);
		if (!affected) return false;
		await transaction.run('UPDATE account SET password_hash = ?, home_id = NULL WHERE id = ?', [
			passwordHash,
			invited.id
		]);
		await transaction.run(
			'DELETE FROM sign_in WHERE account_id IN (SELECT id FROM account WHERE id = ? OR home_id = ?)',
			[invited.id, invited.id]
		);
		await transaction.run('UPDATE account SET home_id = NULL WHERE home_id = ?', [invited.id]);
		await audit(transaction, invited, at, 'accept invitation', { account: invited.id });
		return true;
	});
}
