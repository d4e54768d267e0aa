/** Seconds that a measure is given, unless the student comes to the end before. */
export const SECONDS_GIVEN = 60;
/** Less time than this says nothing of a pace: a handful of words, with an error as large as their number. */
export const LEAST_SECONDS = 10;

/** What was marked while a student read or answered. */
export interface MarkedSheet {
	/** Words or facts reached: the number of the last one, from 1; 0 when none was. */
	reached: number;
	/** Those missed, counted from 0. */
	missed: number[];
	/** Time taken. */
	seconds: number;
}

export interface FluencyScore {
	/** Words or facts gone through. */
	attempted: number;
	correct: number;
	correctPerMinute: number;
	/** Standard error of correct per minute. */
	standardError: number;
	/** Share of the attempted that was correct; null when none was attempted. */
	accuracy: number | null;
}

/**
 * Score of a timed measure. The count of correct answers in a time is taken to be Poisson, so that its standard error
 * is its root; of a count of nothing, that of one.
 *
 * Source: Rasch (1960), Probabilistic models for some intelligence and attainment tests, chapters 2–3 (reading aloud).
 *
 * @throws RangeError for no time
 * @example scoreSheet({ reached: 84, missed: [3, 17], seconds: 60 }) // 82 a minute ± 9.1, 98% accurate
 */
export function scoreSheet({ reached, missed, seconds }: MarkedSheet): FluencyScore {
	if (!(seconds > 0)) throw new RangeError('A measure takes some time');
	const correct = reached - new Set(missed.filter((place) => place < reached)).size;
	const minutes = seconds / 60;
	return {
		attempted: reached,
		correct,
		correctPerMinute: correct / minutes,
		standardError: Math.sqrt(Math.max(1, correct)) / minutes,
		accuracy: reached === 0 ? null : correct / reached
	};
}
