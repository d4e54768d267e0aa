import { normalCdf, normalQuantile } from '../measurement';
import { median, type Point } from './regression';

/** Probes from which the baseline is taken. */
const BASELINE_PROBES = 3;

/** Baseline: the median of the first three probes; null while there are fewer. */
export function baseline(probes: Point[]): number | null {
	if (probes.length < BASELINE_PROBES) return null;
	return median(
		[...probes]
			.sort((a, b) => a.x - b.x)
			.slice(0, BASELINE_PROBES)
			.map((p) => p.y)
	);
}

/** A straight line from the baseline, placed at the first three probes' middle week, to the goal. */
export interface Aimline {
	from: Point;
	to: Point;
	/** Needed growth a week. */
	slope: number;
}

/** The aimline, or null while there is no baseline. `goal.x` is the goal's week and lies after the baseline. */
export function aimline(probes: Point[], goal: Point): Aimline | null {
	const start = baseline(probes);
	if (start === null) return null;
	const first = [...probes].sort((a, b) => a.x - b.x).slice(0, BASELINE_PROBES);
	const from = { x: median(first.map((p) => p.x)), y: start };
	return { from, to: goal, slope: (goal.y - from.y) / Math.max(goal.x - from.x, 1e-9) };
}

/** Height of the aimline in a week. */
export function aimAt(line: Aimline, x: number): number {
	return line.from.y + line.slope * (x - line.from.x);
}

/** What is believed of weekly growth and of noise before a student's own probes are seen, in items of 8. */
interface GrowthPrior {
	slopeMean: number;
	slopeSd: number;
	noiseSd: number;
}

/** Our made-up norm: a third of an item a week, give or take as much; a probe of 8 items wavers by about 1.1 items. */
export const GROWTH_PRIOR: GrowthPrior = { slopeMean: 0.3, slopeSd: 0.35, noiseSd: 1.1 };

export interface Forecast {
	expected: number;
	/** 80% prediction interval for one probe at the goal's date. */
	interval: [number, number];
	/** Chance that a probe at the goal's date reaches the goal. */
	chanceOfGoal: number;
	/** Growth a week by the same regression. */
	slope: number;
}

/**
 * Forecast of one probe in the goal's week: Bayesian linear regression with a flat prior on the level, a normal prior
 * on the weekly slope, and known noise (Gelman et al. 2013, §14.2). Short series lean on the prior, long ones on
 * themselves. The result is not clipped to the measure's range.
 *
 * @throws RangeError without probes
 */
export function forecast(probes: Point[], goal: Point, prior: GrowthPrior = GROWTH_PRIOR): Forecast {
	const n = probes.length;
	if (n === 0) throw new RangeError('a forecast needs at least one probe');
	const noise = prior.noiseSd ** 2;
	const meanX = probes.reduce((sum, p) => sum + p.x, 0) / n;
	const meanY = probes.reduce((sum, p) => sum + p.y, 0) / n;
	const spread = probes.reduce((sum, p) => sum + (p.x - meanX) ** 2, 0);
	const shared = probes.reduce((sum, p) => sum + (p.x - meanX) * (p.y - meanY), 0);
	const precision = spread / noise + 1 / prior.slopeSd ** 2;
	const slope = (shared / noise + prior.slopeMean / prior.slopeSd ** 2) / precision;
	const ahead = goal.x - meanX;
	const expected = meanY + slope * ahead;
	const sd = Math.sqrt(noise + noise / n + ahead ** 2 / precision);
	const reach = normalQuantile(0.9) * sd;
	return {
		expected,
		interval: [expected - reach, expected + reach],
		chanceOfGoal: 1 - normalCdf((goal.y - expected) / sd),
		slope
	};
}
