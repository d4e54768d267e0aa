import { describe, expect, it } from 'vitest';
import { shareAt } from '../src/lib/core/mastery';
import { probabilityCorrect } from '../src/lib/core/measurement';
import { seededRandom } from '../src/lib/core/random';
import { Learner, LEARNING, type LearnedSkill } from './learner';

const skills: LearnedSkill[] = [
	{ code: 'A', domain: '1', difficulty: -1, prerequisites: [] },
	{ code: 'B', domain: '1', difficulty: 0, prerequisites: ['A'] },
	{ code: 'C', domain: '2', difficulty: 1, prerequisites: ['A', 'B'] }
];
const learner = (seed: number, mean = 0, hardness = 0) => new Learner(skills, mean, seededRandom(seed), () => hardness);
const average = (values: number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('a simulated learner', () => {
	it('takes a step on its day and keeps it', () => {
		const one = learner(1);
		const before = one.level('B', 9);
		one.step('B', 10);
		expect(one.level('B', 9)).toBe(before);
		expect(one.level('B', 10)).toBeCloseTo(before + LEARNING.step);
		expect(one.level('A', 10)).toBe(one.level('A', 9));
	});

	it('gains by a year of lessons what they bring, on average', () => {
		const gains = Array.from({ length: 2_000 }, (_, seed) => {
			const one = learner(seed);
			const before = one.level('A', -1);
			one.attend({ aDay: 1 / 250, days: 250 });
			return one.level('A', 250) - before;
		});
		expect(average(gains)).toBeGreaterThan(0.95);
		expect(average(gains)).toBeLessThan(1.05);
	});

	it('shows a skill only as far as what comes before it is there', () => {
		const one = learner(2);
		one.set('C', 5);
		one.set('A', 4);
		one.set('B', -LEARNING.slack);
		expect(one.way('C', 0)).toBeCloseTo(0.5, 2);
		one.set('A', -1 - LEARNING.slack);
		expect(one.way('C', 0)).toBeCloseTo(0.25, 5);
		expect(one.way('A', 0)).toBe(1);
		expect(one.share('C', 0)).toBeCloseTo(0.25 * shareAt(5, 1), 2);
	});

	it('answers by level, by the form of the day, and by how hard a family is', () => {
		const item = { discrimination: 1.2, difficulty: -1, guessing: 0.25 };
		const one = learner(3);
		const chances = Array.from({ length: 4_000 }, (_, day) => one.chance('A', item, 'family', day));
		expect(new Set(chances).size).toBe(4_000);
		const onDay = one.chance('A', item, 'family', 7);
		expect(one.chance('A', item, 'family', 7)).toBe(onDay);
		const level = one.level('A', 0);
		const spread = 0.25 + 0.75 * probabilityCorrect(level, { ...item, guessing: 0 });
		expect(Math.abs(average(chances) - spread)).toBeLessThan(0.02);
		expect(learner(3, 0, 1).chance('A', item, 'family', 7)).toBeLessThan(learner(3).chance('A', item, 'family', 7));
	});

	it('has shares that are those of its answers over days and families', () => {
		const random = seededRandom(9);
		const hardness = new Map<string, number>();
		const drawn = (family: string) => {
			if (!hardness.has(family)) hardness.set(family, LEARNING.family * random.normal());
			return hardness.get(family)!;
		};
		const one = new Learner(skills, 0.3, seededRandom(4), drawn);
		const item = { discrimination: 1.2, difficulty: 0 };
		const chances = Array.from({ length: 20_000 }, (_, day) => one.chance('B', item, `family ${day}`, day));
		expect(Math.abs(average(chances) - one.share('B', 0))).toBeLessThan(0.01);
	});
});
