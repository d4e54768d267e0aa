import { daysBetween, type SchoolDate } from '../calendar';
import { aimAt, type Aimline, aimline, ordinaryLeastSquares, type Point, theilSen } from '../growth';
import { normalQuantile } from '../measurement';
import { type FluencyScore, type MarkedSheet, scoreSheet } from './score';

/** One giving of a measure: what was marked, and when. */
export interface Giving extends MarkedSheet {
	on: SchoolDate;
}

/** What a series of givings is meant to reach. */
export interface MeasureGoal {
	startsOn: SchoolDate;
	goalOn: SchoolDate;
	/** Correct a minute. */
	goal: number;
}

/** What givings of one measure on sheets of one grade say, in correct a minute; weeks count from 0 at the start. */
export interface MeasureReading {
	points: ({ week: number } & FluencyScore)[];
	goalWeek: number;
	/** From the median of the first three to the goal; null under three. */
	aim: Aimline | null;
	/** Of the newest, up to four, behind the first three: how many lie on or above the aimline; null without any. */
	aboveAim: { count: number; of: number } | null;
	/** The robust line, with the 95% interval of its weekly rise; null while there are fewer givings than `LEAST_FOR_RISE`. */
	line: { rise: number; interval: [number, number] | null; from: Point; to: Point } | null;
	/**
	 * Where a giving on the goal's day would lie in 80 of 100 cases if things went on in a straight line; null with the line,
	 * after that day, and where what is known reaches less far back than the goal lies ahead.
	 */
	atGoal: { lower: number; upper: number } | null;
}

/** Fewer givings than this say nothing of a rise. */
export const LEAST_FOR_RISE = 6;
/** So many of the newest are held against the aimline. */
const NEWEST = 4;
const OF_THE_AIMLINE = 3;
const PREDICTED = 0.8;

/** Weeks from the start, with sevenths. */
const placeOf = (startsOn: SchoolDate, on: SchoolDate) => daysBetween(startsOn, on) / 7;

/**
 * Quantile of Student's t by its expansion around the normal one, to three digits from 4 degrees of freedom on.
 *
 * Source: Abramowitz & Stegun (1964), Handbook of Mathematical Functions, 26.7.5.
 */
function tQuantile(p: number, freedom: number): number {
	const z = normalQuantile(p);
	return (
		z +
		(z ** 3 + z) / (4 * freedom) +
		(5 * z ** 5 + 16 * z ** 3 + 3 * z) / (96 * freedom ** 2) +
		(3 * z ** 7 + 19 * z ** 5 + 17 * z ** 3 - 15 * z) / (384 * freedom ** 3)
	);
}

/**
 * Reads a series of timed measures that an adult gives week by week, on sheets of one grade. It describes, and decides
 * nothing: passages of a grade differ by about a tenth, so that one giving says little of growth.
 *
 * Sources: the robust line as in `theilSen`; the prediction of one more giving from the least-squares line, with no smaller
 * error than counting has (Poisson, as in `scoreSheet`).
 *
 * @param givings in order of their days, of which two can be on one day
 * @throws RangeError for a goal that does not lie after the start
 */
export function readMeasureSeries(givings: Giving[], { startsOn, goalOn, goal }: MeasureGoal): MeasureReading {
	if (goalOn <= startsOn) throw new RangeError('A goal lies after the start');
	const points = givings.map(({ on, ...sheet }) => ({ week: placeOf(startsOn, on), ...scoreSheet(sheet) }));
	const goalWeek = placeOf(startsOn, goalOn);
	const measured = points.map(({ week, correctPerMinute }) => ({ x: week, y: correctPerMinute }));
	const aim = aimline(measured, { x: goalWeek, y: goal });
	const held = aim ? measured.slice(OF_THE_AIMLINE).slice(-NEWEST) : [];
	const line = riseOf(measured);
	return {
		points,
		goalWeek,
		aim,
		aboveAim:
			aim && held.length ? { count: held.filter(({ x, y }) => y >= aimAt(aim, x)).length, of: held.length } : null,
		line,
		atGoal: line && predictAt(points, goalWeek)
	};
}

function riseOf(measured: Point[]): MeasureReading['line'] {
	const weeks = new Set(measured.map(({ x }) => x));
	if (measured.length < LEAST_FOR_RISE || weeks.size < OF_THE_AIMLINE) return null;
	const { slope, intercept, interval } = theilSen(measured);
	const [first, last] = [Math.min(...weeks), Math.max(...weeks)];
	const at = (x: number) => ({ x, y: intercept + slope * x });
	return { rise: slope, interval, from: at(first), to: at(last) };
}

/** Where one more giving would lie in a later week. */
function predictAt(points: MeasureReading['points'], week: number): MeasureReading['atGoal'] {
	const weeks = points.map((point) => point.week);
	const [first, last] = [Math.min(...weeks), Math.max(...weeks)];
	if (week <= last || week - last > last - first) return null;
	const { slope, intercept, residualSd } = ordinaryLeastSquares(
		points.map(({ week: x, correctPerMinute: y }) => ({ x, y }))
	);
	const n = points.length;
	const mean = weeks.reduce((sum, x) => sum + x, 0) / n;
	const spread = weeks.reduce((sum, x) => sum + (x - mean) ** 2, 0);
	const counted = Math.sqrt(points.reduce((sum, { standardError }) => sum + standardError ** 2, 0) / n);
	const error = Math.max(residualSd, counted);
	const reach = tQuantile((1 + PREDICTED) / 2, n - 2) * error * Math.sqrt(1 + 1 / n + (week - mean) ** 2 / spread);
	const middle = intercept + slope * week;
	return { lower: Math.max(0, middle - reach), upper: Math.max(0, middle + reach) };
}
