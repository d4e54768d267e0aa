import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { lowerFactor } from '../../../../scripts/simulate/lowerFactor';
import { answer, four, skill, STILL } from '../../../../tests/fourSkills';
import { addDays } from '../calendar';
import { expectedTheta, probabilityCorrect } from '../measurement';
import { seededRandom } from '../random';
import type { FieldAnswer } from './changes';
import { estimateField } from './estimateField';
import { FIELD_CONSTANTS, skillField, type SkillField } from './field';

/** Means and errors of all levels by summing over a grid in every dimension of independent parts. */
function bruteForce(field: SkillField, answers: FieldAnswer[], mean: number) {
	const factor = lowerFactor(field.covariance);
	const size = factor.length;
	const nodes = Array.from({ length: 21 }, (_, n) => -5 + 0.5 * n);
	let total = 0;
	const first = Array<number>(size).fill(0);
	const second = Array<number>(size).fill(0);
	const places = answers.map(({ skill: code }) => field.placeOf.get(code)!);
	const visit = (free: number[], weight: number) => {
		if (free.length < size) {
			for (const node of nodes) visit([...free, node], weight * Math.exp(-0.5 * node * node));
			return;
		}
		const levels = Array.from(factor, (row) => mean + free.reduce((sum, value, j) => sum + row[j] * value, 0));
		const likelihood = answers.reduce((product, { item: asked, correct }, i) => {
			const right = probabilityCorrect(levels[places[i]], asked);
			return product * (correct ? right : 1 - right);
		}, weight);
		total += likelihood;
		levels.forEach((level, k) => {
			first[k] += likelihood * level;
			second[k] += likelihood * level * level;
		});
	};
	visit([], 1);
	return first.map((sum, k) => ({
		mean: sum / total,
		standardError: Math.sqrt(second[k] / total - (sum / total) ** 2)
	}));
}

describe('without changes', () => {
	it('agrees with summing over every combination of levels', () => {
		const field = skillField(four, STILL);
		const given = fc.array(
			fc.record({
				code: fc.constantFrom('A', 'B', 'C', 'D'),
				correct: fc.boolean(),
				difficulty: fc.double({ min: -1.5, max: 1.5, noNaN: true })
			}),
			{ minLength: 1, maxLength: 9 }
		);
		fc.assert(
			fc.property(given, fc.double({ min: -1, max: 1, noNaN: true }), (list, mean) => {
				const answers = list.map(({ code, correct, difficulty }) => answer(code, correct, undefined, difficulty));
				const found = estimateField(field, answers, { mean });
				bruteForce(field, answers, mean).forEach((level, k) => {
					expect(Math.abs(found.mean[k] - level.mean)).toBeLessThan(0.02);
					expect(Math.abs(found.standardError[k] - level.standardError)).toBeLessThan(0.03);
				});
			}),
			{ numRuns: 12, seed: 14 }
		);
	});

	it('agrees with a long Markov chain on the whole framework, for two students', () => {
		const framework = shippedFramework();
		const skills = framework.skills.map((one) =>
			skill(
				one.code,
				one.domain,
				expectedTheta(one),
				...framework.edges.filter((edge) => edge.skill === one.code).map((edge) => edge.prerequisite)
			)
		);
		const field = skillField(skills, STILL);
		for (const seed of [1, 2]) {
			const random = seededRandom(seed);
			const near = skills.filter(({ difficulty }) => Math.abs(difficulty) < 1.5);
			const answers = Array.from({ length: 40 }, () => {
				const { code, difficulty } = random.pick(near);
				return answer(code, random.chance(seed === 1 ? 0.4 : 0.75), undefined, difficulty);
			});
			const found = estimateField(field, answers, { mean: 0.2 });
			const chain = sampleLevels(field, answers, 0.2, seed);
			for (const k of skills.keys()) {
				expect(Math.abs(found.mean[k] - chain[k].mean)).toBeLessThan(0.05);
				expect(Math.abs(found.standardError[k] - chain[k].standardError)).toBeLessThan(0.05);
			}
		}
	}, 60_000);
});

