import fc from 'fast-check';
import { cumulativeStdNormalProbability } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { normalCdf, normalQuantile } from '.';

describe('the normal distribution', () => {
	it('agrees with tabulated values and with another library', () => {
		expect(normalQuantile(0.975)).toBeCloseTo(1.959963984540054, 9);
		expect(normalQuantile(0.9)).toBeCloseTo(1.2815515655446004, 9);
		for (const x of [-2.5, -1, 0, 0.7, 1.9]) expect(normalCdf(x)).toBeCloseTo(cumulativeStdNormalProbability(x), 3);
		fc.assert(
			fc.property(fc.double({ min: 1e-6, max: 1 - 1e-6, noNaN: true }), (p) => {
				expect(normalCdf(normalQuantile(p))).toBeCloseTo(p, 9);
			})
		);
	});
});
