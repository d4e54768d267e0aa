import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import type { Holder } from './signIns';

/** Whether those whom a roster knows sign in with the identity provider: not, beside their password or PIN, or instead. */
export const SINGLE_SIGN_ONS = ['off', 'beside', 'instead'] as const;
export type SingleSignOn = (typeof SINGLE_SIGN_ONS)[number];

export async function singleSignOnOf(database: Database, schoolId: number): Promise<SingleSignOn> {
	const row = await database.row<{ mode: SingleSignOn }>('SELECT single_sign_on AS mode FROM school WHERE id = ?', [
		schoolId
	]);
	return row!.mode;
}

/** @returns what it was before */
export async function setSingleSignOn(
	database: RootDatabase,
	staff: Staff,
	mode: SingleSignOn,
	at: Date
): Promise<SingleSignOn> {
	return database.transaction(async (transaction) => {
		const before = await singleSignOnOf(transaction, staff.schoolId);
		await transaction.run('UPDATE school SET single_sign_on = ? WHERE id = ?', [mode, staff.schoolId]);
		await audit(transaction, staff, at, 'set single sign-on', { before, after: mode });
		return before;
	});
}

/** Who is known to rosters by an id, in schools that sign in with the provider. */
export interface KnownByRoster {
	holder: Holder;
	/** Of staff: whether a code is asked for as well. */
	asksForCode: boolean;
}

/** Ids by which people go out in a school's roster whom no roster has brought; see `sourcedIdOf`. */
const OWN_ID = /^(.{1,80})-(adult|student)-(\d{1,10})$/;

/** Everybody who is known to a roster by an id: one, nobody, or, where two schools' rosters have the same, several. */
export async function knownByRoster(database: Database, sourcedId: string): Promise<KnownByRoster[]> {
	const [, key = '', kind = '', id = '0'] = OWN_ID.exec(sourcedId) ?? [];
	const where = (table: 'account' | 'student') => ({
		sql: `FROM ${table} JOIN school ON school.id = ${table}.school_id AND school.single_sign_on <> 'off'
			WHERE (${table}.sourced_id = ? OR (${table}.sourced_id IS NULL AND ${table}.id = ? AND school.roster_key = ?))`,
		values: [sourcedId, kind === (table === 'account' ? 'adult' : 'student') ? Number(id) : 0, key]
	});
	const [account, student] = [where('account'), where('student')];
	const accounts = await database.rows<{ id: number; asksForCode: number | boolean }>(
		`SELECT account.id, account.totp_secret IS NOT NULL AS asksForCode ${account.sql}
		AND account.deactivated_at IS NULL LIMIT 2`,
		account.values
	);
	const students = await database.rows<{ id: number }>(`SELECT student.id ${student.sql} LIMIT 2`, student.values);
	return [
		...accounts.map((one) => ({ holder: { accountId: one.id }, asksForCode: Boolean(one.asksForCode) })),
		...students.map((one) => ({ holder: { studentId: one.id }, asksForCode: false }))
	];
}
