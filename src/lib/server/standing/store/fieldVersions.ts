import { LEARNED_CONSTANTS, type LearnedConstants } from '../../../core/mastery';
import { audit, type Database, newVersion, type RootDatabase, withdrawVersion } from '../../database';
import type { Staff } from '../../request';

const OF_JOB = { kind: 'field constants', versions: 'field_version', withdraws: 'withdraw field constants' } as const;

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
		const found = Object.fromEntries(LEARNED_CONSTANTS.map((name) => [name, constants[name]]));
		const version = await newVersion(transaction, staff, { ...OF_JOB, id: jobId }, found, at);
		if (version) await audit(transaction, staff, at, 'apply field constants', { version: version.number, ...found });
		return version;
	});
}

/**
 * Takes a version back, or into use again; standings follow from the newest in use.
 *
 * @returns whether there was one to change
 */
export const withdrawConstants = (
	database: RootDatabase,
	staff: Staff,
	id: number,
	withdrawn: boolean,
	at: Date
): Promise<boolean> => withdrawVersion(database, staff, { ...OF_JOB, id }, withdrawn, at);
