import { usualMs } from '../measurement';

/** Questions that a set can have. */
export const SET_LENGTHS = [3, 5, 10, 15] as const;
export type SetLength = (typeof SET_LENGTHS)[number];

/**
 * Minutes that so many questions usually take, by the words of some like them: whole ones, one at least. What is tried
 * again, and looked up, comes on top.
 *
 * @throws RangeError without a question to go by
 */
export function usualMinutes(stems: string[], questions: number): number {
	if (stems.length === 0) throw new RangeError('Of no questions nobody can say how long they take');
	const times = stems.map((stem) => usualMs({ words: stem.trim().split(/\s+/).length }));
	const mean = times.reduce((sum, time) => sum + time, 0) / times.length;
	return Math.max(1, Math.round((questions * mean) / 60_000));
}
