import { randomBytes } from 'node:crypto';
import { hashSecret } from '../auth';
import type { RootDatabase } from '../database';
import { addSchool } from '../school';

/** Makes a school with nobody in it but a coordinator. @returns the coordinator's password; null where somebody has the user name */
export async function makeSchool(
	database: RootDatabase,
	{ name, timeZone, userName }: { name: string; timeZone: string; userName: string },
	at: Date
): Promise<string | null> {
	const password = randomBytes(9).toString('base64url');
	const coordinator = { userName, displayName: 'Coordinator', passwordHash: await hashSecret(password) };
	return (await addSchool(database, { name, timeZone, coordinator }, at)) === null ? null : password;
}
