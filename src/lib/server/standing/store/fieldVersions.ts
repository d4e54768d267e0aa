import { LEARNED_CONSTANTS, type LearnedConstants } from '../../../core/mastery';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** Constants of a school's field that were approved. */
export interface FieldVersion {
	id: number;
	number: number;
	jobId: number;
	constants: LearnedConstants;
	appliedBy: string;
	appliedAt: Date;
}

/** The version of a school that standings follow from, the newest that was not taken back; null for the shipped constants. */
export async function fieldVersionInUse(database: Database, schoolId: number): Promise<FieldVersion | null> {
	const row = await database.row<Omit<FieldVersion, 'constants'> & LearnedConstants>(
		`SELECT field_version.id, number, job_id AS jobId, above, general, domain, skill, coupling,
			account.display_name AS appliedBy, applied_at AS appliedAt
		FROM field_version
		JOIN account ON account.id = field_version.applied_by
		WHERE field_version.school_id = ? AND withdrawn_at IS NULL
		ORDER BY number DESC LIMIT 1`,
		[schoolId]
	);
	if (!row) return null;
	const { id, number, jobId, appliedBy, appliedAt, ...constants } = row;
	return { id, number, jobId, constants, appliedBy, appliedAt };
}

/**
 * Makes constants that a job found what standings follow from.
 *
 * @returns the version, or null when the job is not the school's, not done, or in use already
 */
export async function applyConstants(
	database: RootDatabase,
	staff: Staff,
	jobId: number,
	constants: LearnedConstants,
	at: Date
): Promise<{ id: number; number: number } | null> {
	return database.transaction(async (transaction) => {
		const job = await transaction.row(
			`SELECT id FROM job WHERE id = ? AND school_id = ? AND kind = 'field constants' AND state = 'done' FOR UPDATE`,
			[jobId, staff.schoolId]
		);
		if (!job) return null;
		const versions = await transaction.rows<{ number: number; jobId: number; withdrawnAt: Date | null }>(
			'SELECT number, job_id AS jobId, withdrawn_at AS withdrawnAt FROM field_version WHERE school_id = ? FOR UPDATE',
			[staff.schoolId]
		);
		if (versions.some((version) => version.jobId === jobId && version.withdrawnAt === null)) return null;
		const number = 1 + Math.max(0, ...versions.map((version) => version.number));
		const { insertId } = await transaction.run(
			`INSERT INTO field_version (school_id, number, job_id, ${LEARNED_CONSTANTS.join(', ')}, applied_by, applied_at)
			VALUES (?, ?, ?, ${LEARNED_CONSTANTS.map(() => '?').join(', ')}, ?, ?)`,
			[staff.schoolId, number, jobId, ...LEARNED_CONSTANTS.map((name) => constants[name]), staff.id, at]
		);
		await audit(transaction, staff, at, 'apply field constants', { version: number, ...constants });
		return { id: insertId, number };
	});
}

/**
 * Takes a version back, or into use again; standings follow from the newest in use.
 *
 * @returns whether there was one to change
 */
export async function withdrawConstants(
	database: RootDatabase,
	staff: Staff,
	versionId: number,
	withdrawn: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE field_version SET withdrawn_at = ?
			WHERE id = ? AND school_id = ? AND withdrawn_at IS ${withdrawn ? '' : 'NOT'} NULL`,
			[withdrawn ? at : null, versionId, staff.schoolId]
		);
		const action = withdrawn ? 'withdraw field constants' : 'undo withdraw field constants';
		if (affected) await audit(transaction, staff, at, action, { version: versionId });
		return affected > 0;
	});
}
