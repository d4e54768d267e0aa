import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { seededRandom } from '../random';
import {
	estimateDomains,
	estimateEap,
	expectedTheta,
	fromPoints,
	itemInformation,
	personFit,
	probabilityCorrect,
	reliableChange,
	responseTimeEffort,
	startingParameters,
	toPoints,
	trustFlags,
	workingLevel,
	type ItemParameters,
	type ScoredResponse
} from '.';

const items: ItemParameters[] = Array.from({ length: 24 }, (_, i) => ({
	discrimination: 0.8 + (i % 5) * 0.2,
	difficulty: -2 + (4 * i) / 23,
	guessing: i % 3 === 0 ? 0.25 : 0
}));

function simulate(theta: number, seed: number): ScoredResponse[] {
	const random = seededRandom(seed);
	return items.map((item) => ({ item, correct: random.chance(probabilityCorrect(theta, item)), milliseconds: 9_000 }));
}

/** The posterior by plain summation on a fine grid, written apart from the product's quadrature. */
function fineGridPosterior(responses: ScoredResponse[], mean: number, sd: number) {
	let total = 0;
	let first = 0;
	let second = 0;
	for (let theta = -8; theta <= 8; theta += 0.002) {
		let likelihood = Math.exp(-((theta - mean) ** 2) / (2 * sd * sd));
		for (const { item, correct } of responses) {
			const c = item.guessing ?? 0;
			const p =
				c +
				((1 - c) * Math.exp(item.discrimination * (theta - item.difficulty))) /
					(1 + Math.exp(item.discrimination * (theta - item.difficulty)));
			likelihood *= correct ? p : 1 - p;
		}
		total += likelihood;
		first += theta * likelihood;
		second += theta * theta * likelihood;
	}
	const theta = first / total;
	return { theta, standardError: Math.sqrt(second / total - theta * theta) };
}

describe('item response', () => {
	it('gives an even chance at the item difficulty and the guessing chance far below it', () => {
		expect(probabilityCorrect(1, { discrimination: 1.3, difficulty: 1 })).toBeCloseTo(0.5, 12);
		expect(probabilityCorrect(-40, { discrimination: 1, difficulty: 0, guessing: 0.25 })).toBeCloseTo(0.25, 9);
	});

	it('has information equal to the squared slope over the variance, by numeric differentiation', () => {
		fc.assert(
			fc.property(fc.double({ min: -3, max: 3, noNaN: true }), fc.integer({ min: 0, max: 23 }), (theta, i) => {
				const h = 1e-5;
				const slope = (probabilityCorrect(theta + h, items[i]) - probabilityCorrect(theta - h, items[i])) / (2 * h);
				const p = probabilityCorrect(theta, items[i]);
				expect(itemInformation(theta, items[i])).toBeCloseTo(slope ** 2 / (p * (1 - p)), 6);
			})
		);
	});
});

describe('ability', () => {
	it('agrees with a posterior summed on a fine grid', () => {
		for (const seed of [1, 2, 3, 4, 5, 6]) {
			const responses = simulate(seed / 3 - 1, seed);
			const expected = fineGridPosterior(responses, 0.3, 1.1);
			const actual = estimateEap(responses, { mean: 0.3, sd: 1.1 });
			expect(actual.theta).toBeCloseTo(expected.theta, 4);
			expect(actual.standardError).toBeCloseTo(expected.standardError, 4);
		}
	});

	it('returns the prior when nothing was answered', () => {
		expect(estimateEap([], { mean: 0.4, sd: 0.9 })).toEqual({ theta: 0.4, standardError: 0.9 });
	});

	it('covers the true ability with its 95% interval in 93–97% of 1,000 simulated students', () => {
		const random = seededRandom(11);
		let covered = 0;
		for (let n = 0; n < 1_000; n++) {
			const theta = random.normal();
			const { theta: estimate, standardError } = estimateEap(simulate(theta, 1_000 + n));
			if (Math.abs(estimate - theta) < 1.96 * standardError) covered++;
		}
		expect(covered).toBeGreaterThanOrEqual(930);
		expect(covered).toBeLessThanOrEqual(970);
	});

	it('lowers the error of a domain by what the other domains say', () => {
		const responses = simulate(0.5, 8);
		const byDomain = new Map([0, 1, 2, 3].map((d) => [d, responses.filter((_, i) => i % 4 === d)]));
		const joint = estimateDomains(byDomain, { mean: 0, sd: 1 });
		for (const [domain, own] of byDomain) {
			expect(joint.get(domain)!.standardError).toBeLessThan(estimateEap(own).standardError);
		}
	});

	it('describes a domain without answers by the others, with more error', () => {
		const responses = simulate(1.5, 9);
		const joint = estimateDomains(
			new Map([
				['a', responses],
				['b', []]
			]),
			{ mean: 0, sd: 1 }
		);
		expect(joint.get('b')!.theta).toBeGreaterThan(0.3);
		expect(joint.get('b')!.standardError).toBeGreaterThan(joint.get('a')!.standardError);
	});
});

