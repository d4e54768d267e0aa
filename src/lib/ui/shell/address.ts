import { page } from '$app/state';
import { goto } from '$app/navigation';

/** What every leg keeps when moving to another: who is looked at, and who is selected. */
const KEPT = ['scope', 'student'];

/** An address on another leg that keeps scope and selected student. */
export function keepingScope(path: string, extra: Record<string, string | number | null> = {}): string {
	const [pathname, query = ''] = path.split('?');
	const search = new URLSearchParams(query);
	for (const name of KEPT) {
		const value = page.url.searchParams.get(name);
		if (value && !search.has(name)) search.set(name, value);
	}
	for (const [name, value] of Object.entries(extra)) {
		if (value === null) search.delete(name);
		else search.set(name, String(value));
	}
	const text = search.toString().replaceAll('%3A', ':').replaceAll('%2C', ',');
	return text ? `${pathname}?${text}` : pathname;
}

/** This address with some of its state changed; null removes. */
export function withState(changes: Record<string, string | number | null>): string {
	return keepingScope(page.url.pathname + page.url.search, changes);
}

/** Changes the state in the address without moving focus or scrolling. */
export function setState(changes: Record<string, string | number | null>, replaceState = true) {
	return goto(withState(changes), { replaceState, noScroll: true, keepFocus: true });
}
