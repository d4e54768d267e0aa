import type { Database } from './pool';
import type { Staff } from '../request';

/** Characters of detail: hundreds of students and what was noted of each. */
const MOST_DETAIL = 60_000;

/** Writes down what a staff member did, in the same transaction as the deed. */
export async function audit(
	database: Database,
	staff: Pick<Staff, 'id' | 'schoolId'>,
	at: Date,
	action: string,
	detail: Record<string, unknown>
): Promise<void> {
	await database.run('INSERT INTO audit_entry (school_id, account_id, at, action, detail) VALUES (?, ?, ?, ?, ?)', [
		staff.schoolId,
		staff.id,
		at,
		action,
		JSON.stringify(detail).slice(0, MOST_DETAIL)
	]);
}