/** Solves covariance · x = right by the covariance's lower factor. */
function solveBy(factor: Float64Array[], right: ArrayLike<number>): number[] {
	const size = factor.length;
	const x = Array.from(right);
	for (let i = 0; i < size; i++) {
		for (let j = 0; j < i; j++) x[i] -= factor[i][j] * x[j];
		x[i] /= factor[i][i];
	}
	for (let i = size - 1; i >= 0; i--) {
		for (let j = i + 1; j < size; j++) x[i] -= factor[j][i] * x[j];
		x[i] /= factor[i][i];
	}
	return x;
}

/**
 * Levels by elliptical slice sampling (Murray, Adams & MacKay 2010): a chain over the skills that have answers, the others
 * by conditioning on it.
 */
function sampleLevels(field: SkillField, answers: FieldAnswer[], mean: number, seed: number) {
	const [draws, burned, thinned] = [150_000, 2_000, 5];
	const random = seededRandom(seed);
	const walked = [...new Set(answers.map(({ skill: code }) => field.placeOf.get(code)!))];
	const size = walked.length;
	const places = answers.map(({ skill: code }) => walked.indexOf(field.placeOf.get(code)!));
	const factor = lowerFactor(walked.map((k) => walked.map((other) => field.covariance[k][other])));
	const other = new Float64Array(size);
	const free = new Float64Array(size);
	const draw = (to: Float64Array) => {
		for (let i = 0; i < size; i++) free[i] = random.normal();
		for (let i = 0; i < size; i++) {
			let sum = 0;
			for (let j = 0; j <= i; j++) sum += factor[i][j] * free[j];
			to[i] = sum;
		}
	};
	const logLikelihood = (levels: Float64Array) => {
		let product = 1;
		for (let i = 0; i < answers.length; i++) {
			const right = probabilityCorrect(mean + levels[places[i]], answers[i].item);
			product *= answers[i].correct ? right : 1 - right;
		}
		return Math.log(product);
	};
	const levels = new Float64Array(size);
	draw(levels);
	const first = new Float64Array(size);
	const second = walked.map(() => new Float64Array(size));
	const next = new Float64Array(size);
	for (let n = -burned; n < draws; n++) {
		draw(other);
		const line = logLikelihood(levels) + Math.log(1 - random.unit());
		let angle = 2 * Math.PI * random.unit();
		let [low, high] = [angle - 2 * Math.PI, angle];
		for (;;) {
			const [cos, sin] = [Math.cos(angle), Math.sin(angle)];
			for (let i = 0; i < size; i++) next[i] = levels[i] * cos + other[i] * sin;
			if (logLikelihood(next) > line) break;
			if (angle < 0) low = angle;
			else high = angle;
			angle = low + (high - low) * random.unit();
		}
		levels.set(next);
		if (n < 0 || n % thinned) continue;
		for (let i = 0; i < size; i++) {
			first[i] += levels[i];
			for (let j = 0; j <= i; j++) second[i][j] += levels[i] * levels[j];
		}
	}
	const kept = draws / thinned;
	const covarianceOf = (i: number, j: number) =>
		second[Math.max(i, j)][Math.min(i, j)] / kept - (first[i] / kept) * (first[j] / kept);
	return field.skills.map((_, k) => {
		const along = walked.map((one) => field.covariance[k][one]);
		const weights = solveBy(factor, along);
		let [level, variance] = [mean, field.covariance[k][k]];
		for (let i = 0; i < size; i++) {
			level += weights[i] * (first[i] / kept);
			variance -= weights[i] * along[i];
			for (let j = 0; j < size; j++) variance += weights[i] * weights[j] * covarianceOf(i, j);
		}
		return { mean: level, standardError: Math.sqrt(variance) };
	});
}

