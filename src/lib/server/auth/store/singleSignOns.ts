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
const OWN_ID = /^(.{1,80})-(adult|student)-(\d{1,9})$/;

const OF_SCHOOL = {
	account: `account.totp_secret IS NOT NULL AS asksForCode
		FROM account JOIN school ON school.id = account.school_id AND school.single_sign_on <> 'off'
		WHERE account.deactivated_at IS NULL AND account.home_id IS NULL`,
	student: `FALSE AS asksForCode
		FROM student JOIN school ON school.id = student.school_id AND school.single_sign_on <> 'off'
		WHERE TRUE`
} as const;

/** Everybody who is known to a roster by an id: one, nobody, or, where two schools' rosters have the same, several. */
export async function knownByRoster(database: Database, sourcedId: string): Promise<KnownByRoster[]> {
	const found = async (table: 'account' | 'student', more: string, values: unknown[]): Promise<KnownByRoster[]> => {
		const rows = await database.rows<{ id: number; asksForCode: number | boolean }>(
			`SELECT ${table}.id, ${OF_SCHOOL[table]} AND ${more} LIMIT 2`,
			values
		);
		return rows.map(({ id, asksForCode }) => ({
			holder: table === 'account' ? { accountId: id } : { studentId: id },
			asksForCode: Boolean(asksForCode)
		}));
	};
	const known = [
		...(await found('account', 'account.sourced_id = ?', [sourcedId])),
		...(await found('student', 'student.sourced_id = ?', [sourcedId]))
	];
	const [, key, kind, id] = OWN_ID.exec(sourcedId) ?? [];
	if (known.length || !key) return known;
	const table = kind === 'adult' ? 'account' : 'student';
	return found(table, `${table}.id = ? AND ${table}.sourced_id IS NULL AND school.roster_key = ?`, [Number(id), key]);
}

/** Whether any school of the installation signs in with the provider. */
export async function isSingleSignOnUsed(database: Database): Promise<boolean> {
	return (await database.row(`SELECT 1 FROM school WHERE single_sign_on <> 'off' LIMIT 1`)) !== null;
}
