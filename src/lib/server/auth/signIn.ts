import { createHash, randomBytes } from 'node:crypto';
import type { RootDatabase } from '../database/pool';
import { accountByUserName, studentPin } from '../store/people';
import {
	closeSession,
	dropExpiredSessions,
	failuresSince,
	forgetFailures,
	noteFailure,
	openSession
} from '../store/sessions';
import { matchesSecret, nobodysHash } from './passwords';

export const SESSION_COOKIE = 'compass_session';
/** A school day: nobody signs in twice, and a forgotten tablet is signed out by evening. */
export const SESSION_HOURS = 12;

const WINDOW_MS = 15 * 60_000;
const TRIES_PER_ACCOUNT = 8;
/** A whole class signs in from one address, and children mistype. */
const TRIES_PER_ADDRESS = 60;

export type SignIn = { token: string } | { refused: 'wrong' | 'too many' };

export const tokenHash = (token: string) => createHash('sha256').update(token).digest();

/** Tries to sign a subject in; counts failures of the account and of the address, and refuses when there are too many. */
async function attempt(
	database: RootDatabase,
	subject: string,
	address: string,
	at: Date,
	secret: string,
	find: () => Promise<{ hash: string; holder: { accountId: number } | { studentId: number } } | null>
): Promise<SignIn> {
	const since = new Date(at.getTime() - WINDOW_MS);
	const from = `address ${address}`;
	const [own, shared] = await Promise.all([
		failuresSince(database, subject, since),
		failuresSince(database, from, since)
	]);
	if (own >= TRIES_PER_ACCOUNT || shared >= TRIES_PER_ADDRESS) return { refused: 'too many' };
	const found = await find();
	const matches = await matchesSecret(found?.hash ?? (await nobodysHash), secret);
	if (!found || !matches) {
		await noteFailure(database, [subject, from], at);
		return { refused: 'wrong' };
	}
	await forgetFailures(database, subject);
	await dropExpiredSessions(database, at);
	const token = randomBytes(32).toString('base64url');
	await openSession(database, tokenHash(token), found.holder, new Date(at.getTime() + SESSION_HOURS * 3_600_000));
	return { token };
}

export function signInStaff(
	database: RootDatabase,
	userName: string,
	password: string,
	address: string,
	at: Date
): Promise<SignIn> {
	return attempt(database, `account ${userName.toLowerCase()}`, address, at, password, async () => {
		const account = await accountByUserName(database, userName);
		return account && { hash: account.passwordHash, holder: { accountId: account.id } };
	});
}

export function signInStudent(
	database: RootDatabase,
	studentId: number,
	pin: string,
	address: string,
	at: Date
): Promise<SignIn> {
	return attempt(database, `student ${studentId}`, address, at, pin, async () => {
		const hash = await studentPin(database, studentId);
		return hash === null ? null : { hash, holder: { studentId } };
	});
}

export async function signOut(database: RootDatabase, token: string): Promise<void> {
	await closeSession(database, tokenHash(token));
}
