import { describe, expect, it } from 'vitest';
import { check } from '../src/lib/core/items';
import { itemFamilies, itemFrom } from '../src/lib/core/items/bank';
import { seededRandom } from '../src/lib/core/random';
import { simulateAnswer, simulateLearning, simulateStudent, tellShare, type SkillLevel } from './simulatedStudent';

const levels: SkillLevel[] = [...new Set(itemFamilies.map(({ skillCode }) => skillCode))].map((code) => ({
	code,
	domainId: 1,
	grade: Number(code[1]),
	term: 2,
	prerequisites: code === 'W42' ? ['W32'] : []
}));
const student = (seed: number, shift = 0) => simulateStudent(seededRandom(seed), 4, levels, shift);

describe('simulated students', () => {
	it('answer the more right the higher their level, and the easier the question', () => {
		const share = (skillCode: string, shift: number) => {
			const familyId = itemFamilies.find((family) => family.skillCode === skillCode)!.id;
			const random = seededRandom(5);
			const answers = Array.from({ length: 400 }, (_, n) =>
				simulateAnswer(random, student(n, shift), { familyId, skillCode, seed: n }, 10)
			);
			return answers.filter(({ correct }) => correct).length / 400;
		};
		expect(share('W32', 1)).toBeGreaterThan(share('W32', 0) + 0.05);
		expect(share('W32', 0)).toBeGreaterThan(share('W62', 0) + 0.2);
	});

	it('give answers that the product judges as the simulation meant them, for every family', () => {
		const random = seededRandom(2);
		const one = student(2);
		for (const { id, skillCode } of itemFamilies) {
			for (let seed = 0; seed < 30; seed++) {
				const answer = simulateAnswer(random, one, { familyId: id, skillCode, seed }, 3, seed % 2 === 0);
				const judged = check(itemFrom(id, seed), answer.response);
				expect(judged.readable, `${id} ${seed} ${JSON.stringify(answer)}`).toBe(true);
				expect(judged.correct, `${id} ${seed} ${JSON.stringify(answer)}`).toBe(answer.correct);
				expect(judged.misconception).toBe(answer.misconception);
			}
		}
	});

	it('are right about as often as is told, and by luck alone and fast when rushing', () => {
		const share = (told: number, rushing = false) => {
			const random = seededRandom(3);
			const answers = Array.from({ length: 400 }, (_, seed) => {
				const one = { ...student(seed), rushing };
				tellShare(one, 'W32', told);
				return simulateAnswer(random, one, { familyId: 'facts', skillCode: 'W32', seed }, 200);
			});
			if (rushing) expect(Math.max(...answers.map(({ milliseconds }) => milliseconds))).toBeLessThan(2_000);
			return answers.filter(({ correct }) => correct).length / 400;
		};
		expect(share(0.9)).toBeGreaterThan(0.75);
		expect(share(0.6)).toBeLessThan(share(0.9) - 0.15);
		expect(share(0.1)).toBeLessThan(0.25);
		expect(share(0.9, true)).toBeLessThan(0.1);
	});

	it('come a step further with the chance they have, less where what comes before is missing', () => {
		const steps = (before: number) => {
			const random = seededRandom(4);
			return Array.from({ length: 2_000 }, () => {
				const one = { ...student(7), learning: 0.3 };
				tellShare(one, 'W32', before);
				const level = one.learner.level('W42', 1);
				simulateLearning(random, one, 'W42', 1);
				return one.learner.level('W42', 1) > level;
			}).filter(Boolean).length;
		};
		expect(steps(0.99) / 2_000).toBeGreaterThan(0.26);
		expect(steps(0.99) / 2_000).toBeLessThan(0.34);
		expect(steps(0.05) / 2_000).toBeLessThan(0.1);
	});
});
