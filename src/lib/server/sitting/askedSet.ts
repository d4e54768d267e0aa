import type { Cookies } from '@sveltejs/kit';
import { idOf } from '../request';

/** A set's link leads to the student's page; on a device where nobody is signed in it is kept while they sign in. */
const ASKED_SET = 'asked_set';
/** Seconds in which a student signs in. */
const KEPT_SECONDS = 900;

/** The address, on this site, by which a student gets to a set. */
export const setLink = (setId: number): string => `/today?set=${setId}`;

/** Keeps the set of a link until its student has signed in. */
export function keepAskedSet(cookies: Cookies, url: URL): void {
	const id = idOf(url.searchParams.get('set'));
	if (id === null) return;
	cookies.set(ASKED_SET, String(id), {
		path: '/',
		httpOnly: true,
		sameSite: 'lax',
		secure: url.protocol === 'https:',
		maxAge: KEPT_SECONDS
	});
}

/** The set that a student's link asks for, told once; null for none. */
export function askedSet(cookies: Cookies, url: URL): number | null {
	const kept = cookies.get(ASKED_SET);
	if (kept !== undefined) cookies.delete(ASKED_SET, { path: '/' });
	return idOf(url.searchParams.get('set')) ?? idOf(kept);
}
