import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { ItemParameters, ScoredResponse } from '../measurement';
import { seededRandom } from '../random';
import { chanceOfAtMost, type TryInWork, unexpectedAnswers } from './unexpectedAnswers';

type Random = ReturnType<typeof seededRandom>;
type Fault = 'none' | 'wrong key' | 'two right answers';

/**
 * A set that a class answers, in a world that is not the model's: chances follow a normal ogive with slips, questions are
 * harder or easier than is thought, and wrong answers crowd on a few.
 *
 * @returns the answers to its first question, with how it is thought to be
 */
function answered(random: Random, { fault, isChoice }: { fault: Fault; isChoice: boolean }) {
	const [students, questions] = [22, 8];
	const guessing = isChoice ? 0.25 : 0;
	const thought = (): ItemParameters => ({ discrimination: 1, difficulty: 0.6 * random.normal(), guessing });
	const items = Array.from({ length: questions }, () => {
		const parameters = thought();
		return { parameters, real: parameters.difficulty + 0.7 * random.normal() };
	});
	// Which wrong answers are near: a few take most, and some of these are known ideas.
	const lures = Array.from({ length: isChoice ? 3 : 6 }, (_, n) => ({
		said: `wrong ${n}`,
		weight: -Math.log(random.unit()),
		isKnownIdea: random.chance(isChoice ? 0.7 : 0.5)
	}));
	const weights = lures.reduce((sum, { weight }) => sum + weight, 0);
	const lure = () => {
		let left = random.unit() * weights;
		return lures.find(({ weight }) => (left -= weight) <= 0) ?? lures[0];
	};
	const tries = Array.from({ length: students }, (): TryInWork => {
		const able = random.normal();
		const isRight = (real: number) =>
			able - real + 0.6 * random.normal() > 0.8 * random.normal() ? !random.chance(0.05) : random.chance(guessing);
		const rest: ScoredResponse[] = items
			.slice(1)
			.map(({ parameters, real }) => ({ item: parameters, correct: isRight(real) }));
		const right = isRight(items[0].real);
		const wrong = lure();
		if (!right) return { correct: false, said: wrong.said, isKnownIdea: wrong.isKnownIdea, rest };
		const isOther = fault === 'wrong key' || (fault === 'two right answers' && random.chance(0.5));
		return { correct: !isOther, said: isOther ? 'other' : 'key', isKnownIdea: false, rest };
	});
	return { tries, question: { parameters: items[0].parameters, usual: 0 } };
}

/** Of so many questions, how many are found. */
function share(fault: Fault, isChoice: boolean, count: number): number {
	const random = seededRandom(7);
	const found = Array.from({ length: count }, () => {
		const { tries, question } = answered(random, { fault, isChoice });
		return unexpectedAnswers(tries, question);
	});
	return found.filter(Boolean).length / count;
}

const easy: ItemParameters = { discrimination: 1, difficulty: -1, guessing: 0 };
const rest = (right: number, of: number): ScoredResponse[] =>
	Array.from({ length: of }, (_, n) => ({ item: { ...easy, difficulty: 0 }, correct: n < right }));
const tryOf = (said: string, own: ScoredResponse[], isKnownIdea = false): TryInWork => ({
	...{ correct: said === 'key', said, isKnownIdea, rest: own }
});
const many = (count: number, one: TryInWork) => Array.from({ length: count }, () => one);

describe('answers that are unexpected', () => {
	it.each([
		[false, { sound: 0.025, key: 0.7, two: 0.25 }],
		[true, { sound: 0.025, key: 0.7, two: 0.3 }]
	])('are seldom seen where a question is sound, mostly where its key is wrong (choice: %s)', (isChoice, most) => {
		expect(share('none', isChoice, 2_000)).toBeLessThan(most.sound);
		expect(share('wrong key', isChoice, 500)).toBeGreaterThan(most.key);
		expect(share('two right answers', isChoice, 500)).toBeGreaterThan(most.two);
	});

	it('are those of students who do well otherwise and were wrong', () => {
		const tries = [...many(8, tryOf('32', rest(9, 9), true)), ...many(4, tryOf('31', rest(1, 9), true))];
		expect(unexpectedAnswers(tries, { parameters: easy, usual: 0 })).toMatchObject({
			...{ why: 'strong students wrong', strong: 8, right: 0 }
		});
		// The same answers of students who do badly otherwise are nothing to wonder at.
		const weak = [...many(8, tryOf('32', rest(2, 9), true)), ...many(4, tryOf('key', rest(9, 9)))];
		expect(unexpectedAnswers(weak, { parameters: easy, usual: 0 })).toBeNull();
	});

	it('are one wrong answer of many who are no weaker, unless the idea behind it is known', () => {
		const hard = { parameters: { ...easy, difficulty: 2 }, usual: 0 };
		const tries = (isKnown: boolean) => [
			...many(5, tryOf('32', rest(7, 9), isKnown)),
			...many(6, tryOf('key', rest(6, 9))),
			...many(6, tryOf('7', rest(1, 9), true))
		];
		expect(unexpectedAnswers(tries(false), hard)).toEqual({
			why: 'one wrong answer',
			said: '32',
			students: 5,
			right: 6
		});
		expect(unexpectedAnswers(tries(true), hard)).toBeNull();
		expect(unexpectedAnswers(tries(false).slice(1), hard)).toBeNull();
		const notYet = many(6, { ...tryOf('x', rest(7, 9)), said: null });
		expect(unexpectedAnswers([...notYet, ...many(3, tryOf('key', rest(3, 9)))], hard)).toBeNull();
	});

	it('are nothing where nobody answered, or nothing else is known of them', () => {
		expect(unexpectedAnswers([], { parameters: easy, usual: 0 })).toBeNull();
		expect(unexpectedAnswers(many(9, tryOf('32', [], true)), { parameters: easy, usual: 0 })).toBeNull();
	});
});

describe('the chance that at most so many of some events happen', () => {
	it('is that of all outcomes with so many, whatever their chances are', () => {
		fc.assert(
			fc.property(
				fc.array(fc.double({ min: 0, max: 1, noNaN: true }), { maxLength: 8 }),
				fc.nat(8),
				(chances, most) => {
					let sum = 0;
					for (let outcome = 0; outcome < 2 ** chances.length; outcome++) {
						const happens = chances.map((_, n) => Boolean(outcome & (1 << n)));
						if (happens.filter(Boolean).length > most) continue;
						sum += chances.reduce((product, chance, n) => product * (happens[n] ? chance : 1 - chance), 1);
					}
					expect(chanceOfAtMost(most, chances)).toBeCloseTo(sum, 9);
				}
			)
		);
	});
});
