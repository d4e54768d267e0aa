import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { lowerFactor } from '../../../../scripts/simulate/lowerFactor';
import { answer, four, STILL } from '../../../../tests/fourSkills';
import { addDays } from '../calendar';
import { probabilityCorrect } from '../measurement';
import { FIELD_CONSTANTS, skillField, type SkillField } from './field';
import { logEvidence } from './fieldEvidence';
import type { FieldAnswer } from './changes';

const code = fc.constantFrom('A', 'B', 'C', 'D');

/** The logarithm of the likelihood of answers that no change lies between, over all levels, by a plain sum. */
function bySumming(field: SkillField, answers: FieldAnswer[], mean: number): number {
	const nodes = Array.from({ length: 25 }, (_, n) => -4.8 + 0.4 * n);
	const size = field.skills.length;
	const factor = lowerFactor(field.covariance);
	let [sum, all] = [0, 0];
	for (let n = 0; n < nodes.length ** size; n++) {
		const free = Array.from({ length: size }, (_, k) => nodes[Math.floor(n / nodes.length ** k) % nodes.length]);
		const weight = Math.exp(-0.5 * free.reduce((total, value) => total + value * value, 0));
		const levels = Array.from(factor, (row) => mean + row.reduce((total, value, j) => total + value * free[j], 0));
		all += weight;
		sum += answers.reduce((product, { skill, item, correct }) => {
			const right = probabilityCorrect(levels[field.placeOf.get(skill)!], item);
			return product * (correct ? right : 1 - right);
		}, weight);
	}
	return Math.log(sum / all);
}

describe('the evidence of a student', () => {
	it('agrees with summing over every combination of levels', () => {
		const field = skillField(four, STILL);
		const given = fc.array(fc.record({ code, correct: fc.boolean() }), { minLength: 1, maxLength: 8 });
		fc.assert(
			fc.property(given, fc.double({ min: -1, max: 1, noNaN: true }), (list, mean) => {
				const answers = list.map((one) => answer(one.code, one.correct));
				expect(Math.abs(logEvidence(field, answers, { mean }) - bySumming(field, answers, mean))).toBeLessThan(0.02);
			}),
			{ numRuns: 3, seed: 14 }
		);
	});

	it('is that of a normal distribution for scores', () => {
		const field = skillField(four);
		const { general, domain } = FIELD_CONSTANTS;
		const normal = (x: number, variance: number) => -0.5 * ((x * x) / variance + Math.log(2 * Math.PI * variance));
		const one = { domain: null, above: 0.8, standardError: 0.4 };
		expect(logEvidence(field, [], { mean: 1, scores: [one] })).toBeCloseTo(normal(0.8, general + 0.16), 9);
		const other = { domain: 'Y', above: -0.3, standardError: 0.5 };
		// What the first says of the second: as in a regression.
		const slope = general / (general + 0.16);
		const left = general + domain + 0.25 - slope * general;
		expect(logEvidence(field, [], { mean: 1, scores: [one, other] })).toBeCloseTo(
			normal(0.8, general + 0.16) + normal(-0.3 - slope * 0.8, left),
			9
		);
	});

	it('of answers that came, adds up to 1 over all that could have come, changes among them', () => {
		const field = skillField(four);
		const days = [0, 1, 40].map((n) => addDays('2026-09-14', n));
		const asked = ['A', 'A', 'D'];
		let sum = 0;
		for (let which = 0; which < 8; which++) {
			const answers = asked.map((skill, t) => answer(skill, ((which >> t) & 1) === 1, days[t]));
			sum += Math.exp(logEvidence(field, answers, { mean: 0 }));
		}
		expect(sum).toBeCloseTo(1, 2);
	});
});
