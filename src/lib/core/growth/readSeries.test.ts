import { describe, expect, it } from 'vitest';
import { type ItemParameters, probabilityCorrect } from '../measurement';
import { advise, adviseFrom } from './advise';
import { growthPosterior } from './growthPosterior';
import { readSeries } from './readSeries';
import type { ProbeAnswers } from './series';

const items: ItemParameters[] = Array.from({ length: 16 }, (_, i) => ({
	discrimination: 1.2,
	difficulty: 0.3 * (i % 3) - 0.3,
	guessing: i % 4 === 0 ? 0.25 : 0
}));
const weekly = (...counts: number[]): ProbeAnswers[] =>
	counts.map((right, week) => ({ week, answers: items.map((item, i) => ({ item, correct: (i * 5) % 16 < right })) }));
const goal = { week: 10, right: 14, of: 16 };
const counts = [3, 4, 6, 5, 8];
const reading = readSeries(weekly(...counts), goal, 0.2);

describe('what a series says', () => {
	it('has each probe with what it says by itself, which holds its own count', () => {
		expect(reading.probes.map(({ week, right, of }) => [week, right, of])).toEqual(counts.map((n, i) => [i, n, 16]));
		for (const { right, alone } of reading.probes) {
			expect(alone.lower).toBeLessThan(right + 0.7);
			expect(alone.upper).toBeGreaterThan(right - 0.7);
			expect(alone.upper - alone.lower).toBeGreaterThan(2);
		}
	});

	it('has the level in questions right, the surer for being of many probes', () => {
		const { level } = growthPosterior(weekly(...counts));
		const expected = items.reduce((sum, item) => sum + probabilityCorrect(level.value, item), 0);
		expect(reading.levels).toHaveLength(5);
		expect(reading.levels[4].value).toBeCloseTo(expected, 9);
		const width = ({ lower, upper }: { lower: number; upper: number }) => upper - lower;
		expect(width(reading.levels[4])).toBeLessThan(width(reading.probes[4].alone));
		expect(reading.share.value).toBeCloseTo(1 / (1 + Math.exp(-1.2 * (level.value - 0.2))), 9);
	});

	it('has what may come week by week to the goal, wider and wider, and the chance of the goal', () => {
		expect(reading.ahead.map(({ week }) => week)).toEqual([5, 6, 7, 8, 9, 10]);
		const widths = reading.ahead.map(({ lower, upper }) => upper - lower);
		expect(widths[5]).toBeGreaterThan(widths[0]);
		const chances = growthPosterior(weekly(...counts)).predict(10, items);
		expect(reading.chanceOfGoal).toBeCloseTo(chances[14] + chances[15] + chances[16], 9);
	});

	it('takes a goal of eight as the same share of sixteen', () => {
		const eight = readSeries(weekly(...counts), { week: 10, right: 7, of: 8 }, 0.2);
		expect(eight.chanceOfGoal).toBeCloseTo(reading.chanceOfGoal, 9);
	});

	it('looks one week ahead where the goal’s day is over', () => {
		expect(readSeries(weekly(...counts), { ...goal, week: 3 }, 0.2).ahead.map(({ week }) => week)).toEqual([5]);
	});

	it('keeps what advice is given from', () => {
		const circumstances = { sessions: { planned: 10, attended: 9 }, adjustmentsTried: 0, levelChecks: [] };
		const evidence = { series: weekly(...counts), goal, focusDifficulty: 0.2, ...circumstances };
		expect(adviseFrom(reading.look, circumstances)).toEqual(advise(evidence));
	});
});
