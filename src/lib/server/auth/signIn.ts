import { createHash, randomBytes } from 'node:crypto';
import { availableParallelism } from 'node:os';
import pLimit from 'p-limit';
import { dayBegins, isWithin, type SchoolHours } from '../../core/calendar';
import type { RootDatabase } from '../database';
import { accountByUserName, otherSchools, studentPin } from '../people';
import type { Staff } from '../request';
import { findSchool } from '../school';
import { matchesSecret, nobodysHash } from './passwords';
import { isKnownBrowser, noteBrowser } from './store/knownBrowsers';
import { beginSignIn, endSignIn, type Holder, type Device, moveSignIn } from './store/signIns';
import { countTry, endTry, type Counted, type Subject } from './store/tries';

export const SIGN_IN_COOKIE = 'compass_sign_in';

const SECOND = 1_000;
const MINUTE = 60 * SECOND;
const DAY = 24 * 60 * MINUTE;

/** Tries of an account from one place that cost no wait; then the wait doubles with each failure. */
const FREE_TRIES = 5;
const LONGEST_WAIT_MS = 15 * MINUTE;
/** Failures of an account in a day from everywhere, after which strangers' browsers have to wait between tries. */
const TRIES_FROM_EVERYWHERE = 100;
const WAIT_FROM_EVERYWHERE_MS = 30 * SECOND;
/** Failures of a student in a day: of ten thousand PINs, so many can be tried before somebody looks. */
export const STUDENT_TRIES = 8;
/** A whole class signs in from one address, and children mistype. */
const ADDRESS_TRIES = 60;
const ADDRESS_MEMORY_MS = 15 * MINUTE;

/** Hashing takes a processor for some 30 ms: one is left for everybody else. */
const queue = pLimit(Math.max(1, availableParallelism() - 1));
const MOST_WAITING = 400;

/** Why a try was not let in. `wait`: seconds until the next one. */
export type Refusal =
	| { refused: 'wrong' }
	| { refused: 'wait'; seconds: number }
	| { refused: 'locked' }
	/** The class signs in at other hours. */
	| { refused: 'closed'; hours: SchoolHours }
	| { refused: 'another is being looked at' }
	| { refused: 'busy' };
/** `codeFor`: the password is right, and a second factor is asked for. */
export type SignIn = { token: string } | { codeFor: number } | Refusal;

/** Where somebody tries from, and what the browser brings along. */
export interface Trying extends Device {
	/** The sign-in that the browser holds, which a new one ends. */
	held: string | undefined;
	/** By which this browser is known again, if it was used before. */
	browserToken: string;
}

export const tokenHash = (token: string) => createHash('sha256').update(token).digest();
export const newToken = () => randomBytes(32).toString('base64url');

const waitFor = (lastAt: Date | null, waitMs: number, at: Date): Refusal | null => {
	const left = lastAt === null ? 0 : lastAt.getTime() + waitMs - at.getTime();
	return left > 0 ? { refused: 'wait', seconds: Math.ceil(left / SECOND) } : null;
};

/** The wait after so many failures from one place. */
function growingWait({ failures, lastAt }: Counted, at: Date): Refusal | null {
	if (failures < FREE_TRIES) return null;
	return waitFor(lastAt, Math.min(SECOND * 2 ** (failures - FREE_TRIES), LONGEST_WAIT_MS), at);
}

/**
 * Looks at a secret, once the try is counted; only so many at a time.
 *
 * @param subjects whose tries are counted, first of them the one that the secret is of, last the address
 * @param judge says of the others why the try is refused
 */
async function look(
	database: RootDatabase,
	subjects: [Subject, ...Subject[]],
	judge: (counted: Counted[]) => Refusal | null,
	find: () => Promise<{ hash: string | null; holder: Holder; asksForCode?: boolean } | null>,
	secret: string,
	trying: Trying,
	at: Date
): Promise<SignIn> {
	const all = [
		...subjects,
		{ name: `address ${network(trying.address)}`, memoryMs: ADDRESS_MEMORY_MS, isAlone: false }
	];
	const refusal = await countTry<Refusal>(database, all, at, (counted) => {
		const [own, address] = [counted[0], counted[counted.length - 1]];
		if (counted.some(({ isLooking }) => isLooking)) return { refused: 'another is being looked at' };
		// From an address that fails and fails, only who has not failed is let try.
		const isSuspect = address.failures >= ADDRESS_TRIES && own.failures > 0;
		const wait = isSuspect ? waitFor(address.lastAt, ADDRESS_MEMORY_MS, at) : null;
		return wait ?? judge(counted);
	});
	if (refusal) return refusal;
	const found = await find();
	const isRight = (await matchesSecret(found?.hash ?? (await nobodysHash), secret)) && Boolean(found?.hash);
	await endTry(database, all, isRight);
	if (!isRight || !found) return { refused: 'wrong' };
	if (found.asksForCode && 'accountId' in found.holder) return { codeFor: found.holder.accountId };
	const token = newToken();
	const hashes = { tokenHash: tokenHash(token), heldHash: trying.held ? tokenHash(trying.held) : null };
	await beginSignIn(database, found.holder, hashes, trying, at);
	return { token };
}

