import { describe, expect, it } from 'vitest';
import type { StandingNow } from '../mastery';
import { needsOf, problemFromStandings, solveGrouping } from '.';

/** 1 → 2 → 3, and 4 on its own. */
const graph = {
	skills: [1, 2, 3, 4],
	prerequisites: new Map([
		[1, []],
		[2, [1]],
		[3, [2]],
		[4, []]
	])
};
const seen = (standing: 'gap' | 'forming' | 'secure' | 'slipping', probability: number): StandingNow => ({
	standing,
	probability,
	answers: 8,
	inferred: null
});
const standings = (...list: [number, StandingNow][]) => new Map(list);

describe('needs from standings', () => {
	it('are what is missing and can be learned next: a gap behind a gap is none', () => {
		const own = standings([1, seen('secure', 0.95)], [2, seen('gap', 0.1)], [3, seen('gap', 0.05)]);
		expect([...needsOf(own, graph as never, 2)]).toEqual([[2, 0.9]]);
	});

	it('count half where one prerequisite is only forming, and weigh half as much again in tier 3', () => {
		const own = standings([1, seen('forming', 0.6)], [2, seen('gap', 0.2)]);
		const needs = needsOf(own, graph as never, 3);
		expect(needs.get(2)).toBeCloseTo(0.5 * 0.8 * 1.5, 12);
		expect(needs.get(1)).toBeCloseTo(0.4 * 1.5, 12);
	});

	it('leave out what is nearly known, and skills nothing is known of', () => {
		expect([...needsOf(standings([4, seen('forming', 0.9)]), graph as never, 2)]).toEqual([]);
	});

	it('may rest on what is only inferred, so that a new student can be placed', () => {
		const inferred: StandingNow = { standing: 'unseen', probability: 0.2, answers: 0, inferred: 'gap' };
		expect(needsOf(standings([4, inferred]), graph as never, 2).get(4)).toBeCloseTo(0.8, 12);
	});
});

describe('a problem from standings', () => {
	const student = (id: number, tier: 1 | 2 | 3, change = {}) => ({
		id,
		tier,
		classId: 1,
		standings: standings([4, seen('gap', 0.1)]),
		...change
	});
	const slots = [
		{ id: 7, tier: null, classIds: [1], busyStudentIds: [2] },
		{ id: 8, tier: 3 as const, classIds: [1, 2], busyStudentIds: [] }
	];
	const sizes = { 2: { minimum: 1, maximum: 6 }, 3: { minimum: 1, maximum: 3 } };
	const pose = (students: ReturnType<typeof student>[], pairs: never[] | object[] = []) =>
		problemFromStandings({ students, graph: graph as never, slots, sizes, pairs: pairs as never });

	it('takes free times from what classes release and from groups a student is already in', () => {
		const { students } = pose([
			student(1, 2),
			student(2, 2),
			student(3, 2, { classId: 2 }),
			student(4, 2, { classId: 9 })
		]);
		expect(students.map(({ available }) => available)).toEqual([['7', '8'], ['8'], ['8'], []]);
	});

	it('groups tier 1 students as tier 2, and keeps a tier’s own slots for it', () => {
		const problem = pose([student(1, 1), student(2, 3)]);
		expect(problem.students.map(({ tier }) => tier)).toEqual([2, 3]);
		expect(problem.slots).toEqual([{ id: '7' }, { id: '8', tier: 3 }]);
	});

	it('does not offer again what a student’s group works on', () => {
		expect(pose([student(1, 2, { currentFocusIds: [4] })]).students[0].needs).toEqual({});
	});

	it('takes over pairs only where both are chosen', () => {
		const pairs = [
			{ studentId: 1, otherId: 2, kind: 'apart' },
			{ studentId: 1, otherId: 3, kind: 'together' }
		];
		expect(pose([student(1, 2), student(2, 2)], pairs)).toMatchObject({ apart: [['1', '2']], together: [] });
	});

	it('can be solved as it stands', async () => {
		const { groups } = await solveGrouping(pose([student(1, 2), student(3, 2), student(4, 3)]));
		expect(groups.map(({ slotId, studentIds }) => [slotId, studentIds])).toEqual([
			['7', ['1', '3']],
			['8', ['4']]
		]);
	});
});
