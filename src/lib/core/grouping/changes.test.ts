import { describe, expect, it } from 'vitest';
import { changesSince, draftFigures, type GroupingProblem } from '.';

const problem = (needs: Record<string, number>[]): GroupingProblem => ({
	students: needs.map((own, i) => ({ id: 'abc'[i], tier: 2, needs: own, available: ['s', 't'] })),
	slots: [{ id: 's' }, { id: 't' }],
	sizes: { 2: { minimum: 1, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
	apart: [],
	together: []
});
const groups = [
	{ slotId: 's', focusId: 'x', studentIds: ['a', 'b'] },
	{ slotId: 't', focusId: 'y', studentIds: ['c'] }
];

describe('what has changed for a draft', () => {
	it('are needs for the focus of a group that are others by now, the largest loss first', () => {
		const then = problem([{ x: 0.9 }, { x: 0.5 }, { y: 0.6 }]);
		const now = problem([{ x: 0.65 }, { x: 0.52 }, { y: 0, x: 0.7 }]);
		expect(changesSince(then, now, groups)).toEqual([
			{ studentId: 'c', focusId: 'y', before: 0.6, now: 0, rather: 'x' },
			{ studentId: 'a', focusId: 'x', before: 0.9, now: 0.65, rather: null }
		]);
	});

	it('is a need that has grown, too', () => {
		expect(changesSince(problem([{ x: 0.3 }, {}, {}]), problem([{ x: 0.8 }, {}, {}]), groups)).toEqual([
			{ studentId: 'a', focusId: 'x', before: 0.3, now: 0.8, rather: null }
		]);
	});

	it('is nothing when nothing has happened', () => {
		const same = problem([{ x: 0.9 }, { x: 0.5 }, { y: 0.6 }]);
		expect(changesSince(same, same, groups)).toEqual([]);
	});
});

describe('a draft in figures', () => {
	const made = problem([{ x: 0.9 }, { x: 0.5 }, { y: 0.6 }]);

	it('counts groups, students once, need met, staff time, and who is moved', () => {
		const current = [
			{ slotId: 's', focusId: 'x', studentIds: ['a', 'c'] },
			{ slotId: 'u', focusId: 'x', studentIds: ['b'] }
		];
		expect(
			draftFigures(made, groups, { worth: 2, bound: 2.5 }, (slotId) => (slotId === 's' ? 90 : 60), current)
		).toEqual({
			groups: 2,
			students: 3,
			needMet: expect.closeTo(2, 12),
			gap: expect.closeTo(0.2, 12),
			moved: 2,
			staffMinutes: 150
		});
	});

	it('leaves out groups that nobody is in', () => {
		const figures = draftFigures(
			made,
			[{ slotId: 's', focusId: 'x', studentIds: [] }],
			{ worth: 0, bound: 0 },
			() => 30,
			[]
		);
		expect(figures).toEqual({ groups: 0, students: 0, needMet: 0, gap: 0, moved: 0, staffMinutes: 0 });
	});
});
