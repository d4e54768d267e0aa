import type { Point } from '../../src/lib/core/growth';

/** What the forecast of before believed of weekly growth and of noise, in items of 8. */
const PRIOR = { slopeMean: 0.3, slopeSd: 0.35, noiseSd: 1.1 };

/**
 * The forecast that the product made before it had a state space, kept to compare with: Bayesian linear regression with a flat
 * prior on the level, a normal one on the weekly slope, and known noise (Gelman et al. 2013, §14.2).
 *
 * @returns mean and standard deviation of one probe in a week, in items of 8
 */
export function regressionOfBefore(probes: Point[], week: number): { mean: number; sd: number } {
	const n = probes.length;
	const noise = PRIOR.noiseSd ** 2;
	const meanX = probes.reduce((sum, { x }) => sum + x, 0) / n;
	const meanY = probes.reduce((sum, { y }) => sum + y, 0) / n;
	const spread = probes.reduce((sum, { x }) => sum + (x - meanX) ** 2, 0);
	const shared = probes.reduce((sum, { x, y }) => sum + (x - meanX) * (y - meanY), 0);
	const precision = spread / noise + 1 / PRIOR.slopeSd ** 2;
	const slope = (shared / noise + PRIOR.slopeMean / PRIOR.slopeSd ** 2) / precision;
	const ahead = week - meanX;
	return { mean: meanY + slope * ahead, sd: Math.sqrt(noise + noise / n + ahead ** 2 / precision) };
}
