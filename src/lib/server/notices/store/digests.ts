import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** Whether somebody gets a letter on Mondays, and whether they have an address for it. */
export async function digestChoice(
	database: Database,
	{ id }: Staff
): Promise<{ wanted: boolean; hasAddress: boolean }> {
	const row = await database.row<{ wanted: number; hasAddress: number }>(
		'SELECT weekly_digest AS wanted, email IS NOT NULL AS hasAddress FROM account WHERE id = ?',
		[id]
	);
	return { wanted: Boolean(row?.wanted), hasAddress: Boolean(row?.hasAddress) };
}

/** Lets somebody have a letter on Mondays, or not any more. @returns whether that is a change */
export async function chooseDigest(database: RootDatabase, staff: Staff, wanted: boolean, at: Date): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			'UPDATE account SET weekly_digest = ? WHERE id = ? AND weekly_digest <> ?',
			[wanted, staff.id, wanted]
		);
		if (affected) await audit(transaction, staff, at, wanted ? 'want weekly digest' : 'stop weekly digest', {});
		return affected > 0;
	});
}

/** Who of a school wants a letter and has not had that of a week; those to whom another letter still waits come later. */
export async function digestsToSend(database: Database, schoolId: number, monday: SchoolDate): Promise<Staff[]> {
	const rows = await database.rows<Pick<Staff, 'id' | 'role' | 'displayName'>>(
		`SELECT id, role, display_name AS displayName FROM account
		WHERE school_id = ? AND weekly_digest AND email IS NOT NULL AND password_hash IS NOT NULL AND deactivated_at IS NULL
			AND (digest_of IS NULL OR digest_of < ?)
			AND NOT EXISTS (SELECT 1 FROM outgoing_mail AS mail WHERE mail.account_id = account.id AND mail.next_at IS NOT NULL)
		ORDER BY id`,
		[schoolId, monday]
	);
	return rows.map((row) => ({ kind: 'staff', schoolId, ...row }));
}

/** Notes that a week's letter was written. Belongs into its transaction. @returns false where another process did */
export async function noteDigest(transaction: Database, { id }: Staff, monday: SchoolDate): Promise<boolean> {
	const { affected } = await transaction.run(
		'UPDATE account SET digest_of = ? WHERE id = ? AND (digest_of IS NULL OR digest_of < ?)',
		[monday, id, monday]
	);
	return affected > 0;
}
