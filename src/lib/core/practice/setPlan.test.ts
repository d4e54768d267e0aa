import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { MOST_PICKED, MOST_SKILLS, questionsFor, setsOf, shareOut } from './setPlan';

describe('questions given out over skills', () => {
	const counts = fc.array(fc.integer({ min: 0, max: 20 }), { minLength: 1, maxLength: 6 });

	it('are all given, each share within one of what is exact, and each skill has one where there are enough', () => {
		fc.assert(
			fc.property(counts, fc.integer({ min: 0, max: 40 }), (skills, questions) => {
				const shares = shareOut(questions, skills);
				expect(shares.reduce((sum, share) => sum + share, 0)).toBe(questions);
				if (questions >= skills.length) expect(Math.min(...shares)).toBeGreaterThanOrEqual(1);
				else expect(Math.min(...shares)).toBeGreaterThanOrEqual(0);
				const total = skills.reduce((sum, count) => sum + count, 0);
				if (total === 0) return;
				// A skill that was raised to one takes at most one from each other.
				for (const [i, share] of shares.entries())
					expect(Math.abs(share - (questions * skills[i]) / total)).toBeLessThan(skills.length);
			})
		);
	});

	it.each([
		[10, [5, 5, 5], [4, 3, 3]],
		[6, [8, 2], [5, 1]],
		[3, [10, 1, 1], [1, 1, 1]],
		[2, [3, 3, 3], [1, 1, 0]],
		[5, [0], [5]]
	])('%i over %j', (questions, skills, shares) => {
		expect(shareOut(questions, skills)).toEqual(shares);
	});

	it('cannot be given to nothing', () => {
		expect(() => shareOut(3, [])).toThrow(RangeError);
	});
});

it('a set has its questions with help, its checks and the older ones', () => {
	const skills = [
		{ skillId: 1, practice: 6, checks: 2, hasExample: true },
		{ skillId: 2, practice: 2, checks: 0, hasExample: false }
	];
	expect(questionsFor(skills, { older: 2 }, { practice: null })).toBe(12);
	expect(questionsFor(skills, { older: 2 }, { practice: 4 })).toBe(8);
});

describe('skills that are picked at once', () => {
	it('are one set while a set has room for them, else several of two or three, each skill in one, in their order', () => {
		for (let count = 1; count <= MOST_PICKED; count++) {
			const skills = Array.from({ length: count }, (_, i) => i);
			const sets = setsOf(skills);
			expect(sets.flat()).toEqual(skills);
			if (count <= MOST_SKILLS) expect(sets).toHaveLength(1);
			else for (const set of sets) expect([2, 3]).toContain(set.length);
		}
	});
});
