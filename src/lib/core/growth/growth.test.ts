import fc from 'fast-check';
import {
	linearRegression,
	medianAbsoluteDeviation,
	median as medianOf,
	cumulativeStdNormalProbability
} from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import {
	GROWTH_PRIOR,
	advise,
	aimAt,
	aimline,
	baseline,
	forecast,
	median,
	ordinaryLeastSquares,
	theilSen,
	type Point
} from '.';

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

	it('matches the published interval of Sen’s example size: n = 7 without ties reaches 95% between ranks 4 and 18', () => {
		// Kendall's S for n = 7 has variance 44.33; C = 1.96 √44.33 = 13.05; (21 ± 13.05)/2 gives 3.97 and 17.03.
		const points = [0, 1, 2, 3, 4, 5, 6].map((x) => ({ x, y: x * x }));
		const slopes = points
			.flatMap((a, i) => points.slice(i + 1).map((b) => (b.y - a.y) / (b.x - a.x)))
			.sort((a, b) => a - b);
		expect(theilSen(points, 0.95).interval).toEqual([slopes[3], slopes[18]]);
	});

	it('covers the true slope about as often as it claims', () => {
		const random = seededRandom(2);
		let covered = 0;
		for (let n = 0; n < 600; n++) {
			const points = Array.from({ length: 9 }, (_, x) => ({ x, y: 2 + 0.4 * x + random.normal() }));
			const [low, high] = theilSen(points, 0.8).interval;
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

describe('forecast', () => {
	it('agrees with the posterior summed on a grid of slopes and levels', () => {
		const probes = series(2, 3, 3, 4, 4, 6);
		const goal = { x: 9, y: 7 };
		let total = 0;
		let mean = 0;
		let reach = 0;
		for (let slope = -2; slope <= 2; slope += 0.01) {
			for (let level = -6; level <= 10; level += 0.02) {
				let log = -(((slope - GROWTH_PRIOR.slopeMean) / GROWTH_PRIOR.slopeSd) ** 2) / 2;
				for (const p of probes) log -= ((p.y - level - slope * p.x) / GROWTH_PRIOR.noiseSd) ** 2 / 2;
				const weight = Math.exp(log);
				total += weight;
				mean += weight * (level + slope * goal.x);
				reach +=
					weight * (1 - cumulativeStdNormalProbability((goal.y - level - slope * goal.x) / GROWTH_PRIOR.noiseSd));
			}
		}
		const ours = forecast(probes, goal);
		expect(ours.expected).toBeCloseTo(mean / total, 3);
		expect(ours.chanceOfGoal).toBeCloseTo(reach / total, 2);
		expect(() => forecast([], goal)).toThrow(RangeError);
	});

	it('holds 80% of later probes in its 80% interval when students grow as the norm says', () => {
		const random = seededRandom(6);
		let inside = 0;
		for (let n = 0; n < 2_000; n++) {
			const slope = GROWTH_PRIOR.slopeMean + GROWTH_PRIOR.slopeSd * random.normal();
			const at = (x: number) => ({ x, y: 3 + slope * x + GROWTH_PRIOR.noiseSd * random.normal() });
			const { interval } = forecast([0, 1, 2, 3, 4].map(at), { x: 8, y: 7 });
			const later = at(8).y;
			if (interval[0] <= later && later <= interval[1]) inside++;
		}
		expect(inside / 2_000).toBeGreaterThan(0.77);
		expect(inside / 2_000).toBeLessThan(0.83);
	});
});

describe('advice', () => {
	const goal = { x: 8, y: 7 };
	const base = { goal, focusStandings: ['forming' as const], sessionsPlanned: 15, sessionsAttended: 14 };

	it('says not enough yet under six probes or four weeks, and what is missing', () => {
		const few = advise({ ...base, probes: series(2, 3, 3, 4, 5) });
		expect(few.advice).toBe('not enough yet');
		expect(few.reasons[0]).toContain('1 more probe,');
		const crowded = advise({ ...base, probes: [0, 0.5, 1, 1.5, 2, 2.5].map((x) => ({ x, y: 3 })) });
		expect(crowded.advice).toBe('not enough yet');
		expect(crowded.reasons[0]).toContain('1.5 more weeks');
	});

	it('advises exit when goal and focus are reached and likely to hold', () => {
		expect(advise({ ...base, focusStandings: ['secure'], probes: series(4, 5, 6, 8, 8, 8, 8) }).advice).toBe('exit');
	});

	it('advises fade when they are reached but may not hold', () => {
		expect(advise({ ...base, focusStandings: ['secure'], probes: series(5, 6, 6, 7, 7, 7) }).advice).toBe('fade');
	});

	it('never advises exit while the focus skill is not secure', () => {
		expect(advise({ ...base, probes: series(4, 5, 6, 8, 8, 8, 8) }).advice).toBe('continue');
	});

	it('advises intensify when flat under the aimline with the sessions delivered', () => {
		expect(advise({ ...base, probes: series(2, 2, 1, 2, 1, 2, 1) }).advice).toBe('intensify');
	});

	it('advises delivering the plan first when under 60% of sessions took place', () => {
		const { advice, reasons } = advise({ ...base, sessionsAttended: 8, probes: series(2, 2, 1, 2, 1, 2, 1) });
		expect(advice).toBe('adjust');
		expect(reasons[0]).toContain('deliver the plan');
	});

	it('advises continue when probes keep to the aimline', () => {
		expect(advise({ ...base, probes: series(2, 3, 3, 4, 5, 6, 6) }).advice).toBe('continue');
	});
});
