import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';

/** Accounts that nobody can sign in with any more and that may still run something. */
export async function accountsLeftBehind(database: Database, schoolId: number, today: SchoolDate): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		`SELECT account.id FROM account
		WHERE account.school_id = ? AND account.deactivated_at IS NOT NULL AND (
			EXISTS (SELECT 1 FROM slot WHERE slot.staff_id = account.id AND (slot.ended_on IS NULL OR slot.ended_on > ?))
			OR EXISTS (SELECT 1 FROM responsibility AS held
				WHERE held.account_id = account.id AND (held.until_on IS NULL OR held.until_on > ?))
			OR EXISTS (SELECT 1 FROM class_adult AS adult
				WHERE adult.account_id = account.id AND (adult.until_on IS NULL OR adult.until_on > ?)))
		ORDER BY account.id`,
		[schoolId, today, today, today]
	);
	return rows.map(({ id }) => id);
}
