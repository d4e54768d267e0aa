import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { HELPERS, judgeMixed, mixedFrom, solveMixed, type MixedProblem, type MixedResult } from '.';

function generate(seed: number): MixedProblem {
	const random = seededRandom(seed);
	const slots = Array.from({ length: random.integer(1, 5) }, (_, s) => ({ id: `s${s}` }));
	const students = Array.from({ length: random.integer(2, 24) }, (_, i) => {
		const canHelp = random.chance(0.3);
		return {
			id: `p${i}`,
			need: canHelp ? 0 : 0.15 + 0.85 * random.unit(),
			canHelp,
			available: slots.filter(() => random.chance(0.7)).map(({ id }) => id)
		};
	});
	const pair = (): [string, string] => {
		const [a, b] = random.shuffle(students);
		return [a.id, b.id];
	};
	return {
		students,
		slots,
		size: { minimum: 3, maximum: 5 },
		apart: random.chance(0.4) ? [pair()] : [],
		together: random.chance(0.4) ? [pair()] : [],
		mostGroups: random.chance(0.3) ? random.integer(1, 3) : undefined
	};
}

function broken(problem: MixedProblem, { groups }: MixedResult): string[] {
	const by = new Map(problem.students.map((student) => [student.id, student]));
	const said: string[] = [];
	const seen = new Set<string>();
	if (groups.length > (problem.mostGroups ?? Infinity)) said.push('too many groups');
	if (new Set(groups.map(({ slotId }) => slotId)).size < groups.length) said.push('a slot twice');
	for (const { slotId, studentIds, helperIds, load } of groups) {
		const all = [...studentIds, ...helperIds];
		if (all.length < problem.size.minimum || all.length > problem.size.maximum) said.push('size');
		if (helperIds.length < HELPERS.minimum || helperIds.length > HELPERS.maximum) said.push('helpers');
		for (const id of all) {
			if (seen.has(id)) said.push('a student twice');
			seen.add(id);
			if (!by.get(id)!.available.includes(slotId)) said.push('not free');
		}
		if (studentIds.some((id) => by.get(id)!.canHelp) || helperIds.some((id) => !by.get(id)!.canHelp))
			said.push('roles');
		if (problem.apart.some((pair) => pair.every((id) => all.includes(id)))) said.push('apart');
		if (problem.together.some(([a, b]) => all.includes(a) !== all.includes(b))) said.push('together');
		if (Math.abs(load - studentIds.reduce((sum, id) => sum + by.get(id)!.need, 0)) > 1e-9) said.push('load');
	}
	return said;
}

const asGroups = ({ groups }: MixedResult) =>
	groups.map(({ slotId, studentIds, helperIds }) => ({
		slotId,
		focusId: 'x',
		studentIds: [...studentIds, ...helperIds]
	}));

