import { describe, expect, it } from 'vitest';
import { check, itemFamilies, itemFrom } from '../src/lib/core/items';
import { seededRandom } from '../src/lib/core/random';
import { simulateAnswer, simulateLearning, simulateStudent, type SkillLevel } from './simulatedStudent';

const levels: SkillLevel[] = [
	{ code: 'A', domainId: 1, grade: 3, term: 1, prerequisites: [] },
	{ code: 'B', domainId: 1, grade: 4, term: 2, prerequisites: ['A'] },
	{ code: 'C', domainId: 1, grade: 7, term: 3, prerequisites: ['B'] }
];

describe('simulated students', () => {
	it('know no skill without its prerequisites, and more the higher their level', () => {
		const known = (shift: number) => {
			const random = seededRandom(1);
			return Array.from({ length: 300 }, () => simulateStudent(random, { grade: 4, term: 2 }, levels, shift).known);
		};
		for (const skills of known(0)) {
			if (skills.has('B')) expect(skills.has('A')).toBe(true);
			if (skills.has('C')) expect(skills.has('B')).toBe(true);
		}
		const sum = (shift: number) => known(shift).reduce((total, skills) => total + skills.size, 0);
		expect(sum(1)).toBeGreaterThan(sum(0));
	});

	it('give answers that the product judges as the simulation meant them, for every family', () => {
		const random = seededRandom(2);
		for (const { id, skillCode } of itemFamilies) {
			for (let seed = 0; seed < 30; seed++) {
				const student = { known: new Set(seed % 2 ? [skillCode] : []), learning: 0, rushing: false };
				const answer = simulateAnswer(random, student, { familyId: id, skillCode, seed });
				const judged = check(itemFrom(id, seed), answer.response);
				expect(judged.readable, `${id} ${seed} ${JSON.stringify(answer)}`).toBe(true);
				expect(judged.correct, `${id} ${seed} ${JSON.stringify(answer)}`).toBe(answer.correct);
				expect(judged.misconception).toBe(answer.misconception);
			}
		}
	});

	it('are mostly right on what they know, seldom on what they do not, and fast when rushing', () => {
		const random = seededRandom(3);
		const share = (known: string[], rushing = false) => {
			const answers = Array.from({ length: 400 }, (_, seed) =>
				simulateAnswer(
					random,
					{ known: new Set(known), learning: 0, rushing },
					{ familyId: 'facts', skillCode: 'W32', seed }
				)
			);
			if (rushing) expect(Math.max(...answers.map(({ milliseconds }) => milliseconds))).toBeLessThan(2_000);
			return answers.filter(({ correct }) => correct).length / 400;
		};
		expect(share(['W32'])).toBeGreaterThan(0.88);
		expect(share([])).toBeLessThan(0.15);
		expect(share(['W32'], true)).toBeLessThan(0.1);
	});

	it('learn a skill with the chance they have', () => {
		const random = seededRandom(4);
		let learned = 0;
		for (let n = 0; n < 2_000; n++) {
			const student = { known: new Set<string>(), learning: 0.3, rushing: false };
			simulateLearning(random, student, 'A');
			if (student.known.has('A')) learned++;
		}
		expect(learned / 2_000).toBeGreaterThan(0.26);
		expect(learned / 2_000).toBeLessThan(0.34);
	});
});
