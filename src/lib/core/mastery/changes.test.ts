import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { answer, four, STILL } from '../../../../tests/fourSkills';
import { addDays } from '../calendar';
import { probabilityCorrect } from '../measurement';
import { answerTrail, chanceOfChange, followAnswers, type FieldAnswer } from './changes';
import { estimateField } from './estimateField';
import { FIELD_CONSTANTS, skillField } from './field';
import { GRID, levelOf, weigh } from './levelGrid';

describe('changes', () => {
	const day = (n: number) => addDays('2026-09-14', n);

	it('are the likelier the more lies between', () => {
		const { change } = FIELD_CONSTANTS;
		expect(chanceOfChange(day(0), day(0), change)).toBe(0.01);
		expect(chanceOfChange(day(0), day(1), change)).toBe(0.08);
		expect(chanceOfChange(day(0), day(27), change)).toBe(0.08);
		expect(chanceOfChange(day(0), day(28), change)).toBe(0.2);
	});

	it('give the message that a sum over all sequences of changes gives', () => {
		const given = fc.array(fc.record({ correct: fc.boolean(), later: fc.constantFrom(0, 1, 40) }), {
			minLength: 1,
			maxLength: 7
		});
		const around = { mean: 0.4, standardError: 0.9 };
		const weights = weigh(around, new Float64Array(GRID.length));
		fc.assert(
			fc.property(given, (steps) => {
				let on = 0;
				const answers = steps.map(({ correct, later }, i) => {
					on += i ? later : 0;
					return answer('A', correct, day(on), 0.2 * i);
				});
				const trail = answerTrail(answers, 0, FIELD_CONSTANTS.change);
				const message = followAnswers(trail, weights);
				const summed = new Float64Array(GRID.length);
				// A sequence says before which answers the level started afresh: only the last stretch tells of the level now.
				for (let sequence = 0; sequence < 1 << (answers.length - 1); sequence++) {
					let chance = 1;
					const stretches: FieldAnswer[][] = [[answers[0]]];
					for (let t = 1; t < answers.length; t++) {
						const isAfresh = ((sequence >> (t - 1)) & 1) === 1;
						const change = chanceOfChange(answers[t - 1].on, answers[t].on, FIELD_CONSTANTS.change);
						chance *= isAfresh ? change : 1 - change;
						if (isAfresh) stretches.push([answers[t]]);
						else stretches.at(-1)!.push(answers[t]);
					}
					const likely = (stretch: FieldAnswer[], theta: number) =>
						stretch.reduce((product, { item: asked, correct }) => {
							const right = probabilityCorrect(theta, asked);
							return product * (correct ? right : 1 - right);
						}, 1);
					const past = stretches
						.slice(0, -1)
						.reduce(
							(product, stretch) =>
								product * GRID.reduce((sum, theta, n) => sum + weights[n] * likely(stretch, theta), 0),
							chance
						);
					GRID.forEach((theta, n) => (summed[n] += past * likely(stretches.at(-1)!, theta)));
				}
				const peak = Math.max(...summed);
				GRID.forEach((_, n) => expect(message[n]).toBeCloseTo(summed[n] / peak, 9));
			}),
			{ numRuns: 60 }
		);
	});

	it('let a student who learned after twenty failures be seen', () => {
		const answers = Array.from({ length: 32 }, (_, n) => answer('A', n >= 20, day(n >> 1)));
		const level = (list: FieldAnswer[], constants = FIELD_CONSTANTS) =>
			estimateField(skillField(four, constants), list, { mean: 0 }).mean[0];
		expect(level(answers.slice(0, 20))).toBeLessThan(-1.5);
		expect(level(answers)).toBeGreaterThan(0.8);
		expect(level(answers, STILL)).toBeLessThan(0);
	});
});

describe('a level on the grid', () => {
	it('has the mean and error that it was written with', () => {
		const flat = new Float64Array(GRID.length).fill(1);
		const { mean, standardError } = levelOf(
			weigh({ mean: 0.37, standardError: 0.41 }, new Float64Array(GRID.length)),
			flat
		);
		expect(mean).toBeCloseTo(0.37, 9);
		expect(standardError).toBeCloseTo(0.41, 9);
	});
});
