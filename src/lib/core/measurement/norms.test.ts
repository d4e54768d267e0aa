import { describe, expect, it } from 'vitest';
import { expectedTheta, localPercentile, midTermWeek, normalShareBelow, percentile, shippedNorm } from '.';

describe('norms', () => {
	it('pass the expected median of each term in its middle, and never fall within a year', () => {
		for (let grade = 1; grade <= 8; grade++) {
			for (let term = 1; term <= 3; term++)
				expect(shippedNorm(grade, midTermWeek(term)).median).toBeCloseTo(expectedTheta({ grade, term }), 12);
			for (let week = 1; week <= 40; week++)
				expect(shippedNorm(grade, week).median).toBeGreaterThanOrEqual(shippedNorm(grade, week - 1).median);
		}
	});

	it('put the median on percentile 50, and the ends on 1 and 99', () => {
		const norm = shippedNorm(4, 18);
		expect(percentile(norm.median, norm)).toBe(50);
		expect(percentile(norm.median + norm.spread, norm)).toBe(84);
		expect(percentile(-9, norm)).toBe(1);
		expect(percentile(9, norm)).toBe(99);
	});

	it('follow the normal distribution, summed by small steps', () => {
		let sum = 0;
		const STEP = 0.0005;
		for (let z = -8; z < 3; z += STEP) {
			sum += (STEP * Math.exp(-0.5 * (z + STEP / 2) ** 2)) / Math.sqrt(2 * Math.PI);
			if (Math.abs((z + STEP) % 0.5) < STEP / 2) expect(normalShareBelow(z + STEP)).toBeCloseTo(sum, 5);
		}
		expect(sum).toBeCloseTo(normalShareBelow(3), 5);
	});

	it('of the school itself need 30 students', () => {
		const peers = Array.from({ length: 30 }, (_, i) => i / 10);
		expect(localPercentile(1.5, peers)).toBe(52);
		expect(localPercentile(-1, peers)).toBe(1);
		expect(localPercentile(1.5, peers.slice(1))).toBeNull();
	});
});
