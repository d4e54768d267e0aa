/** The second factor of staff: codes of an authenticator (RFC 6238), and recovery codes for when it is lost. */
import { generateSecret, generateURI, verifySync } from 'otplib';
import type { Database, RootDatabase } from '../database';
import { randomCode, signsInBy, type Staff } from '../request';
import { signedText, signer } from './signedText';
import { newToken, type Refusal, tokenHash, type Trying } from './signIn';
import { noteBrowser } from './store/knownBrowsers';
import { keepSecondFactor, renewRecoveryCodes, secondFactorOf, useRecoveryCode, useStep } from './store/secondFactors';
import { beginSignIn } from './store/signIns';
import { countTry, endTry } from './store/tries';

/** A code holds for so long (seconds; RFC 6238, 5.2). */
const STEP = 30;
/** Clocks of telephones go wrong by so much (seconds). */
const CLOCK_ERROR = 30;
/** Codes tried in vain in the memory below: of a million there are three that would do. */
const TRIES = 6;
const MEMORY_MS = 15 * 60_000;
/** As long as somebody looks for a telephone, after the password. */
const GOOD_FOR_MS = 10 * 60_000;
const PURPOSE = 'second factor after a password';
const OFFER = 'second factor to be set up';
const ISSUER = 'Orderly Compass';

/** Recovery codes that an account gets, of 58 bits each. */
const CODES = 10;
const CODE_LENGTH = 12;

/** What a person types, without the spaces and lines that make it easier to read. */
const bare = (typed: string) => typed.replace(/[\s-]/g, '').toUpperCase();

/** The time step of a code that is right at a moment; null for a wrong one. */
function stepOf(secret: string, code: string, at: Date): number | null {
	if (!/^\d{6}$/.test(code)) return null;
	const epoch = Math.floor(at.getTime() / 1_000);
	const result = verifySync({ secret, token: code, epoch, epochTolerance: CLOCK_ERROR });
	return result.valid ? Math.floor(epoch / STEP) + result.delta : null;
}

/** Whether a code is right and was not used before; it is used up then. */
async function takes(database: RootDatabase, accountId: number, typed: string, at: Date): Promise<boolean> {
	const factor = await secondFactorOf(database, accountId);
	if (!factor) return false;
	const code = bare(typed);
	const step = stepOf(factor.secret, code, at);
	if (step !== null) return useStep(database, accountId, step);
	return useRecoveryCode(database, accountId, tokenHash(code));
}

/** Looks at a code once the try is counted. */
async function tryCode(
	database: RootDatabase,
	accountId: number,
	code: string,
	at: Date
): Promise<'right' | 'wrong' | 'too many'> {
	const subjects = [{ name: `second factor of ${accountId}`, memoryMs: MEMORY_MS, isAlone: true }];
	const refused = await countTry(
		database,
		subjects,
		at,
		([{ failures, isLooking }]) => isLooking || failures >= TRIES || null
	);
	if (refused) return 'too many';
	const isRight = await takes(database, accountId, code, at);
	await endTry(database, subjects, isRight);
	return isRight ? 'right' : 'wrong';
}

/** What an account that has a second factor gets for a right password: a text by which the code is asked for. */
export async function askForCode(database: RootDatabase, accountId: number, at: Date): Promise<string> {
	return (await signer(database, PURPOSE))(`${accountId} ${at.getTime() + GOOD_FOR_MS}`);
}

/**
 * Signs somebody in whose password was right, by a code.
 *
 * @param key that the password gave
 * @param world the time by the clock of the world, as authenticators have it, whatever day a demo stands on
 */
export async function signInByCode(
	database: RootDatabase,
	{ key, code }: { key: string; code: string },
	trying: Trying,
	{ at, world }: { at: Date; world: Date }
): Promise<{ token: string } | Refusal | { refused: 'too late' }> {
	const [id, until] = ((await signedText(database, PURPOSE, key)) ?? '').split(' ');
	if (!(Number(until) > world.getTime())) return { refused: 'too late' };
	const accountId = Number(id);
	const outcome = await tryCode(database, accountId, code, world);
	if (outcome === 'too many') return { refused: 'wait', seconds: MEMORY_MS / 1_000 };
	if (outcome === 'wrong') return { refused: 'wrong' };
	const token = newToken();
	const hashes = { tokenHash: tokenHash(token), heldHash: trying.held ? tokenHash(trying.held) : null };
	await beginSignIn(database, { accountId }, hashes, trying, at);
	await noteBrowser(database, tokenHash(trying.browserToken), { accountId }, at);
	return { token };
}

/** A secret that an authenticator may take up, with what it is read from. */
export interface OfferedSecret {
	/** Comes back with the first code. */
	key: string;
	secret: string;
	uri: string;
}

/** Offers a secret. Nothing is kept before its first code is shown. */
export async function offerSecret(database: Database, staff: Staff, at: Date): Promise<OfferedSecret> {
	const secret = generateSecret();
	const sign = await signer(database, OFFER);
	return {
		key: sign(`${staff.id} ${secret} ${at.getTime() + GOOD_FOR_MS}`),
		secret,
		uri: generateURI({ issuer: ISSUER, label: staff.displayName, secret })
	};
}

/** Recovery codes, and the hashes of them that are kept. */
function makeCodes(): { codes: string[]; codeHashes: Buffer[] } {
	const codes = Array.from({ length: CODES }, () => randomCode(CODE_LENGTH));
	return { codes: codes.map((code) => code.replace(/(.{4})(?=.)/g, '$1 ')), codeHashes: codes.map(tokenHash) };
}

/**
 * Takes a secret that was offered, once its first code is right.
 *
 * @returns the recovery codes, which are shown once; null where code or offer is wrong or too old
 */
export async function acceptSecret(
	database: RootDatabase,
	staff: Staff,
	{ key, code }: { key: string; code: string },
	at: Date
): Promise<string[] | null> {
	const [id, secret, until] = ((await signedText(database, OFFER, key)) ?? '').split(' ');
	if (Number(id) !== staff.id || !(Number(until) > at.getTime())) return null;
	const step = stepOf(secret, bare(code), at);
	if (step === null) return null;
	const { codes, codeHashes } = makeCodes();
	await keepSecondFactor(database, staff, { secret, step, codeHashes }, at);
	return codes;
}

/** Other recovery codes for who shows a code. @returns them; null for a wrong code, or too many */
export async function otherCodes(
	database: RootDatabase,
	staff: Staff,
	code: string,
	at: Date
): Promise<string[] | null> {
	if ((await tryCode(database, signsInBy(staff), code, at)) !== 'right') return null;
	const { codes, codeHashes } = makeCodes();
	await renewRecoveryCodes(database, staff, codeHashes, at);
	return codes;
}

/** Whether a code of one's own is right: asked before the second factor is taken off. */
export const showsCode = async (database: RootDatabase, staff: Staff, code: string, at: Date): Promise<boolean> =>
	(await tryCode(database, signsInBy(staff), code, at)) === 'right';
