import { describe, expect, it } from 'vitest';
import fc from 'fast-check';
import { seededRandom } from '../random';
import {
	estimateEap,
	expectedTheta,
	fromPoints,
	itemInformation,
	probabilityCorrect,
	startingParameters,
	toPoints,
	workingLevel,
	type ScoredResponse
} from '.';
import { simulateAnswers as simulate, testItems as items } from './simulatedAnswers';

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
