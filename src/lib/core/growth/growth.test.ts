import fc from 'fast-check';
import { linearRegression, medianAbsoluteDeviation, median as medianOf } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { aimAt, aimline, baseline, median, ordinaryLeastSquares, theilSen, type Point } from '.';

const series = (...values: number[]): Point[] => values.map((y, x) => ({ x, y }));

describe('least squares', () => {
	it('agrees with another library’s line, and with the textbook errors of a small example', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 0, max: 8 }), { minLength: 3, maxLength: 12 }), (values) => {
				const points = series(...values);
				const theirs = linearRegression(points.map((p) => [p.x, p.y]));
				const ours = ordinaryLeastSquares(points);
				expect(ours.slope).toBeCloseTo(theirs.m, 9);
				expect(ours.intercept).toBeCloseTo(theirs.b, 9);
			})
		);
		// x 0..4, y 1 3 2 5 4: slope 0.8, residual sum 3.6, so s = √(3.6/3), slope error s/√10.
		const fit = ordinaryLeastSquares(series(1, 3, 2, 5, 4));
		expect(fit.residualSd).toBeCloseTo(Math.sqrt(1.2), 12);
		expect(fit.slopeError).toBeCloseTo(Math.sqrt(0.12), 12);
		expect(fit.interceptError).toBeCloseTo(Math.sqrt(1.2 * (0.2 + 0.4)), 12);
	});

	it('says what it needs', () => {
		expect(() => ordinaryLeastSquares(series(1, 2))).toThrow(/3 points/);
		expect(() => ordinaryLeastSquares([1, 2, 3].map((y) => ({ x: 1, y })))).toThrow(/same week/);
	});
});

describe('Theil–Sen', () => {
	it('is not moved by one wild probe', () => {
		expect(theilSen(series(1, 2, 3, 4, 5, 6, 0)).slope).toBe(1);
		expect(medianOf([1, 2, 3])).toBe(median([3, 1, 2]));
		expect(medianAbsoluteDeviation([1, 2, 3])).toBe(1);
	});

	it('matches the published interval of Sen’s example size: n = 7 without ties reaches 95% between ranks 4 and 18 from 1', () => {
		// Kendall's S for n = 7 has variance 44.33; C = 1.96 √44.33 = 13.05; (21 ± 13.05)/2 gives 3.97: the fourth from either end.
		const points = [0, 1, 2, 3, 4, 5, 6].map((x) => ({ x, y: x * x }));
		const slopes = points
			.flatMap((a, i) => points.slice(i + 1).map((b) => (b.y - a.y) / (b.x - a.x)))
			.sort((a, b) => a - b);
		expect(theilSen(points, 0.95).interval).toEqual([slopes[3], slopes[17]]);
	});

	it('shows no interval where ties would make it certain', () => {
		expect(theilSen(series(3, 3, 3, 3, 3)).interval).toBeNull();
		expect(theilSen(series(1, 2, 2, 3, 3)).interval).toEqual([0, 1]);
	});

	it('covers the true slope about as often as it claims', () => {
		const random = seededRandom(2);
		let covered = 0;
		for (let n = 0; n < 600; n++) {
			const points = Array.from({ length: 9 }, (_, x) => ({ x, y: 2 + 0.4 * x + random.normal() }));
			const [low, high] = theilSen(points, 0.8).interval!;
			if (low <= 0.4 && 0.4 <= high) covered++;
		}
		expect(covered / 600).toBeGreaterThan(0.77);
	});
});

describe('aimline', () => {
	it('runs from the median of the first three probes to the goal', () => {
		const probes = series(2, 4, 3, 9);
		expect(baseline(probes)).toBe(3);
		const line = aimline(probes, { x: 6, y: 8 })!;
		expect(line.slope).toBe(1);
		expect(aimAt(line, 4)).toBe(6);
		expect(aimline(series(1, 2), { x: 7, y: 8 })).toBeNull();
	});
});
