import { describe, expect, it } from 'vitest';
import {
	expectedTheta,
	localPercentile,
	midTermWeek,
	normalShareBelow,
	percentile,
	shippedNorm,
	termSaid,
	weekOfYear
} from '.';

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

	it('take the week of the day within its year, and the middle of the term where the year is not known', () => {
		const year = { startsOn: '2026-08-24', endsOn: '2027-06-11' };
		expect(weekOfYear('2026-08-24', 1, year)).toBe(0);
		expect(weekOfYear('2027-06-11', 3, year)).toBe(36);
		// 145 and 146 of 291 days have passed.
		expect(weekOfYear('2027-01-16', 2, year)).toBeCloseTo((36 * 145) / 291, 12);
		expect(weekOfYear('2027-01-17', 2, year)).toBeGreaterThan(18);
		expect([weekOfYear('2026-07-01', 1, year), weekOfYear('2027-07-01', 3, year)]).toEqual([0, 36]);
		expect(weekOfYear('2026-09-01', 2, null)).toBe(18);
	});

	it('go by the terms that the school has said, and else by thirds of the year', () => {
		const year = { startsOn: '2026-08-24', endsOn: '2027-06-11', winterOn: '2026-12-07', springOn: '2027-03-15' };
		const days = ['2026-12-06', '2026-12-07', '2027-03-14', '2027-03-15'];
		expect(days.map((day) => termSaid(day, year))).toEqual([1, 2, 2, 3]);
		expect(days.map((day) => termSaid(day, { ...year, springOn: null }))).toEqual([2, 2, 3, 3]);
		expect(termSaid('2026-12-06', null)).toBe(2);
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
