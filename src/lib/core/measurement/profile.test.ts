import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { DOMAIN_CORRELATION, estimateEap, estimateProfile, probabilityCorrect, type ScoredResponse } from '.';

const items = Array.from({ length: 12 }, (_, i) => ({
	discrimination: 0.9 + 0.1 * (i % 4),
	difficulty: -1.5 + 0.27 * i,
	guessing: i % 2 ? 0.2 : 0
}));

function answers(theta: number, count: number, seed: number): ScoredResponse[] {
	const random = seededRandom(seed);
	return items.slice(0, count).map((item) => ({ item, correct: random.chance(probabilityCorrect(theta, item)) }));
}

/** Posterior means and spreads of two correlated abilities and of their mean, summed over the plane of both. */
function overThePlane(first: ScoredResponse[], second: ScoredResponse[], mean: number, sd: number) {
	const STEP = 0.06;
	const rho = DOMAIN_CORRELATION;
	const sums = { mass: 0, a: 0, aa: 0, b: 0, bb: 0, m: 0, mm: 0 };
	const likely = (theta: number, list: ScoredResponse[]) =>
		list.reduce((product, { item, correct }) => {
			const p = probabilityCorrect(theta, item);
			return product * (correct ? p : 1 - p);
		}, 1);
	const grid = Array.from({ length: 200 }, (_, i) => mean - 6 + STEP * i);
	const [ofA, ofB] = [grid.map((theta) => likely(theta, first)), grid.map((theta) => likely(theta, second))];
	grid.forEach((a, i) =>
		grid.forEach((b, j) => {
			const [x, y] = [(a - mean) / sd, (b - mean) / sd];
			const density = Math.exp(-(x * x - 2 * rho * x * y + y * y) / (2 * (1 - rho * rho)));
			const mass = density * ofA[i] * ofB[j];
			const m = (a + b) / 2;
			sums.mass += mass;
			sums.a += mass * a;
			sums.aa += mass * a * a;
			sums.b += mass * b;
			sums.bb += mass * b * b;
			sums.m += mass * m;
			sums.mm += mass * m * m;
		})
	);
	const of = (first: number, second: number) => {
		const theta = first / sums.mass;
		return { theta, standardError: Math.sqrt(second / sums.mass - theta * theta) };
	};
	return { a: of(sums.a, sums.aa), b: of(sums.b, sums.bb), overall: of(sums.m, sums.mm) };
}

describe('a profile of domains', () => {
	it('agrees with the posterior summed over the plane of both abilities', () => {
		for (const seed of [1, 2, 3]) {
			const [first, second] = [answers(seed - 2, 12, seed), answers(0.5, 5, seed + 10)];
			const expected = overThePlane(first, second, 0.4, 1.1);
			const profile = estimateProfile(
				new Map([
					['a', first],
					['b', second]
				]),
				{ mean: 0.4, sd: 1.1 }
			);
			for (const [found, wanted] of [
				[profile.domains.get('a')!, expected.a],
				[profile.domains.get('b')!, expected.b],
				[profile.overall, expected.overall]
			]) {
				expect(found.theta).toBeCloseTo(wanted.theta, 3);
				expect(found.standardError).toBeCloseTo(wanted.standardError, 3);
			}
		}
	});

	it('of one domain is the ability in it', () => {
		const only = answers(-0.7, 12, 5);
		const { overall, domains } = estimateProfile(new Map([['a', only]]), { mean: 0, sd: 1 });
		const alone = estimateEap(only);
		for (const found of [overall, domains.get('a')!]) {
			expect(found.theta).toBeCloseTo(alone.theta, 4);
			expect(found.standardError).toBeCloseTo(alone.standardError, 4);
		}
	});

	it('describes a domain without answers by the others, with more error', () => {
		const { domains } = estimateProfile(
			new Map([
				['a', answers(2.5, 12, 9)],
				['b', []]
			]),
			{ mean: 0, sd: 1 }
		);
		expect(domains.get('b')!.theta).toBeGreaterThan(0.5);
		expect(domains.get('b')!.theta).toBeLessThan(domains.get('a')!.theta);
		expect(domains.get('b')!.standardError).toBeGreaterThan(domains.get('a')!.standardError);
	});

	it('is the prior before any answer, also far from the middle of the scale', () => {
		const { overall, domains } = estimateProfile(
			new Map([
				['a', []],
				['b', []]
			]),
			{ mean: 4.3, sd: 1.1 }
		);
		expect(domains.get('a')!.theta).toBeCloseTo(4.3, 6);
		expect(domains.get('a')!.standardError).toBeCloseTo(1.1, 4);
		expect(overall.standardError).toBeCloseTo(1.1 * Math.sqrt((1 + DOMAIN_CORRELATION) / 2), 4);
	});

	it('stays finite when every answer goes against the prior', () => {
		const item = { discrimination: 2.5, difficulty: -3 };
		const wrong = Array.from({ length: 40 }, () => ({ item, correct: false }));
		const { overall } = estimateProfile(new Map([['a', wrong]]), { mean: 4, sd: 1.1 });
		expect(overall.theta).toBeLessThan(0);
		expect(overall.standardError).toBeGreaterThan(0);
	});
});
