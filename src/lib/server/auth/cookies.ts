import type { Cookies } from '@sveltejs/kit';
import { newToken, SIGN_IN_COOKIE } from './signIn';
import { LONGEST_HOURS } from './store/signIns';

/** By which a browser is known again when it signs in the next time. */
const BROWSER_COOKIE = 'compass_browser';
const YEAR_SECONDS = 365 * 86_400;

const options = (url: URL, maxAge: number) =>
	({ path: '/', httpOnly: true, sameSite: 'strict', secure: url.protocol === 'https:', maxAge }) as const;

/** What a browser keeps while it is at the identity provider: sent also on the way from there. */
const SINGLE_COOKIE = 'compass_single';
const SINGLE_SECONDS = 600;

export function keepSingleSignOn(cookies: Cookies, url: URL, kept: string): void {
	cookies.set(SINGLE_COOKIE, kept, { ...options(url, SINGLE_SECONDS), path: '/sign-in/single', sameSite: 'lax' });
}

/** What was kept, once; empty for nothing. */
export function takeSingleSignOn(cookies: Cookies, url: URL): string {
	const kept = cookies.get(SINGLE_COOKIE) ?? '';
	cookies.delete(SINGLE_COOKIE, { ...options(url, 0), path: '/sign-in/single', sameSite: 'lax' });
	return kept;
}

export function keepSignIn(cookies: Cookies, url: URL, token: string): void {
	cookies.set(SIGN_IN_COOKIE, token, options(url, LONGEST_HOURS * 3_600));
}

/** The token of this browser; one that has none is given one. */
export function browserToken(cookies: Cookies, url: URL): string {
	const held = cookies.get(BROWSER_COOKIE);
	const token = held && /^[\w-]{43}$/.test(held) ? held : newToken();
	cookies.set(BROWSER_COOKIE, token, options(url, YEAR_SECONDS));
	return token;
}
