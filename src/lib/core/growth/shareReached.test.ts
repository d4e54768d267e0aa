import { describe, expect, it } from 'vitest';
import { type ItemParameters, probabilityCorrect } from '../measurement';
import { seededRandom } from '../random';
import { shareReached } from './shareReached';
import type { ProbeAnswers } from './series';

const items: ItemParameters[] = Array.from({ length: 16 }, (_, i) => ({
	discrimination: 1.2,
	difficulty: 0.2 * (i % 4) - 0.3
}));
const probe = (week: number, right: number): ProbeAnswers => ({
	week,
	answers: items.map((item, i) => ({ item, correct: (i * 7) % 16 < right }))
});
const weekly = (...counts: number[]) => counts.map((right, week) => probe(week, right));
const chances = (series: ProbeAnswers[]) => shareReached(series, 0, [0.85]).map(([chance]) => chance);

describe('the chance of a share', () => {
	it('agrees with a sum over when the level last started afresh, each stretch by itself', () => {
		// Written apart: all ways in which two weeks can start afresh, the last stretch's answers alone, by plain quadrature.
		const series = weekly(5, 14, 15);
		const nodes = Array.from({ length: 1_401 }, (_, i) => -6 + i * 0.01);
		const bell = (x: number, mean: number, sd: number) => Math.exp(-0.5 * ((x - mean) / sd) ** 2) / sd;
		const days = nodes.map((level) =>
			series.map(({ answers }) => {
				let sum = 0;
				let weights = 0;
				for (let away = -0.9; away <= 0.9; away += 0.05) {
					const weight = bell(away, 0, 0.25);
					weights += weight;
					sum += answers.reduce((product, { item, correct }) => {
						const chance = probabilityCorrect(level + away, item);
						return product * (correct ? chance : 1 - chance);
					}, weight);
				}
				return sum / weights;
			})
		);
		const prior = nodes.map((level) => bell(level, 0.3, 1.5));
		const total = prior.reduce((sum, weight) => sum + weight, 0);
		const mass = (from: number, until: number) =>
			nodes.map((_, i) => (prior[i] / total) * days[i].slice(from, until).reduce((product, day) => product * day, 1));
		const sum = (list: number[]) => list.reduce((all, one) => all + one, 0);
		// By where the last stretch begins: the evidence of those before it, and the levels of its own answers.
		const ways = [
			{ chance: 0.92 * 0.92, before: 1, own: mass(0, 3) },
			{ chance: 0.08 * 0.92, before: sum(mass(0, 1)), own: mass(1, 3) },
			{ chance: 0.92 * 0.08, before: sum(mass(0, 2)), own: mass(2, 3) },
			{ chance: 0.08 * 0.08, before: sum(mass(0, 1)) * sum(mass(1, 2)), own: mass(2, 3) }
		];
		const line = Math.log(0.85 / 0.15) / 1.2;
		const over = (own: number[]) => sum(own.filter((_, i) => nodes[i] >= line));
		const all = sum(ways.map(({ chance, before, own }) => chance * before * sum(own)));
		const expected = sum(ways.map(({ chance, before, own }) => chance * before * over(own))) / all;
		expect(chances(series)[2]).toBeCloseTo(expected, 2);
	});

	it('is the higher the more is right, and the surer the longer it lasts', () => {
		const [once, twice, often] = chances(weekly(15, 15, 15));
		expect(twice).toBeGreaterThan(once);
		expect(often).toBeGreaterThan(twice);
		expect(chances(weekly(12, 12, 12))[2]).toBeLessThan(often);
	});

	it('sees within two probes that what was reached is lost', () => {
		const found = chances(weekly(15, 16, 15, 16, 6, 5));
		expect(found[3]).toBeGreaterThan(0.8);
		expect(found[5]).toBeLessThan(0.01);
	});

	it('calls hardly anybody secure at a share of three in four, looked at for twelve weeks', () => {
		const random = seededRandom(5);
		const level = Math.log(3) / 1.2;
		let told = 0;
		for (let n = 0; n < 300; n++) {
			const found = chances(
				Array.from({ length: 12 }, (_, week) => {
					const today = level + 0.25 * random.normal();
					return {
						week,
						answers: items.map((item) => ({ item, correct: random.chance(probabilityCorrect(today, item)) }))
					};
				})
			);
			if (found.some((chance, i) => i > 0 && chance >= 0.8 && found[i - 1] >= 0.8)) told++;
		}
		expect(told).toBeLessThan(12);
	});

	it('asks for a probe', () => {
		expect(() => shareReached([], 0, [0.85])).toThrow(RangeError);
	});
});
