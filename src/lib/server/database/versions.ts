import type { Staff } from '../request';
import { audit } from './audit';
import type { Database, RootDatabase } from './pool';

/** What a job finds and a person approves, version by version; the newest that was not taken back is in use. */
type Versions = 'parameter_version' | 'field_version';

/**
 * Begins a new version of what a job of the school has found. Belongs into the transaction that writes the rest of it.
 *
 * @param found columns of the version and their values
 * @returns null when the job is not the school's, of another kind, not done, or in use already
 */
export async function newVersion(
	transaction: Database,
	staff: Staff,
	job: { id: number; kind: string; versions: Versions },
	found: Record<string, number>,
	at: Date
): Promise<{ id: number; number: number } | null> {
	const done = await transaction.row(
		`SELECT id FROM job WHERE id = ? AND school_id = ? AND kind = ? AND state = 'done' FOR UPDATE`,
		[job.id, staff.schoolId, job.kind]
	);
	if (!done) return null;
	const before = await transaction.rows<{ number: number; jobId: number; withdrawnAt: Date | null }>(
		`SELECT number, job_id AS jobId, withdrawn_at AS withdrawnAt FROM ${job.versions} WHERE school_id = ? FOR UPDATE`,
		[staff.schoolId]
	);
	if (before.some(({ jobId, withdrawnAt }) => jobId === job.id && withdrawnAt === null)) return null;
	const number = 1 + Math.max(0, ...before.map((version) => version.number));
	const columns = { school_id: staff.schoolId, number, job_id: job.id, applied_by: staff.id, applied_at: at, ...found };
	const { insertId } = await transaction.run(
		`INSERT INTO ${job.versions} (${Object.keys(columns).join(', ')})
		VALUES (${Object.keys(columns)
			.map(() => '?')
			.join(', ')})`,
		Object.values(columns)
	);
	return { id: insertId, number };
}

/**
 * Takes a version out of use, or into use again.
 *
 * @param version with what its taking back is called in the log: `withdraw parameters`
 * @returns whether there was one to change
 */
export async function withdrawVersion(
	database: RootDatabase,
	staff: Staff,
	version: { id: number; versions: Versions; withdraws: string },
	withdrawn: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE ${version.versions} SET withdrawn_at = ?
			WHERE id = ? AND school_id = ? AND withdrawn_at IS ${withdrawn ? '' : 'NOT'} NULL`,
			[withdrawn ? at : null, version.id, staff.schoolId]
		);
		const action = withdrawn ? version.withdraws : `undo ${version.withdraws}`;
		if (affected) await audit(transaction, staff, at, action, { version: version.id });
		return affected > 0;
	});
}
