import { describe, expect, it } from 'vitest';
import { shareInterval } from '.';

describe('the interval of a share', () => {
	it('holds just those shares under which the count is no surprise', () => {
		// The ends are where the normal score test of the count reaches its limit, found here by bisection.
		for (const [count, of] of [
			[15, 20],
			[1, 22],
			[9, 9],
			[0, 6]
		]) {
			const { lower, upper } = shareInterval(count, of);
			const surprise = (share: number) => Math.abs(count / of - share) / Math.sqrt((share * (1 - share)) / of);
			const end = (inside: number, outside: number) => {
				for (let i = 0; i < 80; i++) {
					const middle = (inside + outside) / 2;
					if (surprise(middle) < 1.959964) inside = middle;
					else outside = middle;
				}
				return inside;
			};
			const start = Math.min(0.999, Math.max(0.001, count / of));
			if (count > 0) expect(lower).toBeCloseTo(end(start, 1e-9), 5);
			if (count < of) expect(upper).toBeCloseTo(end(start, 1 - 1e-9), 5);
		}
	});

	it('is everything when nobody has shown it', () => {
		expect(shareInterval(0, 0)).toEqual({ lower: 0, upper: 1 });
		expect(shareInterval(0, 6).lower).toBeCloseTo(0, 12);
		expect(shareInterval(6, 6).upper).toBeCloseTo(1, 12);
	});
});