describe('an estimate', () => {
	const field = skillField(four);
	const on = (n: number) => addDays('2026-09-14', n);
	const given = [
		answer('A', true, on(0)),
		answer('B', false, on(0)),
		answer('B', true, on(3)),
		answer('D', false, on(3)),
		answer('A', false, on(9)),
		answer('D', true, on(40))
	];

	it('is the prior where nothing was answered', () => {
		const { mean, standardError, cavities } = estimateField(field, [], { mean: 0.7 });
		expect([...mean]).toEqual([0.7, 0.7, 0.7, 0.7]);
		standardError.forEach((error, k) => expect(error).toBeCloseTo(Math.sqrt(field.covariance[k][k]), 12));
		expect(cavities.size).toBe(0);
	});

	it('is the same however answers on different skills come between each other', () => {
		const expected = estimateField(field, given, { mean: 0 });
		const queues = () => ['A', 'B', 'D'].map((code) => given.filter(({ skill: one }) => one === code));
		fc.assert(
			fc.property(fc.array(fc.nat(2), { minLength: 20, maxLength: 20 }), (picks) => {
				const left = queues();
				const shuffled: FieldAnswer[] = [];
				for (const pick of picks) {
					const next = left[pick].shift();
					if (next) shuffled.push(next);
				}
				shuffled.push(...left.flat());
				const found = estimateField(field, shuffled, { mean: 0 });
				expect([...found.mean]).toEqual([...expected.mean]);
				expect([...found.standardError]).toEqual([...expected.standardError]);
			})
		);
	});

	it('draws neighbors and the same domain along, and strangers least', () => {
		const before = estimateField(field, [], { mean: 0 });
		const after = estimateField(field, [answer('A', true), answer('A', true)], { mean: 0 });
		const [own, neighbor, stranger] = [0, 1, 2].map((k) => after.mean[k] - before.mean[k]);
		expect(own).toBeGreaterThan(neighbor);
		expect(neighbor).toBeGreaterThan(stranger);
		expect(stranger).toBeGreaterThan(0);
		after.standardError.forEach((error, k) => expect(error).toBeLessThan(before.standardError[k]));
	});

	it('takes a score from outside as what it tells of all, or of a domain', () => {
		const whole = estimateField(field, [], { mean: 0, scores: [{ domain: null, above: 1, standardError: 0.3 }] });
		// One normal observation of g: variance times the score over variance and error.
		const expected = FIELD_CONSTANTS.general / (FIELD_CONSTANTS.general + 0.09);
		for (const mean of whole.mean) expect(mean).toBeCloseTo(expected, 9);
		const part = estimateField(field, [], { mean: 0, scores: [{ domain: 'Y', above: 1, standardError: 0.3 }] });
		expect(part.mean[2]).toBeCloseTo(1.21 / (1.21 + 0.09), 9);
		expect(part.mean[0]).toBeCloseTo(0.97 / (1.21 + 0.09), 9);
		const twice = [1, 2].map(() => ({ domain: 'Y', above: 1, standardError: 0.3 * Math.SQRT2 }));
		expect(estimateField(field, given, { mean: 0, scores: twice }).mean[2]).toBeCloseTo(
			estimateField(field, given, { mean: 0, scores: twice.slice(0, 1).map((one) => ({ ...one, standardError: 0.3 })) })
				.mean[2],
			6
		);
	});

	it('says what all else makes of a skill with answers, and takes none on a skill that it does not have', () => {
		const { cavities } = estimateField(field, given, { mean: 0 });
		const without = estimateField(
			field,
			given.filter(({ skill: code }) => code !== 'A'),
			{ mean: 0 }
		);
		expect(Math.abs(cavities.get('A')!.mean - without.mean[0])).toBeLessThan(0.03);
		expect(Math.abs(cavities.get('A')!.standardError - without.standardError[0])).toBeLessThan(0.03);
		expect(() => estimateField(field, [answer('Z', true)], { mean: 0 })).toThrow(RangeError);
	});
});
