import { describe, expect, it } from 'vitest';
import { four } from '../../../../tests/fourSkills';
import { constantQuantities } from './constantQuantities';
import { FIELD_CONSTANTS } from './field';

const errors = { above: 0.1, general: 0.2, domain: 0.2, skill: 0.2, coupling: 0.5 };
const of = (constants: Partial<typeof FIELD_CONSTANTS>, withErrors = true) =>
	constantQuantities(four, { ...FIELD_CONSTANTS, ...constants }, withErrors ? errors : undefined);

describe('constants of a field as quantities', () => {
	it('are points above the norms, and spreads in points, each with 95%', () => {
		const { above, general } = of({ above: 0.4, general: 0.64 });
		expect(above.value).toBeCloseTo(10, 9);
		expect([above.lower, above.upper].map((value) => value.toFixed(1))).toEqual(['5.1', '14.9']);
		expect(general.value).toBeCloseTo(20, 9);
		// A variance of 0.64 · exp(±1.96 · 0.2) is a spread of 0.8 · exp(±0.196) logits.
		expect(general.upper).toBeCloseTo(20 * Math.exp(0.196), 9);
		expect(general.lower).toBeCloseTo(20 * Math.exp(-0.196), 9);
	});

	it('say how closely neighbors go together: not at all without coupling, ever more with it', () => {
		// Two skills in a chain, by hand: precision I + c·L has the inverse 1/(1 + 2c) · [1 + c, c; c, 1 + c].
		const two = [
			{ code: 'A', domain: 'X', difficulty: 0, prerequisites: [] },
			{ code: 'B', domain: 'X', difficulty: 0, prerequisites: ['A'] }
		];
		for (const coupling of [0, 1, 3])
			expect(constantQuantities(two, { ...FIELD_CONSTANTS, coupling }).coupling.value).toBeCloseTo(
				coupling / (1 + coupling),
				9
			);
		const { value, lower, upper } = of({}).coupling;
		expect(lower).toBeLessThan(value);
		expect(upper).toBeGreaterThan(value);
	});

	it('have no interval where they are given', () => {
		for (const { value, lower, upper } of Object.values(of({}, false))) expect([lower, upper]).toEqual([value, value]);
	});
});
