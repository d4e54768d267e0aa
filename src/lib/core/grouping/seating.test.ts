import { describe, expect, it } from 'vitest';
import { brokenLimits, needMet, type Group } from '.';
import { generateProblem } from './generate';
import { indexProblem, type GroupingProblem } from './problem';
import { Seating } from './seating';
import { tableOf } from './seats';

/** Four of tier 2 with one focus, and two slots for groups of two to three. */
const small: GroupingProblem = {
	students: ['a', 'b', 'c', 'd'].map((id, i) => ({
		id,
		tier: 2,
		needs: { x: 0.9 - 0.1 * i, y: 0.2 * i },
		available: ['s', 't']
	})),
	slots: [{ id: 's' }, { id: 't' }],
	sizes: { 2: { minimum: 2, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
	apart: [],
	together: []
};
const seatingFor = (source: GroupingProblem) => new Seating(tableOf(indexProblem(source)));
const groupsOf = (seating: Seating, source: GroupingProblem): Group[] =>
	seating.seats.flatMap((units, slot) => {
		const option = seating.table.options[seating.chosen[slot]];
		if (!option) return [];
		return [
			{
				slotId: source.slots[slot].id,
				focusId: seating.table.problem.focusIds[option.focus],
				studentIds: units.flatMap((unit) => seating.table.units[unit].members.map((i) => source.students[i].id))
			}
		];
	});

describe('the table of a grouping problem', () => {
	it('holds only groups that enough students could sit in, most needing first', () => {
		const { options } = tableOf(indexProblem({ ...small, students: small.students.slice(0, 2) }));
		// Of the first two only one needs y at all, and a group takes two.
		expect(options.map(({ slot, focus, units }) => [slot, focus, units])).toEqual([
			[0, 0, [0, 1]],
			[1, 0, [0, 1]]
		]);
	});

	it('keeps students who belong together as one unit, and leaves out those who never can sit so', () => {
		const together = tableOf(indexProblem({ ...small, together: [['a', 'd']] }));
		expect(together.units.map(({ members }) => members)).toEqual([[0, 3], [1], [2]]);
		expect([...together.sizes]).toEqual([2, 1, 1]);
		const torn = tableOf(indexProblem({ ...small, together: [['a', 'd']], apart: [['a', 'd']] }));
		expect(torn.units.map(({ members }) => members)).toEqual([[1], [2]]);
	});
});

describe('a seating', () => {
	it('holds a group with those who gain most by it, and nothing when too few can sit', () => {
		const seating = seatingFor(small);
		expect(seating.hold(seating.table.optionsOf[0][0], false)).toBe(true);
		expect(seating.seats[0]).toEqual([0, 1, 2]);
		// Only one is left for the other slot.
		expect(seating.hold(seating.table.optionsOf[1][0], false)).toBe(false);
		expect(seating.chosen[1]).toBe(-1);
		expect(seating.worth()).toBeCloseTo(0.9 + 0.8 + 0.7, 12);
	});

	it('takes from another group where that is worth it and leaves it large enough', () => {
		const seating = seatingFor({
			...small,
			students: small.students.map((student) => {
				if (student.id === 'c') return { ...student, needs: { x: 0.1, y: 0.9 } };
				return student.id === 'd' ? { ...student, needs: { x: 0.6, y: 0.8 } } : student;
			})
		});
		const focus = (slot: number, id: string) =>
			seating.table.optionsOf[slot].find(
				(option) => seating.table.problem.focusIds[seating.table.options[option].focus] === id
			)!;
		seating.hold(focus(0, 'x'), false);
		expect(seating.seats[0]).toEqual([0, 1, 3]);
		expect(seating.hold(focus(1, 'y'), true)).toBe(true);
		expect(seating.seats).toEqual([
			[0, 1],
			[2, 3]
		]);
	});

	it('breaks no limit, whatever is held, filled and settled, and counts its worth right', () => {
		for (let seed = 0; seed < 120; seed++) {
			const source = generateProblem(
				{ students: 6 + (seed % 30), slots: 2 + (seed % 6), focuses: 3 + (seed % 8) },
				seed
			);
			const seating = seatingFor(source);
			seating.fill();
			const filled = seating.worth();
			seating.settle();
			expect(brokenLimits(source, groupsOf(seating, source)), `problem ${seed}`).toEqual([]);
			expect(seating.worth()).toBeGreaterThanOrEqual(filled - 1e-9);
			expect(seating.worth()).toBeCloseTo(needMet(source, groupsOf(seating, source)), 9);
			const settled = seating.worth();
			while (seating.rotate());
			expect(seating.worth()).toBeGreaterThanOrEqual(settled - 1e-9);
			expect(brokenLimits(source, groupsOf(seating, source)), `problem ${seed}`).toEqual([]);
		}
	});
});
