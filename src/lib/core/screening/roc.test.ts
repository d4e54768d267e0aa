import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { accuracyAt, areaUnderCurve, cutScoreFor, rocCurve } from '.';

/** Scores from 470 to 529 with ties, and outcomes of both kinds. */
const screened = fc
	.array(fc.tuple(fc.integer({ min: 470, max: 529 }), fc.boolean()), { minLength: 4, maxLength: 60 })
	.filter((rows) => new Set(rows.map(([, bad]) => bad)).size === 2)
	.map((rows) => ({ scores: rows.map(([score]) => score), outcomes: rows.map(([, bad]) => bad) }));

describe('the curve of a screening score', () => {
	it('has at each cut the shares counted one by one', () => {
		fc.assert(
			fc.property(screened, ({ scores, outcomes }) => {
				for (const { cut, sensitivity, specificity } of rocCurve(scores, outcomes)) {
					const counted = accuracyAt(scores, outcomes, cut);
					expect(counted.sensitivity).toBeCloseTo(sensitivity, 12);
					expect(counted.specificity).toBeCloseTo(specificity, 12);
				}
			})
		);
	});

	it('goes from nobody to everybody, catching more and sparing fewer', () => {
		fc.assert(
			fc.property(screened, ({ scores, outcomes }) => {
				const curve = rocCurve(scores, outcomes);
				expect(curve[0]).toMatchObject({ sensitivity: 0, specificity: 1 });
				expect(curve.at(-1)).toMatchObject({ sensitivity: 1, specificity: 0 });
				curve.slice(1).forEach((point, i) => {
					expect(point.sensitivity).toBeGreaterThanOrEqual(curve[i].sensitivity);
					expect(point.specificity).toBeLessThanOrEqual(curve[i].specificity);
				});
			})
		);
	});

	it('refuses lists of different lengths and outcomes of one kind', () => {
		expect(() => rocCurve([1, 2], [true])).toThrow('2 scores but 1 outcomes');
		expect(() => areaUnderCurve([1, 2], [true, true])).toThrow('both kinds');
	});
});

describe('the area under it', () => {
	it('is the area of the curve by the trapezoid rule', () => {
		fc.assert(
			fc.property(screened, ({ scores, outcomes }) => {
				const curve = rocCurve(scores, outcomes);
				let area = 0;
				for (let i = 1; i < curve.length; i++) {
					const width = curve[i - 1].specificity - curve[i].specificity;
					area += (width * (curve[i].sensitivity + curve[i - 1].sensitivity)) / 2;
				}
				expect(areaUnderCurve(scores, outcomes).area).toBeCloseTo(area, 10);
			})
		);
	});

	it('has an interval that covers the true area in 93–97 of 100 samples', () => {
		// Two normals a distance d apart have an area of Φ(d/√2): 0.76025 for d = 1.
		const random = seededRandom(17);
		let covered = 0;
		const SAMPLES = 600;
		for (let n = 0; n < SAMPLES; n++) {
			const outcomes = Array.from({ length: 160 }, (_, i) => i % 4 === 0);
			const scores = outcomes.map((bad) => random.normal() - (bad ? 1 : 0));
			const { lower, upper } = areaUnderCurve(scores, outcomes);
			if (lower <= 0.76025 && 0.76025 <= upper) covered++;
		}
		expect(covered / SAMPLES).toBeGreaterThan(0.93);
		expect(covered / SAMPLES).toBeLessThan(0.97);
	});

	it('has one that holds for few students as well, and never reaches beyond 1', () => {
		const random = seededRandom(23);
		// A distance of 2 has an area of Φ(√2) = 0.92135.
		for (const [distance, truth] of [
			[1, 0.76025],
			[2, 0.92135]
		]) {
			let covered = 0;
			const SAMPLES = 800;
			for (let n = 0; n < SAMPLES; n++) {
				const outcomes = Array.from({ length: 32 }, (_, i) => i % 4 === 0);
				const scores = outcomes.map((bad) => random.normal() - (bad ? distance : 0));
				const { lower, upper } = areaUnderCurve(scores, outcomes);
				expect(upper).toBeLessThanOrEqual(1);
				if (lower <= truth && truth <= upper) covered++;
			}
			expect(covered / SAMPLES).toBeGreaterThan(0.92);
		}
	});

	it('is 1 when all with the outcome scored lower, and a half for a score that says nothing', () => {
		expect(areaUnderCurve([1, 2, 3, 4], [true, true, false, false])).toMatchObject({ area: 1, upper: 1 });
		// Two of each prove little: by hand, (1 − a)² = 1.96² · a(1 − a)·(1 + (1 − a)/(2 − a) + a/(1 + a))/4 at a = 0.386: 0.614 = 0.960 · 0.386 · 1.659.
		expect(areaUnderCurve([1, 2, 3, 4], [true, true, false, false]).lower).toBeCloseTo(0.386, 3);
		expect(areaUnderCurve([5, 5, 5, 5], [true, false, true, false]).area).toBe(0.5);
	});
});

describe('a cut for a wanted sensitivity', () => {
	it('reaches it, and no lower cut does', () => {
		fc.assert(
			fc.property(screened, fc.double({ min: 0.05, max: 1, noNaN: true }), ({ scores, outcomes }, sensitivity) => {
				const chosen = cutScoreFor(scores, outcomes, { sensitivity });
				expect(chosen.sensitivity).toBeGreaterThanOrEqual(sensitivity - 1e-9);
				for (const score of scores.filter((one) => one < chosen.cut))
					expect(accuracyAt(scores, outcomes, score).sensitivity).toBeLessThan(sensitivity);
			})
		);
	});
});