describe('mixed groups', () => {
	it('keep every limit, and say why of everybody who is left out', () => {
		fc.assert(
			fc.property(fc.integer({ min: 1, max: 1_000_000 }), (seed) => {
				const problem = generate(seed);
				const result = solveMixed(problem);
				expect(broken(problem, result)).toEqual([]);
				const judged = judgeMixed(problem)(asGroups(result));
				expect(judged.broken).toEqual([]);
				expect(judged.worth).toBeCloseTo(
					result.groups.reduce((sum, { load }) => sum + load, 0),
					9
				);
				const seated = result.groups.flatMap(({ studentIds }) => studentIds);
				const left = problem.students.filter(({ id, canHelp }) => !canHelp && !seated.includes(id));
				expect(result.unplaced.map(({ studentId }) => studentId)).toEqual(left.map(({ id }) => id));
				for (const { reason } of result.unplaced) expect(reason).toMatch(/^[A-Z].+\.$/);
			}),
			{ numRuns: 400 }
		);
	});

	const even: MixedProblem = {
		students: [
			...[0.9, 0.8, 0.4, 0.3, 0.35, 0.25].map((need, i) => ({
				id: `p${i}`,
				need,
				canHelp: false,
				available: ['s', 't']
			})),
			...[0, 1].map((i) => ({ id: `h${i}`, need: 0, canHelp: true, available: ['s', 't'] }))
		],
		slots: [{ id: 's' }, { id: 't' }],
		size: { minimum: 3, maximum: 4 },
		apart: [],
		together: []
	};

	it('place everybody where that can be, a helper in each, with sums as even as any split of these has them', () => {
		const result = solveMixed(even);
		expect(result.groups.map(({ studentIds, helperIds }) => [studentIds.length, helperIds.length])).toEqual([
			[3, 1],
			[3, 1]
		]);
		// By trying every split of six into three and three.
		const needs = even.students.slice(0, 6).map(({ need }) => need);
		const total = needs.reduce((sum, need) => sum + need, 0);
		let best = Infinity;
		for (let a = 0; a < 6; a++)
			for (let b = a + 1; b < 6; b++)
				for (let c = b + 1; c < 6; c++) best = Math.min(best, Math.abs(total - 2 * (needs[a] + needs[b] + needs[c])));
		expect(result.spread).toBeCloseTo(best, 9);
	});

	it('are none without anybody who can help, and that is said', () => {
		const alone = solveMixed({ ...even, students: even.students.slice(0, 6) });
		expect(alone.groups).toEqual([]);
		expect(alone.unplaced[0].reason).toBe('Nobody here is secure on this focus and could help.');
	});

	it('are judged when people change them: each limit that is broken is named', () => {
		const judge = judgeMixed({
			...even,
			students: [...even.students, { id: 'z', need: 0, canHelp: false, available: [] }],
			apart: [['p0', 'p1']],
			together: [['p2', 'p3']],
			mostGroups: 1
		});
		const group = (slotId: string, ...studentIds: string[]) => ({ slotId, focusId: 'x', studentIds });
		expect(judge([group('s', 'p0', 'p1', 'p2', 'z', 'h0')]).broken).toEqual([
			{ limit: 'size', slotId: 's', count: 5, tier: null, minimum: 3, maximum: 4 },
			{ limit: 'not free', studentId: 'z', slotId: 's' },
			{ limit: 'no need', studentId: 'z', focusId: 'x' },
			{ limit: 'apart', studentIds: ['p0', 'p1'] },
			{ limit: 'together', studentIds: ['p2', 'p3'] }
		]);
		expect(judge([group('s', 'p0', 'p4', 'p5'), group('t', 'p0', 'h0', 'h1')]).broken).toEqual([
			{ limit: 'groups', count: 2, most: 1 },
			{ limit: 'helpers', slotId: 's', count: 0, minimum: 1, maximum: 2 },
			{ limit: 'groups of a student', studentId: 'p0', count: 2 }
		]);
		expect(judge([group('s', 'p0', 'p4', 'h0')])).toEqual({ worth: expect.closeTo(1.25, 12), broken: [] });
	});

	it('are posed from any problem: one focus, who can help, the times and the limits that it has', () => {
		const posed = mixedFrom(
			{
				students: [
					{ id: 'a', tier: 3, needs: { x: 0.4, y: 1 }, available: ['s'] },
					{ id: 'b', tier: 2, needs: {}, available: ['s'] }
				],
				slots: [{ id: 's' }],
				sizes: { 2: { minimum: 2, maximum: 4 }, 3: { minimum: 1, maximum: 1 } },
				apart: [['a', 'b']],
				together: [],
				mostGroups: 3
			},
			'x',
			['b']
		);
		expect(posed).toEqual({
			students: [
				{ id: 'a', need: 0.4, canHelp: false, available: ['s'] },
				{ id: 'b', need: 0, canHelp: true, available: ['s'] }
			],
			slots: [{ id: 's' }],
			size: { minimum: 2, maximum: 4 },
			apart: [['a', 'b']],
			together: [],
			mostGroups: 3
		});
	});

	it('are the same for the same inputs', () => {
		expect(solveMixed(generate(77))).toEqual(solveMixed(generate(77)));
	});
});
