import { data } from './data';
import { fractions } from './fractions';
import { measurement } from './measurement';
import { patterns } from './patterns';
import { powersAndSigns } from './powersAndSigns';
import { shape } from './shape';
import { wholeNumbers } from './wholeNumbers';

/** Wrong ideas that produce particular wrong answers: what it looks like, and what to try. */
export const misconceptions = {
	...wholeNumbers,
	...powersAndSigns,
	...fractions,
	...patterns,
	...measurement,
	...shape,
	...data
} as const;

export type MisconceptionId = keyof typeof misconceptions;

/** What a student who answered by a wrong idea can try, in a sentence; empty for an id that the catalog does not have. */
export const whatToTry = (id: string): string => {
	const idea = misconceptionById(id);
	return idea ? `Try this: ${idea.attempt}` : '';
};

/** What a wrong idea looks like and what to try, or null for an id that the catalog does not have. */
export function misconceptionById(id: string): { shows: string; attempt: string } | null {
	return Object.hasOwn(misconceptions, id) ? misconceptions[id as MisconceptionId] : null;
}