/** The part of an address that one customer has: of IPv6 the first 64 bits. */
export function network(address: string): string {
	if (!address.includes(':')) return address;
	const [head, tail] = address.split('::');
	const groups = head ? head.split(':') : [];
	if (tail !== undefined) while (groups.length < 4) groups.push('0');
	return groups.slice(0, 4).join(':');
}

/** Runs a try in its turn; with too many before it, not at all. */
async function inTurn(attempt: () => Promise<SignIn>): Promise<SignIn> {
	if (queue.pendingCount >= MOST_WAITING) return { refused: 'busy' };
	return queue(attempt);
}

/**
 * Tries to sign a staff member in. After some failures each further one has to wait longer, from where it failed; a
 * browser in which the account has signed in before is not held up by strangers.
 */
export function signInStaff(
	database: RootDatabase,
	{ userName, password }: { userName: string; password: string },
	trying: Trying,
	at: Date
): Promise<SignIn> {
	return inTurn(async () => {
		const account = await accountByUserName(database, userName);
		const browser = tokenHash(trying.browserToken);
		const name = `account ${userName.toLowerCase()}`;
		const isKnown = account !== null && (await isKnownBrowser(database, browser, { accountId: account.id }));
		const subjects: [Subject, ...Subject[]] = isKnown
			? [{ name: `${name} in browser ${browser.toString('hex', 0, 16)}`, memoryMs: DAY, isAlone: true }]
			: [
					{ name: `${name} from ${network(trying.address)}`, memoryMs: DAY, isAlone: true },
					{ name, memoryMs: DAY, isAlone: true }
				];
		const result = await look(
			database,
			subjects,
			([place, everywhere]) =>
				growingWait(place, at) ??
				(!isKnown && everywhere.failures >= TRIES_FROM_EVERYWHERE
					? waitFor(everywhere.lastAt, WAIT_FROM_EVERYWHERE_MS, at)
					: null),
			async () =>
				account && {
					hash: account.passwordHash,
					holder: { accountId: account.id },
					asksForCode: account.hasSecondFactor
				},
			password,
			trying,
			at
		);
		if ('token' in result && account) await noteBrowser(database, browser, { accountId: account.id }, at);
		return result;
	});
}

/** Tries to sign a student in. After some failures nobody can until the next day, or until staff allow it. */
export function signInStudent(
	database: RootDatabase,
	{ studentId, pin }: { studentId: number; pin: string },
	trying: Trying,
	at: Date
): Promise<SignIn> {
	return inTurn(async () => {
		const student = await studentPin(database, studentId, at);
		if (!student) return { refused: 'wrong' };
		const { hours, timeZone } = student;
		if (hours && !isWithin(hours, at, timeZone, (await findSchool(database, student.schoolId, at)).calendar))
			return { refused: 'closed', hours };
		const today = at.getTime() - dayBegins(at, timeZone).getTime();
		return look(
			database,
			[{ name: `student ${studentId}`, memoryMs: today, isAlone: true, studentId }],
			([{ failures }]) => (failures >= STUDENT_TRIES ? { refused: 'locked' } : null),
			async () => ({ hash: student.pinHash, holder: { studentId } }),
			pin,
			trying,
			at
		);
	});
}

/** Goes to another school that the staff member serves. @returns the token from then on; null where they serve it not */
export async function changeSchool(
	database: RootDatabase,
	staff: Staff,
	account: number,
	held: string
): Promise<string | null> {
	if (!(await otherSchools(database, staff)).some((one) => one.account === account)) return null;
	const token = newToken();
	const hashes = { tokenHash: tokenHash(token), heldHash: tokenHash(held) };
	return (await moveSignIn(database, staff, account, hashes)) ? token : null;
}

export async function signOut(database: RootDatabase, token: string): Promise<void> {
	await endSignIn(database, tokenHash(token));
}
