import { sayLevel, signed } from '../words';
import type { GradeTerm } from '../measurement';
import type { BenchmarkBand } from './bands';

/** Who a report is for: families get it without trade terms. */
export type Audience = 'family' | 'staff';

const ordinal = (n: number) => ['', 'first', 'second', 'third'][n] ?? `${n}th`;

/** What a band means, in a sentence. */
export function sayBand(band: BenchmarkBand, audience: Audience): string {
	if (audience === 'staff')
		return {
			below: 'Below the cut score by more than the error of the score.',
			near: 'Near the line: the error of the score reaches across the cut score.',
			above: 'Above the cut score by at least the error of the score.'
		}[band];
	return {
		below: 'This is under what we look for at this time of the year. Some extra help is likely to be good.',
		near: 'This is close to what we look for at this time of the year. We keep an eye on it.',
		above: 'This is what we look for at this time of the year, or more.'
	}[band];
}

/** A working level in a sentence. */
export function sayWorkingLevel({ grade, term }: GradeTerm, audience: Audience): string {
	return audience === 'staff'
		? `works at ${sayLevel({ grade, term })}`
		: `works on what most students learn in the ${ordinal(term)} term of grade ${grade}`;
}

/** A change since the window before. @param points rounded here; `reliable` when beyond the error of both scores */
export function sayChange(
	{ points, reliable }: { points: number; reliable: boolean },
	since: string,
	audience: Audience
): string {
	const rounded = Math.round(points);
	if (audience === 'staff') {
		return `${signed(points)} points since ${since}, ${reliable ? 'beyond' : 'within'} the error of both scores.`;
	}
	if (!reliable) return `About the same as in ${since}.`;
	return rounded > 0 ? `Clearly more than in ${since}.` : `Clearly less than in ${since}. We look into why.`;
}

/** A percentile in a sentence. */
export function sayPercentile(percentile: number, among: string): string {
	return `As high as or higher than about ${percentile} of 100 ${among}.`;
}
