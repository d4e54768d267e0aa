import { describe, expect, it } from 'vitest';
import { generateProblem } from './generate';
import { arrange, worth, type Arrangement } from './arrangement';
import { writeProgram, type IntegerProgram } from './integerProgram';
import { indexProblem } from './problem';

/** An arrangement as values of the program's columns. */
function valuesOf({ holds, sits }: IntegerProgram, arrangement: Arrangement): number[] {
	const held = holds.map(({ slot, tier, focus }) =>
		arrangement[slot]?.tier === tier && arrangement[slot].focus === focus ? 1 : 0
	);
	const seated = sits.map(({ student, hold }) =>
		held[hold] && arrangement[holds[hold].slot]!.members.includes(student) ? 1 : 0
	);
	return [...held, ...seated];
}
const brokenRows = ({ rows }: IntegerProgram, values: number[]) =>
	rows.filter(({ columns, values: factors, lower, upper }) => {
		const sum = columns.reduce((total, column, i) => total + factors[i] * values[column], 0);
		return sum < lower - 1e-9 || sum > upper + 1e-9;
	});

describe('the integer program', () => {
	it('is kept by every arrangement that breaks no limit, and counts its worth', () => {
		for (let seed = 0; seed < 60; seed++) {
			const problem = indexProblem(
				generateProblem({ students: 5 + (seed % 25), slots: 1 + (seed % 5), focuses: 2 + (seed % 6) }, 700 + seed)
			);
			const program = writeProgram(problem);
			const arrangement = arrange(problem);
			const values = valuesOf(program, arrangement);
			expect(brokenRows(program, values), `problem ${seed}`).toEqual([]);
			const counted = program.cost.reduce((sum, cost, i) => sum + cost * values[i], 0);
			expect(counted).toBeCloseTo(worth(problem, arrangement), 9);
		}
	});

	const source = {
		students: ['a', 'b', 'c', 'd'].map((id) => ({ id, tier: 2 as const, needs: { x: 0.5 }, available: ['s', 't'] })),
		slots: [{ id: 's' }, { id: 't' }],
		sizes: { 2: { minimum: 2, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
		apart: [['a', 'b']] as [string, string][],
		together: [['c', 'd']] as [string, string][]
	};
	const program = writeProgram(indexProblem(source));
	const seating = (members: number[]) => ({ focus: 0, tier: 2 as const, members });

	it.each([
		['a group that is too small', [seating([0]), null]],
		['a group that is too large', [seating([0, 1, 2, 3]), null]],
		['students together who must be apart', [seating([0, 1]), null]],
		['students apart who must be together', [seating([0, 2]), null]],
		['a student in two groups', [seating([0, 2, 3]), seating([1, 2, 3])]]
	] as [string, Arrangement][])('is broken by %s', (_, arrangement) => {
		expect(brokenRows(program, valuesOf(program, arrangement)).length).toBeGreaterThan(0);
	});

	it('is kept by the grouping that it allows', () => {
		expect(brokenRows(program, valuesOf(program, [seating([0, 2, 3]), null]))).toEqual([]);
	});
});
