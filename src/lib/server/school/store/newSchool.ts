import { audit, type RootDatabase } from '../../database';

/** A school of which nothing is known yet, and who sets it up. */
export interface NewSchool {
	name: string;
	/** As in the IANA database. */
	timeZone: string;
	coordinator: { userName: string; displayName: string; passwordHash: string };
}

/** Adds a school with nobody in it but a coordinator. @returns its id; null where somebody has the user name */
export async function addSchool(
	database: RootDatabase,
	{ name, timeZone, coordinator: { userName, displayName, passwordHash } }: NewSchool,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		if (await transaction.row('SELECT 1 FROM account WHERE user_name = ? FOR UPDATE', [userName])) return null;
		const { insertId: schoolId } = await transaction.run('INSERT INTO school (name, time_zone) VALUES (?, ?)', [
			name,
			timeZone
		]);
		const { insertId: id } = await transaction.run(
			`INSERT INTO account (school_id, role, user_name, display_name, password_hash)
			VALUES (?, 'coordinator', ?, ?, ?)`,
			[schoolId, userName, displayName, passwordHash]
		);
		await audit(transaction, { id, schoolId }, at, 'add school', { name, timeZone, account: id, userName });
		return schoolId;
	});
}
