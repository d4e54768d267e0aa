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
