import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
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
const seen = (standing: 'gap' | 'forming' | 'secure' | 'slipping', mastered: number) => standingNow(standing, mastered);
const standings = (...list: [number, StandingNow][]) => new Map(list);
const importance = new Map([1, 2, 3, 4].map((id) => [id, 1]));

describe('needs from standings', () => {
	it('are what is missing, by how ready the student is for it', () => {
		const own = standings([1, seen('secure', 0.95)], [2, seen('gap', 0.1)], [3, seen('gap', 0.05)]);
		const needs = needsOf(graph as never, { standings: own, importance, tier: 2 });
		expect(needs.get(2)).toBeCloseTo(0.9 * 0.95, 12);
		expect(needs.get(3)).toBeCloseTo(0.95 * 0.1, 12);
		expect(needs.has(1)).toBe(false);
	});

	it('weigh half as much again in tier 3, and by how much depends on the skill; what is not due is none', () => {
		const own = standings([1, seen('forming', 0.6)], [2, seen('gap', 0.2)]);
		const needs = needsOf(graph as never, { standings: own, importance: new Map([[2, 0.7]]), tier: 3 });
		expect(needs.get(2)).toBeCloseTo(0.6 * 0.8 * 0.7 * 1.5, 12);
		expect(needs.has(1)).toBe(false);
	});

	it('leave out what is nearly there, and skills nothing is known of', () => {
		const own = standings([4, seen('forming', 0.95)]);
		expect([...needsOf(graph as never, { standings: own, importance, tier: 2 })]).toEqual([]);
	});

	it('are none for a skill that is rather mastered, however much depends on it', () => {
		const rather = (mastered: number) => new Map([[1, standingNow('forming', mastered)]]);
		const inputs = { importance: new Map([[1, 1]]), tier: 3 as const };
		expect(needsOf(graph as never, { ...inputs, standings: rather(0.51) }).size).toBe(0);
		expect(needsOf(graph as never, { ...inputs, standings: rather(0.49) }).get(1)).toBeCloseTo(0.51 * 1.5, 6);
	});

	it('may rest on what is only inferred, so that a new student can be placed', () => {
		const own = standings([4, standingNow('unseen', 0.2, { answers: 0, inferred: 'gap' })]);
		expect(needsOf(graph as never, { standings: own, importance, tier: 2 }).get(4)).toBeCloseTo(0.8, 12);
	});
});

describe('a problem from standings', () => {
	const student = (id: number, tier: 1 | 2 | 3, change = {}) => ({
		id,
		tier,
		classId: 1,
		standings: standings([4, seen('gap', 0.1)]),
		importance,
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
