import { describe, expect, it } from 'vitest';
import { brokenLimits, needMet, solveGrouping, whatWouldPlace, type GroupingProblem } from '.';
import { generateProblem } from './generate';

const student = (id: string, needs: Record<string, number>, change: object = {}) => ({
	id,
	tier: 2 as const,
	needs,
	available: ['mon'],
	...change
});
const problem: GroupingProblem = {
	students: [
		student('a', { x: 0.9 }),
		student('b', { x: 0.8 }),
		student('c', { x: 0.5, y: 0.9 }),
		student('d', { x: 0.4, y: 0.8 }),
		student('e', { y: 0.1 })
	],
	slots: [{ id: 'mon' }],
	sizes: { 2: { minimum: 2, maximum: 2 }, 3: { minimum: 1, maximum: 2 } },
	apart: [],
	together: []
};
const groups = [{ slotId: 'mon', focusId: 'x', studentIds: ['a', 'b'] }];
const everybody = ['a', 'b', 'c', 'd', 'e'];

describe('what one more meeting time would bring', () => {
	it('is the group of students without one that meets most need, the best time first', () => {
		const found = whatWouldPlace(problem, groups, [
			{ id: 'wed', availableIds: ['c', 'e'] },
			{ id: 'tue', availableIds: everybody },
			{ id: 'thu', availableIds: ['a', 'e'] }
		]);
		expect(found).toEqual([
			{ slotId: 'tue', focusId: 'y', tier: 2, studentIds: ['c', 'd'], worth: expect.closeTo(1.7, 12) },
			{ slotId: 'wed', focusId: 'y', tier: 2, studentIds: ['c', 'e'], worth: expect.closeTo(1, 12) }
		]);
	});

	it('keeps who must be apart apart, and does not tear who belongs together', () => {
		const possible = [{ id: 'tue', availableIds: everybody }];
		const apart = whatWouldPlace({ ...problem, apart: [['c', 'd']] }, groups, possible);
		expect(apart[0].studentIds).toEqual(['c', 'e']);
		const torn = whatWouldPlace({ ...problem, together: [['a', 'c']] }, groups, possible);
		expect(torn[0].studentIds).toEqual(['d', 'e']);
	});

	it('can be held: with that time and those students the grouping keeps every limit and is worth so much more', async () => {
		let found = 0;
		for (let seed = 0; seed < 12; seed++) {
			const made = generateProblem({ students: 40, slots: 3, focuses: 6 }, seed);
			const solved = await solveGrouping(made, { relativeGap: 0.05 });
			const availableIds = made.students.filter((_, i) => i % 3 !== seed % 3).map(({ id }) => id);
			for (const { tier: _, worth, ...group } of whatWouldPlace(made, solved.groups, [{ id: 'more', availableIds }])) {
				found++;
				const wider = {
					...made,
					slots: [...made.slots, { id: 'more' }],
					students: made.students.map((one) =>
						availableIds.includes(one.id) ? { ...one, available: [...one.available, 'more'] } : one
					)
				};
				const grown = [...solved.groups, group];
				expect(brokenLimits(wider, grown)).toEqual([]);
				expect(needMet(wider, grown) - needMet(made, solved.groups)).toBeCloseTo(worth, 9);
			}
		}
		expect(found).toBeGreaterThan(6);
	});
});
