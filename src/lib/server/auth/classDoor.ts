/** The way of a student to the own name: by the code of the class, which can be guessed like a password. */
import type { RootDatabase } from '../database';
import { classByCode } from '../people';
import { network, tokenHash } from './signIn';
import { signedText, signer } from './signedText';
import { isKnownBrowser, noteBrowser } from './store/knownBrowsers';
import { countTry, endTry } from './store/tries';

/** Wrong codes from one address in the memory below. */
const CODE_TRIES = 30;
const CODE_MEMORY_MS = 15 * 60_000;

const PURPOSE = 'student to sign in';
/** A page with names that was opened in the morning is good until evening. */
const GOOD_FOR_MS = 12 * 3_600_000;

/** A class as its students see it before they sign in. Each is named by a text that only this page gives out. */
export interface Door {
	name: string;
	students: { key: string; givenName: string; familyName: string }[];
}

/**
 * The class of a code. A code is counted as wrong before it is looked up; with too many wrong ones from an address, only
 * browsers in which this class was found before are let in.
 */
export async function findDoor(
	database: RootDatabase,
	code: string,
	{ address, browserToken }: { address: string; browserToken: string },
	at: Date
): Promise<Door | 'wrong' | 'too many'> {
	const subjects = [{ name: `codes from ${network(address)}`, memoryMs: CODE_MEMORY_MS, isAlone: false }];
	const refused = await countTry(database, subjects, at, ([{ failures }]) => failures >= CODE_TRIES || null);
	const found = await classByCode(database, code, at);
	const browser = tokenHash(browserToken);
	if (refused && !(found && (await isKnownBrowser(database, browser, { classId: found.id })))) return 'too many';
	if (!found) return 'wrong';
	if (!refused) await endTry(database, subjects, true);
	await noteBrowser(database, browser, { classId: found.id }, at);
	const sign = await signer(database, PURPOSE);
	const until = at.getTime() + GOOD_FOR_MS;
	return {
		name: found.name,
		students: found.students.map(({ id, ...names }) => ({ key: sign(`${id} ${until}`), ...names }))
	};
}

/** The student whom a key of the page names; null for a key that was not given out, or is too old. */
export async function studentOfKey(database: RootDatabase, key: string, at: Date): Promise<number | null> {
	const [id, until] = ((await signedText(database, PURPOSE, key)) ?? '').split(' ');
	return Number(until) > at.getTime() ? Number(id) : null;
}
