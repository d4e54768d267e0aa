import { audit, type Database, type RootDatabase } from '../../database';
import { signsInBy, type Staff } from '../../request';

/** What an account has as a second factor. */
export interface SecondFactor {
	/** Base32. */
	secret: string;
	/** The time step whose code was used last; null for none yet. */
	lastStep: number | null;
	/** Recovery codes that are left. */
	codes: number;
}

/** The second factor of an account; null where it has none. */
export async function secondFactorOf(database: Database, accountId: number): Promise<SecondFactor | null> {
	const row = await database.row<SecondFactor>(
		`SELECT totp_secret AS secret, totp_step AS lastStep,
			CAST((SELECT COUNT(*) FROM recovery_code WHERE account_id = account.id) AS UNSIGNED) AS codes
		FROM account WHERE id = ? AND totp_secret IS NOT NULL`,
		[accountId]
	);
	return row && { ...row, codes: Number(row.codes) };
}

/** Whether a school wants a second factor of all staff. */
export async function needsSecondFactor(database: Database, schoolId: number): Promise<boolean> {
	const row = await database.row<{ needed: boolean }>('SELECT needs_second_factor AS needed FROM school WHERE id = ?', [
		schoolId
	]);
	return row!.needed;
}

/** Whether any school that a person serves wants a second factor of all staff. */
export async function anySchoolNeedsSecondFactor(database: Database, staff: Staff): Promise<boolean> {
	const home = signsInBy(staff);
	const row = await database.row(
		`SELECT 1 FROM account JOIN school ON school.id = account.school_id AND school.needs_second_factor
		WHERE (account.id = ? OR account.home_id = ?) AND account.deactivated_at IS NULL LIMIT 1`,
		[home, home]
	);
	return row !== null;
}

/** Says whether a school wants a second factor of all staff. */
export async function requireSecondFactor(
	database: RootDatabase,
	staff: Staff,
	isNeeded: boolean,
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		await transaction.run('UPDATE school SET needs_second_factor = ? WHERE id = ?', [isNeeded, staff.schoolId]);
		await audit(transaction, staff, at, 'require second factor', { after: isNeeded });
	});
}

/** Gives one's own account a second factor, in place of one that it had. @param step whose code was shown */
export async function keepSecondFactor(
	database: RootDatabase,
	staff: Staff,
	{ secret, step, codeHashes }: { secret: string; step: number; codeHashes: Buffer[] },
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		await transaction.run('UPDATE account SET totp_secret = ?, totp_step = ? WHERE id = ?', [
			secret,
			step,
			signsInBy(staff)
		]);
		await replaceCodes(transaction, staff, codeHashes);
		await audit(transaction, staff, at, 'set second factor', { account: staff.id });
	});
}

/** Gives one's own account other recovery codes; those it had work no more. */
export async function renewRecoveryCodes(
	database: RootDatabase,
	staff: Staff,
	codeHashes: Buffer[],
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		await replaceCodes(transaction, staff, codeHashes);
		await audit(transaction, staff, at, 'renew recovery codes', { account: staff.id });
	});
}

async function replaceCodes(transaction: Database, staff: Staff, codeHashes: Buffer[]): Promise<void> {
	const id = signsInBy(staff);
	await transaction.run('DELETE FROM recovery_code WHERE account_id = ?', [id]);
	await transaction.insertMany(
		'INSERT INTO recovery_code (account_id, code_hash) VALUES ?',
		codeHashes.map((hash) => [id, hash])
	);
}

/** Takes the second factor off an account of the school. @returns whether it had one */
export async function dropSecondFactor(
	database: RootDatabase,
	staff: Staff,
	accountId: number,
	at: Date
): Promise<boolean> {
	return dropFrom(database, staff, { accountId, schoolId: staff.schoolId }, at);
}

/** Takes off one's own second factor. @returns whether there was one */
export const dropOwnSecondFactor = (database: RootDatabase, staff: Staff, at: Date): Promise<boolean> =>
	dropFrom(database, staff, { accountId: signsInBy(staff), schoolId: null }, at);

/** @param schoolId that the account has to be of; null for any */
async function dropFrom(
	database: RootDatabase,
	staff: Staff,
	{ accountId, schoolId }: { accountId: number; schoolId: number | null },
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE account SET totp_secret = NULL, totp_step = NULL
			WHERE id = ? AND school_id = COALESCE(?, school_id) AND totp_secret IS NOT NULL`,
			[accountId, schoolId]
		);
		if (!affected) return false;
		await transaction.run('DELETE FROM recovery_code WHERE account_id = ?', [accountId]);
		await audit(transaction, staff, at, 'drop second factor', {
			account: schoolId === null ? staff.id : accountId
		});
		return true;
	});
}

/** Uses the code of a time step up. @returns whether neither it nor a later one was used before */
export async function useStep(database: Database, accountId: number, step: number): Promise<boolean> {
	const { affected } = await database.run(
		'UPDATE account SET totp_step = ? WHERE id = ? AND (totp_step IS NULL OR totp_step < ?)',
		[step, accountId, step]
	);
	return affected > 0;
}

/** Uses a recovery code up. @returns whether it was one */
export async function useRecoveryCode(database: Database, accountId: number, codeHash: Buffer): Promise<boolean> {
	const { affected } = await database.run('DELETE FROM recovery_code WHERE account_id = ? AND code_hash = ?', [
		accountId,
		codeHash
	]);
	return affected > 0;
}
