import { normalQuantile } from '../measurement';

/** A measured value: `x` in weeks, `y` in the measure's own unit. */
export interface Point {
	x: number;
	y: number;
}

interface LineFit {
	slope: number;
	intercept: number;
	slopeError: number;
	interceptError: number;
	residualSd: number;
}

/**
 * Least-squares line with standard errors; residual SD with n − 2 degrees of freedom.
 *
 * @throws RangeError under 3 points or when all x are equal
 */
export function ordinaryLeastSquares(points: Point[]): LineFit {
	const n = points.length;
	if (n < 3) throw new RangeError(`a line with errors needs 3 points, got ${n}`);
	const meanX = points.reduce((sum, p) => sum + p.x, 0) / n;
	const meanY = points.reduce((sum, p) => sum + p.y, 0) / n;
	const spread = points.reduce((sum, p) => sum + (p.x - meanX) ** 2, 0);
	if (spread === 0) throw new RangeError('all points lie in the same week');
	const slope = points.reduce((sum, p) => sum + (p.x - meanX) * (p.y - meanY), 0) / spread;
	const intercept = meanY - slope * meanX;
	const residuals = points.reduce((sum, p) => sum + (p.y - intercept - slope * p.x) ** 2, 0);
	const residualSd = Math.sqrt(residuals / (n - 2));
	return {
		slope,
		intercept,
		residualSd,
		slopeError: residualSd / Math.sqrt(spread),
		interceptError: residualSd * Math.sqrt(1 / n + meanX ** 2 / spread)
	};
}

/** The middle value of a non-empty list. */
export function median(values: number[]): number {
	const sorted = [...values].sort((a, b) => a - b);
	const middle = sorted.length >> 1;
	return sorted.length % 2 ? sorted[middle] : (sorted[middle - 1] + sorted[middle]) / 2;
}

/** A robust line and the interval of its slope; null where ties would make that look certain. */
export interface RobustLine {
	slope: number;
	intercept: number;
	interval: [number, number] | null;
}

/**
 * Robust line: the median of all pairwise slopes, with the interval of Sen 1968 from Kendall's variance
 * n(n − 1)(2n + 5)/18: as many of the ordered slopes are left out at the bottom as at the top. One wild point moves it little.
 *
 * @param confidence of the slope interval
 * @throws RangeError under 2 different x
 */
export function theilSen(points: Point[], confidence = 0.95): RobustLine {
	const slopes: number[] = [];
	for (let i = 0; i < points.length; i++)
		for (let j = i + 1; j < points.length; j++)
			if (points[i].x !== points[j].x) slopes.push((points[j].y - points[i].y) / (points[j].x - points[i].x));
	if (slopes.length === 0) throw new RangeError('a slope needs points in two different weeks');
	slopes.sort((a, b) => a - b);
	const slope = median(slopes);
	const intercept = median(points.map((p) => p.y - slope * p.x));
	const n = points.length;
	const reach = normalQuantile((1 + confidence) / 2) * Math.sqrt((n * (n - 1) * (2 * n + 5)) / 18);
	const out = Math.max(1, Math.round((slopes.length - reach) / 2));
	const [lower, upper] = [slopes[out - 1], slopes[slopes.length - out]];
	return { slope, intercept, interval: upper > lower ? [lower, upper] : null };
}
