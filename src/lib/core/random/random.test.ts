import { describe, expect, it } from 'vitest';
import { seededRandom, seedFrom } from '.';

describe('seeded random', () => {
	it('repeats itself from the same seed', () => {
		const draw = () => {
			const random = seededRandom(5);
			return Array.from({ length: 20 }, () => random.integer(0, 1_000));
		};
		expect(draw()).toEqual(draw());
	});

	it('gives neighboring seeds first draws that do not go together', () => {
		const draws = Array.from({ length: 4_000 }, (_, seed) => seededRandom(seed).unit());
		const mean = draws.reduce((a, b) => a + b, 0) / draws.length;
		let together = 0;
		let spread = 0;
		draws.forEach((value, i) => {
			spread += (value - mean) ** 2;
			if (i > 0) together += (value - mean) * (draws[i - 1] - mean);
		});
		expect(Math.abs(mean - 0.5)).toBeLessThan(0.02);
		expect(Math.abs(together / spread)).toBeLessThan(0.05);
	});

	it('draws normals with mean 0 and spread 1', () => {
		const random = seededRandom(1);
		const draws = Array.from({ length: 20_000 }, () => random.normal());
		const mean = draws.reduce((a, b) => a + b, 0) / draws.length;
		expect(Math.abs(mean)).toBeLessThan(0.03);
		expect(Math.abs(draws.reduce((a, b) => a + b * b, 0) / draws.length - 1)).toBeLessThan(0.04);
	});

	it('shuffles without losing anything and tells words apart', () => {
		expect(seededRandom(9).shuffle([1, 2, 3, 4, 5]).sort()).toEqual([1, 2, 3, 4, 5]);
		expect(seedFrom('a', 'bc')).not.toBe(seedFrom('ab', 'c'));
	});
});
