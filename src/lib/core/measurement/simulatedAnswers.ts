import { seededRandom } from '../random';
import { probabilityCorrect, type ItemParameters, type ScoredResponse } from './itemResponse';

/** Items for tests: 24 from −2 to 2 logits, of different discrimination, a third of them to be guessed. */
export const testItems: ItemParameters[] = Array.from({ length: 24 }, (_, i) => ({
	discrimination: 0.8 + (i % 5) * 0.2,
	difficulty: -2 + (4 * i) / 23,
	guessing: i % 3 === 0 ? 0.25 : 0
}));

/** Answers to all of them by a student of an ability, each in nine seconds. */
export function simulateAnswers(theta: number, seed: number): ScoredResponse[] {
	const random = seededRandom(seed);
	return testItems.map((item) => ({
		item,
		correct: random.chance(probabilityCorrect(theta, item)),
		milliseconds: 9_000
	}));
}
