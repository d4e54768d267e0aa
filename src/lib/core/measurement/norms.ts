import { daysBetween, type SchoolDate } from '../calendar';
import type { GradeTerm } from './scale';

/** Ability of students of a grade in a week of the school year (1 is its first): logits. */
interface Norm {
	grade: number;
	week: number;
	median: number;
	/** Spread, of a normal distribution around the median. */
	spread: number;
}

/** Weeks of a school year; each of its three terms has twelve. */
const WEEKS_A_YEAR = 36;
const WEEKS_A_TERM = WEEKS_A_YEAR / 3;

/** The week in the middle of a term, 1–3. */
export const midTermWeek = (term: number) => (term - 0.5) * WEEKS_A_TERM;

/** First and last day of a school year. */
export interface SchoolYear {
	startsOn: SchoolDate;
	endsOn: SchoolDate;
}

/**
 * The week of the school year a day lies in, 0 to 36 with fractions: weeks are as long as they must be for 36 of them to
 * fill the year, so that holidays count for all alike.
 *
 * @param year null where nobody has said when it begins: then the middle of the term stands for the day
 */
export function weekOfYear(day: SchoolDate, term: GradeTerm['term'], year: SchoolYear | null): number {
	if (!year) return midTermWeek(term);
	const share = daysBetween(year.startsOn, day) / daysBetween(year.startsOn, year.endsOn);
	return WEEKS_A_YEAR * Math.min(1, Math.max(0, share));
}

/** The school year that a day lies in, of some; null where it lies in none. */
export const yearOf = <Year extends SchoolYear>(day: SchoolDate, years: Year[]): Year | null =>
	years.find(({ startsOn, endsOn }) => startsOn <= day && day <= endsOn) ?? null;

/** The term of the school year that a day lies in, 1–3; the second where nobody has said when the year begins. */
export function termOfYear(day: SchoolDate, year: SchoolYear | null): GradeTerm['term'] {
	return Math.min(3, 1 + Math.floor(weekOfYear(day, 2, year) / WEEKS_A_TERM));
}

/** A year with the days on which winter and spring begin in it; null where nobody has said. */
export interface PlannedYear extends SchoolYear {
	winterOn: SchoolDate | null;
	springOn: SchoolDate | null;
}

/** The term that a day lies in, 1–3, as the school has said; a third of the year each where it has not. */
export function termSaid(day: SchoolDate, year: PlannedYear | null): GradeTerm['term'] {
	if (!year?.winterOn || !year.springOn) return termOfYear(day, year);
	return day >= year.springOn ? 3 : day >= year.winterOn ? 2 : 1;
}

/**
 * Made-up norms, until a school has its own: the median grows a third of a logit a term and passes `expectedTheta` in
 * the middle of each; the spread is 1.1 logits.
 */
export function shippedNorm(grade: number, week: number): Norm {
	const within = Math.min(WEEKS_A_YEAR, Math.max(0, week));
	return { grade, week, median: grade - 4 + (within - WEEKS_A_YEAR / 2) / WEEKS_A_YEAR, spread: 1.1 };
}

/**
 * Percentile of an ability among students of its grade and week: the share below it, 1 to 99.
 *
 * @param theta logits
 */
export function percentile(theta: number, norm: Pick<Norm, 'median' | 'spread'>): number {
	return clampPercentile(100 * normalShareBelow((theta - norm.median) / norm.spread));
}

/** Students needed before a school's own scores are called a norm. */
const LOCAL_NORM_LEAST = 30;

/**
 * Percentile among a school's own scores: those below and half of those equal, 1 to 99 (percentile rank).
 *
 * @param score logits, points or any other unit
 * @param peers scores in the same unit of the students of the same grade and window, this one among them
 * @returns null with fewer than 30 peers
 */
export function localPercentile(score: number, peers: number[]): number | null {
	if (peers.length < LOCAL_NORM_LEAST) return null;
	const below = peers.filter((peer) => peer < score).length;
	const equal = peers.filter((peer) => peer === score).length;
	return clampPercentile((100 * (below + equal / 2)) / peers.length);
}

const clampPercentile = (share: number) => Math.min(99, Math.max(1, Math.round(share)));

/** Share of a standard normal distribution below z, to 1.5e-7 (Abramowitz & Stegun 7.1.26). */
export function normalShareBelow(z: number): number {
	const x = Math.abs(z) / Math.SQRT2;
	const t = 1 / (1 + 0.3275911 * x);
	const series = t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
	const above = 0.5 * series * Math.exp(-x * x);
	return z >= 0 ? 1 - above : above;
}
