import { describe, expect, it } from 'vitest';
import { brokenLimits, closeCalls, judgeOf, moved, movesOf, solveGrouping, worthOf, type GroupingProblem } from '.';
import { generateProblem } from './generate';

const problem: GroupingProblem = {
	students: [
		{ id: 'a', tier: 2, needs: { x: 0.9, y: 0.85 }, available: ['mon', 'tue'] },
		{ id: 'b', tier: 2, needs: { x: 0.8 }, available: ['mon', 'tue'] },
		{ id: 'c', tier: 2, needs: { x: 0.4, y: 0.7 }, available: ['mon', 'tue'] },
		{ id: 'd', tier: 2, needs: { y: 0.6 }, available: ['tue'] },
		{ id: 'e', tier: 2, needs: { y: 0.5 }, available: ['tue'] }
	],
	slots: [{ id: 'mon' }, { id: 'tue' }],
	sizes: { 2: { minimum: 1, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
	apart: [],
	together: []
};
const groups = [
	{ slotId: 'mon', focusId: 'x', studentIds: ['a', 'b'] },
	{ slotId: 'tue', focusId: 'y', studentIds: ['c', 'd'] }
];

describe('what moving a student would cost', () => {
	it('is told for each other group and for none, what breaks nothing first', () => {
		expect(movesOf(judgeOf(problem), groups, 'a')).toEqual([
			{ slotId: 'tue', change: expect.closeTo(-0.05, 12), breaks: [] },
			{ slotId: null, change: expect.closeTo(-0.9, 12), breaks: [] }
		]);
		expect(movesOf(judgeOf(problem), groups, 'e')).toEqual([
			{ slotId: 'tue', change: expect.closeTo(0.5, 12), breaks: [] },
			{
				slotId: 'mon',
				change: 0,
				breaks: [
					{ limit: 'not free', studentId: 'e', slotId: 'mon' },
					{ limit: 'no need', studentId: 'e', focusId: 'x' }
				]
			}
		]);
	});

	it('is what the grouping is worth after the move, less what it is worth now', () => {
		for (let seed = 0; seed < 20; seed++) {
			const made = generateProblem({ students: 8, slots: 3, focuses: 3 }, seed);
			const seats = made.slots.map(({ id }, s) => ({
				slotId: id,
				focusId: `focus ${s}`,
				studentIds: [made.students[s].id, made.students[s + 3].id]
			}));
			const [student] = made.students;
			for (const { slotId, change, breaks } of movesOf(judgeOf(made), seats, student.id)) {
				const after = moved(seats, student.id, slotId);
				expect(change).toBeCloseTo(worthOf(made, after) - worthOf(made, seats), 12);
				const before = brokenLimits(made, seats);
				expect(breaks).toEqual(
					brokenLimits(made, after).filter(
						(one) => !before.some((known) => JSON.stringify(known) === JSON.stringify(one))
					)
				);
			}
		}
	});

	it('names only limits that are not broken already', () => {
		const broken = [{ ...groups[0], studentIds: ['a', 'b', 'd'] }, groups[1]];
		expect(movesOf(judgeOf(problem), broken, 'b').flatMap(({ breaks }) => breaks)).not.toContainEqual({
			limit: 'not free',
			studentId: 'd',
			slotId: 'mon'
		});
	});
});

describe('students who were nearly put elsewhere', () => {
	it('are those who lose little by another group that may take them', () => {
		expect(closeCalls(problem, groups, 0.1)).toEqual([
			{ studentId: 'a', slotId: 'tue', loss: expect.closeTo(0.05, 12) }
		]);
		expect(closeCalls(problem, groups, 0.01)).toEqual([]);
		expect(closeCalls(problem, groups, 0.4).map(({ studentId }) => studentId)).toEqual(['a', 'c']);
	});

	it('are not those whose move would break a limit', () => {
		const apart = { ...problem, apart: [['a', 'd']] as [string, string][] };
		expect(closeCalls(apart, groups, 0.1)).toEqual([]);
	});

	it('lose nothing in a grouping that is the best one, so every loss is real', async () => {
		const made = generateProblem({ students: 30, slots: 5, focuses: 6 }, 4);
		const best = await solveGrouping(made, { relativeGap: 0 });
		for (const { loss, slotId, studentId } of closeCalls(made, best.groups, 0.3)) {
			const after = moved(best.groups, studentId, slotId);
			expect(brokenLimits(made, after)).toEqual([]);
			expect(best.objective - worthOf(made, after)).toBeCloseTo(loss, 9);
		}
	});
});
