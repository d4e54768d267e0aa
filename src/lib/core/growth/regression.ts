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

/**
 * Robust line: the median of all pairwise slopes, with the interval of Sen 1968 from Kendall's variance
 * n(n − 1)(2n + 5)/18. One wild point moves it little.
 *
 * @param confidence of the slope interval
 * @throws RangeError under 2 different x
 */
export function theilSen(
	points: Point[],
	confidence = 0.95
): { slope: number; intercept: number; interval: [number, number] } {
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
	const low = Math.max(0, Math.floor((slopes.length - reach) / 2));
	const high = Math.min(slopes.length - 1, Math.ceil((slopes.length + reach) / 2));
	return { slope, intercept, interval: [slopes[low], slopes[high]] };
}

/** Quantile of the standard normal, to about 1e-9 (Acklam 2003's rational approximation with one Halley step). */
export function normalQuantile(p: number): number {
	if (p <= 0 || p >= 1) throw new RangeError(`a probability between 0 and 1, got ${p}`);
	if (p > 0.5) return -normalQuantile(1 - p);
	const a = [
		-39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239
	];
	const b = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572];
	const c = [
		-0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
		2.938163982698783
	];
	const d = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416];
	let x: number;
	if (p < 0.02425) {
		const q = Math.sqrt(-2 * Math.log(p));
		x =
			(((((c[0] * q + c[1]) * q + c[2]) * q + c[3]) * q + c[4]) * q + c[5]) /
			((((d[0] * q + d[1]) * q + d[2]) * q + d[3]) * q + 1);
	} else {
		const q = p - 0.5;
		const r = q * q;
		x =
			((((((a[0] * r + a[1]) * r + a[2]) * r + a[3]) * r + a[4]) * r + a[5]) * q) /
			(((((b[0] * r + b[1]) * r + b[2]) * r + b[3]) * r + b[4]) * r + 1);
	}
	const error = normalCdf(x) - p;
	const step = error * Math.sqrt(2 * Math.PI) * Math.exp((x * x) / 2);
	return x - step / (1 + (x * step) / 2);
}

/** Distribution function of the standard normal (series and continued fraction, Abramowitz & Stegun 26.2.10–14). */
export function normalCdf(x: number): number {
	const size = Math.abs(x);
	const density = Math.exp(-0.5 * size * size) / Math.sqrt(2 * Math.PI);
	let upper: number;
	if (size < 3) {
		let term = size;
		let sum = size;
		for (let k = 1; Math.abs(term) > 1e-17 * sum; k++) {
			term *= (size * size) / (2 * k + 1);
			sum += term;
		}
		upper = 0.5 - density * sum;
	} else {
		let fraction = size;
		for (let k = 60; k >= 1; k--) fraction = size + k / fraction;
		upper = density / fraction;
	}
	return x > 0 ? 1 - upper : upper;
}
