import { usualLine, type FluencyMeasure } from '../fluency';
import { expectedTheta, toPoints } from '../measurement';

/** Where a score stands against a cut score once measurement error is taken into account. */
export type BenchmarkBand = 'below' | 'near' | 'above';

/** Half the width of the interval that decides *near the line*: 68%, one standard error. */
export const BAND_WIDTH = 1;

/**
 * Below or above the cut score, or *near the line* when the score's band (± one standard error) straddles it.
 * All arguments on one scale.
 */
export function benchmarkBand(score: number, standardError: number, cut: number): BenchmarkBand {
	if (score + BAND_WIDTH * standardError < cut) return 'below';
	if (score - BAND_WIDTH * standardError >= cut) return 'above';
	return 'near';
}

/**
 * Benchmark cut score in points for a grade and term until a coordinator sets one: two thirds of a year (two terms)
 * under the expected median.
 */
export function defaultCutScore(grade: number, term: number): number {
	return Math.round(toPoints(expectedTheta({ grade, term }) - 2 / 3));
}

/** The usual cut score of a measure that is given, in correct a minute, or of a diagnostic (null), in points. */
export function usualCut(measure: FluencyMeasure | null, grade: number, term: number): number {
	return measure ? usualLine(measure, grade, term) : defaultCutScore(grade, term);
}
