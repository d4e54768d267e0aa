export { fixedForm, formLength } from './form';
export * from './status';
import { expectedTheta, toPoints } from '../measurement';

/** Where a score stands against a cut score once measurement error is taken into account. */
export type BenchmarkBand = 'below' | 'near' | 'above';

/** Half the width of the interval that decides *near the line*: 68%, one standard error. */
const BAND_WIDTH = 1;

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

/** Share of a class lacking a skill from which it is taught to the whole class, and from which the advice is firm. */
export const CLASSWIDE_SHARE = 0.6;
export const CLASSWIDE_FIRM_SHARE = 0.8;
const CLASSWIDE_MINIMUM = 5;

/**
 * Whether a skill belongs to whole-class teaching, from the standings of one class on it. Students without evidence do
 * not count; under 5 with evidence nothing is said.
 */
export function classwideNeed(standings: ('gap' | 'forming' | 'secure' | 'slipping' | 'unseen')[]): {
	lacking: number;
	withEvidence: number;
	advice: 'none' | 'whole class' | 'whole class, firm';
} {
	const seen = standings.filter((standing) => standing !== 'unseen');
	const lacking = seen.filter((standing) => standing === 'gap').length;
	const share = seen.length === 0 ? 0 : lacking / seen.length;
	const advice =
		seen.length < CLASSWIDE_MINIMUM || share < CLASSWIDE_SHARE
			? 'none'
			: share >= CLASSWIDE_FIRM_SHARE
				? 'whole class, firm'
				: 'whole class';
	return { lacking, withEvidence: seen.length, advice };
}