describe('scale', () => {
	it('puts 500 points at the middle of grade 4 term 2 and 25 points on a logit', () => {
		expect(toPoints(expectedTheta({ grade: 4, term: 2 }))).toBe(500);
		expect(toPoints(1)).toBe(525);
		expect(fromPoints(toPoints(-1.7))).toBeCloseTo(-1.7, 12);
	});

	it('reads back every term from its own expected median', () => {
		for (let grade = 1; grade <= 8; grade++)
			for (let term = 1; term <= 3; term++)
				expect(workingLevel(expectedTheta({ grade, term }))).toEqual({ grade, term });
		expect(workingLevel(-99)).toEqual({ grade: 1, term: 1 });
		expect(workingLevel(99)).toEqual({ grade: 8, term: 3 });
	});

	it('makes luck as likely as the number of possible answers says', () => {
		const level = { grade: 3, term: 1 };
		expect(startingParameters(level, { kind: 'choice', options: 4 }).guessing).toBe(0.25);
		expect(startingParameters(level, { kind: 'order', options: 4 }).guessing).toBeCloseTo(1 / 24, 12);
		expect(startingParameters(level, { kind: 'several', options: 4 }).guessing).toBeCloseTo(1 / 15, 12);
	});
});

describe('trust', () => {
	it('counts the share of answers at or over their threshold', () => {
		const times = [500, 2_000, 900, undefined].map((milliseconds) => ({ milliseconds }));
		expect(responseTimeEffort(times, [1_000, 1_000, 900, 1_000])).toBe(0.75);
		expect(() => responseTimeEffort(times, [1])).toThrow(RangeError);
	});

	it('gives person fit a mean near 0 and spread near 1 for fitting students at their estimated ability', () => {
		const random = seededRandom(3);
		const fits = Array.from({ length: 800 }, (_, n) => {
			const responses = simulate(random.normal() * 0.8, n);
			return personFit(responses, estimateEap(responses, { mean: 0, sd: 3 }).theta);
		});
		const mean = fits.reduce((a, b) => a + b, 0) / fits.length;
		const sd = Math.sqrt(fits.reduce((a, b) => a + (b - mean) ** 2, 0) / fits.length);
		expect(Math.abs(mean)).toBeLessThan(0.15);
		expect(sd).toBeGreaterThan(0.85);
		expect(sd).toBeLessThan(1.15);
	});

	it('finds a pattern turned upside down', () => {
		const responses = items.map((item) => ({ item, correct: item.difficulty > 0 }));
		expect(personFit(responses, estimateEap(responses).theta)).toBeLessThan(-2.33);
	});

	it('calls a change reliable beyond 1.645 errors of the difference', () => {
		const before = { score: 480, standardError: 6 };
		expect(reliableChange(before, { score: 494.2, standardError: 6 })).toMatchObject({ reliable: true });
		expect(reliableChange(before, { score: 493.9, standardError: 6 })).toMatchObject({ reliable: false });
		expect(reliableChange(before, { score: 480, standardError: 0 }).index).toBe(0);
	});

	it('flags each kind of doubt with its reason and nothing on an honest sitting', () => {
		const honest = simulate(0, 21);
		const estimate = estimateEap(honest);
		const thresholdsMs = honest.map(() => 1_000);
		const base = {
			responses: honest,
			thresholdsMs,
			estimate,
			domainsExpected: 4,
			domainsAnswered: 4,
			longestPauseMs: 0
		};
		expect(trustFlags(base)).toEqual([]);
		const doubtful = trustFlags({
			...base,
			responses: honest.map((r) => ({ ...r, milliseconds: 300 })),
			domainsAnswered: 3,
			longestPauseMs: 30 * 60_000,
			previous: { theta: estimate.theta + 3, standardError: 0.3 }
		});
		expect(doubtful.map((f) => f.flag)).toEqual(['rapid', 'interrupted', 'domainMissing', 'drop']);
		expect(doubtful[0].reason).toContain('24 of 24');
	});
});
