import { type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { findSet } from './oneSet';

/** Whether a set can be changed: locked until the end, of the school, and not taken back. */
async function lockSet(transaction: Database, staff: Staff, setId: number): Promise<boolean> {
	await transaction.row('SELECT id FROM practice_set WHERE id = ? FOR UPDATE', [setId]);
	const set = await findSet(transaction, staff, setId);
	return set !== null && !set.isWithdrawn;
}

/**
 * Does something for students with a set that can be changed, which is locked until the end.
 *
 * @returns for whom it was done; nobody where the set is not the school's, or was taken back
 */
export const inSet = (
	database: RootDatabase,
	staff: Staff,
	setId: number,
	studentIds: number[],
	change: (transaction: Database) => Promise<number[]>
): Promise<number[]> =>
	database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds });
		return (await lockSet(transaction, staff, setId)) ? change(transaction) : [];
	});
