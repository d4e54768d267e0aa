import fc from 'fast-check';
import { expect, it } from 'vitest';
import { stackUp } from './stackUp';

it('leaves labels that have room where they should be, and moves up those that have not', () => {
	expect(stackUp([90, 60, 20], 14)).toEqual([90, 60, 20]);
	expect(stackUp([90, 85, 80], 14)).toEqual([90, 76, 62]);
	expect(stackUp([], 14)).toEqual([]);
});

it('never lets two overlap, and never moves a label down', () => {
	fc.assert(
		fc.property(fc.array(fc.integer({ min: 0, max: 200 })), fc.integer({ min: 1, max: 30 }), (wanted, apart) => {
			const heights = stackUp(wanted, apart);
			heights.forEach((height, i) => {
				expect(height).toBeLessThanOrEqual(wanted[i]);
				if (i) expect(heights[i - 1] - height).toBeGreaterThanOrEqual(apart);
			});
		})
	);
});
