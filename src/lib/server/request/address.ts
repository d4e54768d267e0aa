import { error } from '@sveltejs/kit';
import { isSchoolDate, type SchoolDate } from '../../core/calendar';

/** The largest id that a table can hold. */
export const MOST_ID = 4_294_967_295;

/** An id written as text; null for anything else. */
export function idOf(text: string | null | undefined): number | null {
	if (!text || !/^[0-9]{1,10}$/.test(text)) return null;
	const id = Number(text);
	return id >= 1 && id <= MOST_ID ? id : null;
}

/** The id that a parameter of the address holds; null where there is none. */
export const idIn = (url: URL, name: string): number | null => idOf(url.searchParams.get(name));

/** The number, 0 or more, that a parameter of the address holds; 0 where there is none. */
export function numberIn(url: URL, name: string): number {
	const text = url.searchParams.get(name) ?? '';
	return /^[0-9]{1,6}$/.test(text) ? Number(text) : 0;
}

/** Ids with commas between them in a parameter of the address, each once; what is none is left out. */
export function idsIn(url: URL, name: string, most: number): number[] {
	const ids = (url.searchParams.get(name) ?? '').split(',', most).map(idOf);
	return [...new Set(ids.filter((id) => id !== null))];
}

/** The day that a parameter of the address holds, in this century; null where there is none. */
export function dayIn(url: URL, name: string): SchoolDate | null {
	const text = url.searchParams.get(name);
	return text?.startsWith('20') && isSchoolDate(text) ? text : null;
}

/** The text of a parameter of the address, cut to a length; empty where there is none. */
export const textIn = (url: URL, name: string, most: number): string =>
	(url.searchParams.get(name) ?? '').slice(0, most);

/** Rows of a long list in a page's first response; the rest is asked for by `rows=1,2,3`. */
export const FIRST_ROWS = 40;

const LONGEST_SEARCH = 120;

/** What was typed into a search box; refused where it is too long. */
export function typedIn(url: URL): string {
	const typed = (url.searchParams.get('q') ?? '').trim();
	if (typed.length > LONGEST_SEARCH) error(400, `Type at most ${LONGEST_SEARCH} characters. Nothing was changed.`);
	return typed;
}

/** Which of some words a parameter of the address holds; null for none of them. */
export function oneIn<const Word extends string>(url: URL, name: string, words: readonly Word[]): Word | null {
	const text = url.searchParams.get(name);
	return words.find((word) => word === text) ?? null;
}
