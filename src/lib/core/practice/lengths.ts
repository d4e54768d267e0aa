import { usualMs } from '../measurement';

/** Questions that a set can have. */
export const SET_LENGTHS = [3, 5, 10, 15] as const;
export type SetLength = (typeof SET_LENGTHS)[number];

/**
 * Time (ms) that a question usually takes, by the words of some like it. What is tried again, and looked up, comes on top.
 *
 * @throws RangeError without a question to go by
 */
export function meanQuestionMs(stems: string[]): number {
	if (stems.length === 0) throw new RangeError('Of no questions nobody can say how long they take');
	const times = stems.map((stem) => usualMs({ words: stem.trim().split(/\s+/).length }));
	return times.reduce((sum, time) => sum + time, 0) / times.length;
}

/** Whole minutes that questions take whose times (ms) add up to so much: one at least. */
export const minutesOf = (ms: number): number => Math.max(1, Math.round(ms / 60_000));
