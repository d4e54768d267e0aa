import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { type ItemParameters, probabilityCorrect } from '../measurement';
import { seededRandom } from '../random';
import { growthSoFar } from './growthSoFar';
import type { ProbeAnswers } from './series';

const items: ItemParameters[] = Array.from({ length: 16 }, (_, i) => ({
	discrimination: 1,
	difficulty: 0.3 * (i % 3) - 0.3
}));
const weekly = (...counts: number[]): ProbeAnswers[] =>
	counts.map((right, week) => ({
		week,
		answers: items.map((item, i) => ({ item, correct: (i * 5) % 16 < right }))
	}));
const goal = { week: 12, right: 14, of: 16 };

describe('growth so far', () => {
	it('agrees with guesses weighed by chance: another way to the same courses', () => {
		const series = weekly(4, 5, 7, 6, 8, 9);
		const random = seededRandom(8);
		const share = (level: number) => 1 / (1 + Math.exp(-level));
		let [weights, now, under] = [0, 0, 0];
		for (let n = 0; n < 60_000; n++) {
			const from = -0.5 + 1.3 * random.normal();
			const pace = 0.15 + 0.3 * random.normal();
			let weight = 1;
			for (const { week, answers } of series) {
				// The day's form is guessed as well.
				const today = from + pace * week + 0.25 * random.normal();
				for (const { item, correct } of answers) {
					const chance = probabilityCorrect(today, item);
					weight *= 2 * (correct ? chance : 1 - chance);
				}
			}
			const risen = share(from + 5 * pace) - share(from);
			weights += weight;
			now += weight * share(from + 5 * pace);
			under += risen < (0.5 * (14 / 16 - share(from)) * 5) / 12 ? weight : 0;
		}
		const found = growthSoFar(series, goal);
		expect(Math.abs(found.now.value - now / weights)).toBeLessThan(0.015);
		expect(Math.abs(found.underHalf - under / weights)).toBeLessThan(0.03);
	});

	it('is surely under half of what a far goal asks for where nothing grows, and is not where it is on the way', () => {
		expect(growthSoFar(weekly(5, 5, 4, 5, 6, 5, 4, 5, 5), goal).underHalf).toBeGreaterThan(0.85);
		expect(growthSoFar(weekly(5, 6, 6, 8, 8, 9, 10, 11, 12), goal).underHalf).toBeLessThan(0.05);
	});

	it('asks for nothing of who began at the goal', () => {
		const { asked, underHalf } = growthSoFar(weekly(15, 15, 15, 15, 15), goal);
		expect(asked).toBeLessThan(0.03);
		expect(underHalf).toBeLessThan(0.5);
	});

	it('asks for all that the goal asks, and no more, once its week has come', () => {
		const { asked, start } = growthSoFar(weekly(4, 4, 4, 4, 4, 4), { week: 5, right: 14, of: 16 });
		expect(asked).toBeCloseTo(14 / 16 - start.value, 9);
		const past = growthSoFar(weekly(4, 4, 4, 4, 4, 4), { week: 3, right: 14, of: 16 });
		expect(past.asked).toBeCloseTo(14 / 16 - past.start.value, 9);
	});

	it('has bands around what it says, narrower the more is known', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 0, max: 16 }), { minLength: 2, maxLength: 9 }), (counts) => {
				const { start, now, risen } = growthSoFar(weekly(...counts), goal);
				for (const { value, lower, upper } of [start, now, risen]) {
					expect(lower).toBeLessThanOrEqual(value + 0.02);
					expect(upper).toBeGreaterThanOrEqual(value - 0.02);
				}
			}),
			{ numRuns: 30 }
		);
		const width = (counts: number[]) => {
			const { now } = growthSoFar(weekly(...counts), goal);
			return now.upper - now.lower;
		};
		expect(width([8, 8, 8, 8, 8, 8, 8, 8])).toBeLessThan(width([8, 8, 8]));
		expect(() => growthSoFar([], goal)).toThrow(RangeError);
	});
});
