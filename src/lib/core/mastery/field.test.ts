import { describe, expect, it } from 'vitest';
import { skill } from '../../../../tests/fourSkills';
import { FIELD_CONSTANTS, skillField } from './field';

describe('the prior', () => {
	it('is the diagnostic’s own: standard deviation 1.1 and correlation 0.8, but for what is a skill’s own', () => {
		const { covariance } = skillField([skill('A', 'X', 0), skill('B', 'X', 0), skill('C', 'Y', 0)], {
			...FIELD_CONSTANTS,
			skill: 0
		});
		expect(covariance[0][0]).toBeCloseTo(1.1 ** 2, 9);
		expect(covariance[0][2] / covariance[0][0]).toBeCloseTo(0.8, 2);
		expect(covariance[0][1]).toBeCloseTo(covariance[0][0], 9);
	});

	it('holds neighbors together, by the inverse of a matrix worked out by hand', () => {
		// A – B: I + L is [[2, −1], [−1, 2]], its inverse [[2, 1], [1, 2]] / 3; the mean variance is scaled to 0.49.
		const { covariance } = skillField([skill('A', 'X', 0), skill('B', 'X', 0, 'A')]);
		expect(covariance[0][0]).toBeCloseTo(1.21 + 0.49, 9);
		expect(covariance[0][1]).toBeCloseTo(1.21 + 0.245, 9);
		const { covariance: apart } = skillField([skill('A', 'X', 0), skill('B', 'X', 0)]);
		expect(apart[0][1]).toBeCloseTo(1.21, 9);
	});

	it('leaves out prerequisites that are no skills of it, and takes no skill twice', () => {
		expect(skillField([skill('A', 'X', 0, 'gone', 'A')]).covariance[0][0]).toBeCloseTo(1.7, 9);
		expect(() => skillField([skill('A', 'X', 0), skill('A', 'Y', 0)])).toThrow(RangeError);
	});
});
