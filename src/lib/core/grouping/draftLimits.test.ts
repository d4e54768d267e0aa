import { describe, expect, it } from 'vitest';
import { isSameProblem, usualLimits, withLimits, type GroupingProblem } from '.';

const problem: GroupingProblem = {
	students: ['a', 'b', 'c'].map((id) => ({ id, tier: 2, needs: { x: 0.5 }, available: ['s', 't'] })),
	slots: [{ id: 's' }, { id: 't' }],
	sizes: { 2: { minimum: 1, maximum: 3 }, 3: { minimum: 1, maximum: 2 } },
	apart: [['a', 'b']],
	together: []
};

describe('the limits of a draft', () => {
	it('begin with every time and student, and change nothing but what staying is worth', () => {
		expect(withLimits(problem, usualLimits(problem))).toEqual({ ...problem, keepWorth: 0.1 });
	});

	it('leave times and students out, and set how many groups, how large, and who must be apart', () => {
		const limited = withLimits(problem, {
			...usualLimits(problem),
			slotIds: ['t'],
			excludedIds: ['c'],
			mostGroups: 1,
			sizes: { 2: { minimum: 2, maximum: 2 }, 3: { minimum: 1, maximum: 2 } },
			apart: [],
			together: [['a', 'b']]
		});
		expect(limited.slots).toEqual([{ id: 't' }]);
		expect(limited.students.map(({ available }) => available)).toEqual([['t'], ['t'], []]);
		expect(limited).toMatchObject({ mostGroups: 1, apart: [], together: [['a', 'b']] });
		expect(limited.sizes[2].maximum).toBe(2);
	});

	it('pass over students and times that are there no more', () => {
		const limits = { ...usualLimits(problem), slotIds: ['s', 'gone'], apart: [['a', 'gone']] as [string, string][] };
		expect(withLimits(problem, limits)).toMatchObject({ slots: [{ id: 's' }], apart: [] });
	});

	it('are not those of the problem itself: changing one leaves the other', () => {
		usualLimits(problem).sizes[2].maximum = 9;
		expect(problem.sizes[2].maximum).toBe(3);
	});
});

describe('two problems', () => {
	it('are the same when they ask the same, in whatever order needs are written', () => {
		const written = structuredClone(problem);
		written.students[0].needs = { y: 0.2, x: 0.5 };
		const otherwise = structuredClone(written);
		otherwise.students[0].needs = { x: 0.5, y: 0.2 };
		expect(isSameProblem(written, otherwise)).toBe(true);
	});

	it('differ by a need, a time, a size, a pair, or how many groups may be formed', () => {
		const changes: ((one: GroupingProblem) => void)[] = [
			(one) => (one.students[1].needs.x = 0.51),
			(one) => one.students[1].available.pop(),
			(one) => (one.sizes[3].maximum = 3),
			(one) => one.together.push(['b', 'c']),
			(one) => (one.mostGroups = 1),
			(one) => (one.slots[0].tier = 3)
		];
		for (const change of changes) {
			const other = structuredClone(problem);
			change(other);
			expect(isSameProblem(problem, other)).toBe(false);
		}
	});
});
