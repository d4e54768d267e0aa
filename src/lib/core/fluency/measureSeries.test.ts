import { linearRegression } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar';
import { type Giving, LEAST_FOR_RISE, readMeasureSeries } from '.';

const START = '2026-09-14';
const plan = { startsOn: START, goalOn: '2026-12-07', goal: 90 };
const giving = (week: number, correct: number, change: Partial<Giving> = {}): Giving => ({
	on: addDays(START, 7 * week),
	reached: correct,
	missed: [],
	seconds: 60,
	...change
});
const weekly = (counts: number[]) => counts.map((count, week) => giving(week, count));

describe('a series of timed measures', () => {
	it('is scored by the minute, each giving with its own error', () => {
		const { points, goalWeek } = readMeasureSeries([giving(0, 52, { missed: [3, 9, 60], seconds: 30 })], plan);
		expect(goalWeek).toBe(12);
		expect(points[0]).toMatchObject({ week: 0, correct: 50, correctPerMinute: 100, accuracy: 50 / 52 });
		expect(points[0].standardError).toBeCloseTo(2 * Math.sqrt(50), 10);
	});

	it('says nothing of growth from few givings, and no aim from fewer than three', () => {
		expect(readMeasureSeries([], plan)).toEqual({
			...{ points: [], goalWeek: 12, aim: null, aboveAim: null, line: null, atGoal: null }
		});
		expect(readMeasureSeries(weekly([50, 54]), plan).aim).toBeNull();
		const five = readMeasureSeries(weekly([50, 54, 55, 57, 58]), plan);
		expect(five.line).toBeNull();
		expect(five.atGoal).toBeNull();
		expect(LEAST_FOR_RISE).toBe(6);
		// From 54 in week 1 to 90 in week 12; weeks 3 and 4 would have to be at 60.5 and 63.8.
		expect(five.aim!.slope).toBeCloseTo(36 / 11, 10);
		expect(five.aboveAim).toEqual({ count: 0, of: 2 });
	});

	it('holds no more than the newest four against the aimline', () => {
		const { aboveAim } = readMeasureSeries(weekly([50, 54, 55, 20, 70, 71, 60, 74]), plan);
		// Aimed at in weeks 4 to 7: 63.8, 67.1, 70.4, 73.6.
		expect(aboveAim).toEqual({ count: 3, of: 4 });
	});

	it('draws a line that one wild giving hardly moves', () => {
		const { line } = readMeasureSeries(weekly([50, 51, 55, 56, 20, 60, 63, 64]), plan);
		expect(line!.rise).toBeGreaterThan(1.7);
		expect(line!.rise).toBeLessThan(2.4);
		expect(line!.from.x).toBe(0);
		expect(line!.to).toEqual({ x: 7, y: line!.from.y + 7 * line!.rise });
		expect(line!.interval![0]).toBeLessThan(line!.rise);
		expect(line!.interval![1]).toBeGreaterThan(line!.rise);
	});

	it('foretells as far ahead as it reaches back, and not for a day that is over', () => {
		const six = [50, 55, 51, 58, 54, 60];
		expect(readMeasureSeries(weekly(six), plan).atGoal).toBeNull();
		expect(readMeasureSeries(weekly(six), { ...plan, goalOn: '2026-10-19' }).atGoal).toBeNull();
		const { atGoal } = readMeasureSeries(weekly(six), { ...plan, goalOn: '2026-11-16' });
		// Apart: the line of another library, t of 4 degrees of freedom from a table, and counting's own error, which is larger.
		const { m, b } = linearRegression(six.map((y, x) => [x, y]));
		const error = Math.sqrt(six.reduce((sum, count) => sum + count, 0) / 6);
		const reach = 1.5332 * error * Math.sqrt(1 + 1 / 6 + (9 - 2.5) ** 2 / 17.5);
		expect(atGoal!.lower).toBeCloseTo(b + 9 * m - reach, 1);
		expect(atGoal!.upper).toBeCloseTo(b + 9 * m + reach, 1);
	});

	it('takes two givings of a day, and refuses a goal before the start', () => {
		const both = readMeasureSeries([giving(0, 50), giving(0, 58), giving(1, 55)], plan);
		expect(both.aim!.from).toEqual({ x: 0, y: 55 });
		expect(() => readMeasureSeries([], { ...plan, goalOn: START })).toThrow(RangeError);
	});
});

describe('what is foretold of a later giving, in worlds that are not a straight line with even errors', () => {
	/** A generator of its own (Park & Miller), so that the world shares nothing with the product. */
	function world(seed: number) {
		let state = seed;
		const uniform = () => (state = (state * 48271) % 2147483647) / 2147483647;
		const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
		// In eighths, so that the product does not run out of digits.
		const poisson = (mean: number) => {
			const least = Math.exp(-mean / 8);
			let count = 0;
			for (let part = 0; part < 8; part++) for (let product = uniform(); product > least; product *= uniform()) count++;
			return count;
		};
		return { uniform, normal, poisson };
	}
	/** Share of 600 students whose twelfth week lies in what eight weeks foretold: sheets differ by a share. */
	function covered(seed: number, pace: (start: number, week: number) => number, sheetsDiffer: number): number {
		const { uniform, normal, poisson } = world(seed);
		const students = 600;
		let inside = 0;
		for (let student = 0; student < students; student++) {
			const start = 30 + 60 * uniform();
			const give = (week: number) => poisson(pace(start, week) * Math.exp(sheetsDiffer * normal()));
			const { atGoal } = readMeasureSeries(weekly(Array.from({ length: 8 }, (_, week) => give(week))), {
				...plan,
				goalOn: addDays(START, 7 * 12)
			});
			const then = give(12);
			if (then >= atGoal!.lower && then <= atGoal!.upper) inside++;
		}
		return inside / students;
	}

	it.each([
		['steady growth', (start: number, week: number) => start + 1.5 * week],
		['growth that levels off', (start: number, week: number) => start + 18 * (1 - Math.exp(-0.25 * week))],
		['no growth', (start: number) => start]
	])('holds for 76 to 93 of 100, where 80 are said: %s', (_, pace) => {
		for (const sheetsDiffer of [0, 0.1]) {
			const share = covered(20261130, pace, sheetsDiffer);
			expect(share).toBeGreaterThan(0.76);
			expect(share).toBeLessThan(0.93);
		}
	});
});
