import { data } from './data';
import { forStudents } from './forStudents';
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

/** What a student is told who answered by a wrong idea; empty for an id that the catalog does not have. */
export const saidToStudent = (id: string): string =>
	Object.hasOwn(misconceptions, id) ? forStudents[id as MisconceptionId] : '';

/** What a wrong idea looks like and what to try, or null for an id that the catalog does not have. */
export function misconceptionById(id: string): { shows: string; attempt: string } | null {
	return Object.hasOwn(misconceptions, id) ? misconceptions[id as MisconceptionId] : null;
}
