import type { Database } from '../database/pool';

/** Writes down who did what, in the same transaction as the deed. */
export async function audit(
	database: Database,
	entry: { schoolId: number; accountId: number | null; at: Date; action: string; detail: Record<string, unknown> }
): Promise<void> {
	await database.run('INSERT INTO audit_entry (school_id, account_id, at, action, detail) VALUES (?, ?, ?, ?, ?)', [
		entry.schoolId,
		entry.accountId,
		entry.at,
		entry.action,
		JSON.stringify(entry.detail).slice(0, 2_000)
	]);
}
