import { audit, type Database, type RootDatabase } from '../../database';
import { type Role, signsInBy, type Staff } from '../../request';
import { invitedBy } from './accounts';

/** Another school that a staff member serves, and as what. */
export interface OtherSchool {
	/** The account there. */
	account: number;
	school: string;
	role: Role;
}

/** The other schools that a staff member serves, by name. */
export async function otherSchools(database: Database, staff: Staff): Promise<OtherSchool[]> {
	const home = signsInBy(staff);
	return database.rows(
		`SELECT account.id AS account, school.name AS school, account.role
		FROM account JOIN school ON school.id = account.school_id
		WHERE (account.id = ? OR account.home_id = ?) AND account.id <> ? AND account.deactivated_at IS NULL
		ORDER BY school.name, account.id`,
		[home, home, staff.id]
	);
}

/**
 * Uses an invitation of another school: its account has no password of its own from now on, and the staff member comes to
 * it from the one they have signed in by.
 *
 * @returns whether it could be used: not once it is over, nor in the school that they have an account of
 */
export async function joinByInvitation(
	database: RootDatabase,
	staff: Staff,
	tokenHash: Buffer,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const invited = await invitedBy(transaction, tokenHash, at);
		if (!invited) return false;
		const home = signsInBy(staff);
		const taken = await transaction.row(
			'SELECT 1 FROM account WHERE (id = ? OR home_id = ?) AND school_id = ? AND deactivated_at IS NULL FOR UPDATE',
			[home, home, invited.schoolId]
		);
		const { affected } = taken
			? { affected: 0 }
			: await transaction.run('DELETE FROM invitation WHERE token_hash = ?', [tokenHash]);
		if (!affected) return false;
		await transaction.run('DELETE FROM recovery_code WHERE account_id = ?', [invited.id]);
		await transaction.run('DELETE FROM sign_in WHERE account_id = ?', [invited.id]);
		await transaction.run(
			'UPDATE account SET home_id = ?, password_hash = NULL, totp_secret = NULL, totp_step = NULL WHERE id = ?',
			[home, invited.id]
		);
		// Whoever came by the account of this school comes by the same one.
		await transaction.run('UPDATE account SET home_id = ? WHERE home_id = ?', [home, invited.id]);
		await audit(transaction, invited, at, 'accept invitation', { account: invited.id, from: 'another school' });
		await audit(transaction, staff, at, 'serve another school', { account: staff.id });
		return true;
	});
}
