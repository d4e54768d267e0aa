import { describe, expect, it } from 'vitest';
import { brokenLimits, need, solveGrouping, worthOf, type Group, type GroupingProblem } from '.';
import { generateProblem } from './generate';

const clock = () => performance.now();

const small: GroupingProblem = {
	students: [
		{ id: 'a', tier: 2, needs: { x: 0.9, y: 0.2 }, available: ['mon', 'tue'] },
		{ id: 'b', tier: 2, needs: { x: 0.8 }, available: ['mon'] },
		{ id: 'c', tier: 2, needs: { y: 0.7 }, available: ['tue'] },
		{ id: 'd', tier: 2, needs: { y: 0.6, x: 0.1 }, available: ['mon', 'tue'] },
		{ id: 'e', tier: 2, needs: { z: 0.9 }, available: ['mon'] },
		{ id: 'f', tier: 2, needs: {}, available: ['mon'] },
		{ id: 'g', tier: 2, needs: { x: 0.5 }, available: [] }
	],
	slots: [{ id: 'mon' }, { id: 'tue' }],
	sizes: { 2: { minimum: 2, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
	apart: [],
	together: []
};

/** Every way to seat every student, by brute force. */
function bestByTrying(problem: GroupingProblem): number {
	const foci = [...new Set(problem.students.flatMap((s) => Object.keys(s.needs)))];
	let best = 0;
	const tryFoci = (chosen: (string | null)[]): void => {
		if (chosen.length < problem.slots.length) {
			for (const focus of [null, ...foci]) tryFoci([...chosen, focus]);
			return;
		}
		const place = (i: number, groups: Group[]): void => {
			if (i === problem.students.length) {
				const held = groups.filter((group) => group.studentIds.length > 0);
				if (brokenLimits(problem, held).length === 0) best = Math.max(best, worthOf(problem, held));
				return;
			}
			place(i + 1, groups);
			problem.slots.forEach((slot, s) => {
				if (chosen[s] === null || !problem.students[i].available.includes(slot.id)) return;
				place(
					i + 1,
					groups.map((group, g) =>
						g === s ? { ...group, studentIds: [...group.studentIds, problem.students[i].id] } : group
					)
				);
			});
		};
		place(
			0,
			problem.slots.map((slot, s) => ({ slotId: slot.id, focusId: chosen[s] ?? '', studentIds: [] }))
		);
	};
	tryFoci([]);
	return best;
}

/** Some problems with few groups allowed, some with groups that could go on, some without any solution. */
function withMoreLimits(problem: GroupingProblem, seed: number): GroupingProblem {
	const sizes = seed % 9 === 0 ? { 2: { minimum: 12, maximum: 12 }, 3: { minimum: 9, maximum: 9 } } : problem.sizes;
	if (seed % 3 === 0) return { ...problem, sizes };
	return {
		...problem,
		sizes,
		mostGroups: seed % 3 === 1 ? seed % 4 : undefined,
		keepWorth: 0.1,
		students: problem.students.map((student, i) => ({
			...student,
			maximumGroups: seed % 5 === 0 ? 2 : 1,
			currentGroup: {
				slotId: problem.slots[i % problem.slots.length].id,
				focusId: Object.keys(student.needs)[0] ?? 'focus 0'
			}
		}))
	};
}

describe('need', () => {
	it('is severity times readiness times importance times tier weight', () => {
		expect(need(0.2, 1, 1, 2)).toBeCloseTo(0.8, 12);
		expect(need(0.2, 0.5, 0.7, 2)).toBeCloseTo(0.28, 12);
		expect(need(0.2, 0.5, 0.7, 3)).toBeCloseTo(0.42, 12);
	});
});

describe('solving', () => {
	it('finds the best grouping of a small problem and proves it', async () => {
		const result = await solveGrouping(small, { relativeGap: 0 });
		expect(result.objective).toBeCloseTo(bestByTrying(small), 9);
		expect(result.gap).toBeLessThan(1e-6);
		expect(result.groups).toEqual([
			{ slotId: 'mon', focusId: 'x', studentIds: ['a', 'b'] },
			{ slotId: 'tue', focusId: 'y', studentIds: ['c', 'd'] }
		]);
	});

	it('matches brute force on random small problems, with pairs apart and together', async () => {
		for (let seed = 0; seed < 25; seed++) {
			const problem = generateProblem({ students: 6, slots: 2, focuses: 3 }, seed);
			const result = await solveGrouping(problem, { relativeGap: 0 });
			expect(brokenLimits(problem, result.groups)).toEqual([]);
			expect(result.objective, `seed ${seed}`).toBeCloseTo(bestByTrying(problem), 6);
			expect(result.bound).toBeGreaterThanOrEqual(result.objective - 1e-9);
		}
	}, 60_000);

	it('breaks no limit in 500 random problems, counts its own worth right, and explains everybody left out', async () => {
		let unsolvable = 0;
		for (let seed = 0; seed < 500; seed++) {
			const problem = withMoreLimits(
				generateProblem({ students: 1 + (seed % 41), slots: 1 + (seed % 7), focuses: 1 + (seed % 9) }, 500 + seed),
				seed
			);
			const result = await solveGrouping(problem, { timeLimitMs: 60, relativeGap: 0.01, clock });
			expect(brokenLimits(problem, result.groups), `seed ${seed}`).toEqual([]);
			expect(result.objective).toBeCloseTo(worthOf(problem, result.groups), 9);
			expect(result.bound).toBeGreaterThanOrEqual(result.objective - 1e-9);
			const placed = new Set(result.groups.flatMap((group) => group.studentIds));
			expect(result.unplaced.map((u) => u.studentId)).toEqual(
				problem.students.map((s) => s.id).filter((id) => !placed.has(id))
			);
			for (const { reason } of result.unplaced) expect(reason).toMatch(/^[A-Z].{20,}\.$/);
			if (result.groups.length === 0) unsolvable++;
		}
		expect(unsolvable).toBeGreaterThan(20);
	}, 120_000);

	it('forms no more groups than may be, as brute force does', async () => {
		for (let seed = 0; seed < 12; seed++) {
			const problem = { ...generateProblem({ students: 6, slots: 3, focuses: 2 }, seed), mostGroups: 1 };
			const result = await solveGrouping(problem, { relativeGap: 0 });
			expect(result.groups.length).toBeLessThanOrEqual(1);
			expect(result.objective, `seed ${seed}`).toBeCloseTo(bestByTrying(problem), 6);
		}
	}, 60_000);

	it('leaves students where they are unless moving them brings more than staying is worth, as brute force does', async () => {
		for (let seed = 0; seed < 15; seed++) {
			const made = generateProblem({ students: 6, slots: 2, focuses: 3 }, seed);
			const problem = {
				...made,
				keepWorth: 0.3,
				students: made.students.map((student) => ({
					...student,
					currentGroup: { slotId: 'slot 1', focusId: Object.keys(student.needs)[0] }
				}))
			};
			const result = await solveGrouping(problem, { relativeGap: 0 });
			expect(result.objective, `seed ${seed}`).toBeCloseTo(bestByTrying(problem), 6);
		}
		// Ann needs y a little more, but is in a group on x.
		const moving = (worth: number) =>
			solveGrouping({
				...small,
				students: [
					{
						id: 'ann',
						tier: 3,
						needs: { x: 0.7, y: 0.8 },
						available: ['mon', 'tue'],
						currentGroup: { slotId: 'mon', focusId: 'x' }
					}
				],
				keepWorth: worth
			});
		expect((await moving(0)).groups[0].focusId).toBe('y');
		expect((await moving(0.2)).groups).toEqual([{ slotId: 'mon', focusId: 'x', studentIds: ['ann'] }]);
		expect((await moving(0.2)).objective).toBeCloseTo(0.9, 12);
	}, 60_000);

	it('gives the same answer to the same problem', async () => {
		const problem = generateProblem({ students: 60, slots: 8, focuses: 12 }, 8);
		const [one, other] = [
			await solveGrouping(problem, { relativeGap: 0.01 }),
			await solveGrouping(problem, { relativeGap: 0.01 })
		];
		expect(one).toEqual(other);
	}, 60_000);

	it('gives every student left out a reason to act on', async () => {
		const { unplaced } = await solveGrouping(small);
		expect(unplaced.map(({ studentId, reason }) => [studentId, reason.split(':')[0]])).toEqual([
			['e', 'Too few others share a need at the same free time'],
			['f', 'No skill is both missing and ready to learn'],
			['g', 'Free at no time when a tier 2 group can meet.']
		]);
	});

	it('only ever reports better results and lower bounds on the way', async () => {
		const reports: { objective: number; bound: number }[] = [];
		await solveGrouping(generateProblem({ students: 60, slots: 8, focuses: 12 }, 3), {
			timeLimitMs: 3_000,
			clock,
			onProgress: (r) => reports.push(r)
		});
		expect(reports.length).toBeGreaterThan(1);
		reports.slice(1).forEach((report, i) => {
			expect(report.objective).toBeGreaterThanOrEqual(reports[i].objective);
			expect(report.bound).toBeLessThanOrEqual(reports[i].bound);
		});
	});

	it('refuses a problem that contradicts itself', async () => {
		await expect(solveGrouping({ ...small, apart: [['a', 'nobody']] })).rejects.toThrow(/nobody/);
		await expect(solveGrouping({ ...small, sizes: { ...small.sizes, 2: { minimum: 4, maximum: 3 } } })).rejects.toThrow(
			/tier 2/
		);
	});

	it('answers an empty school with an empty grouping', async () => {
		expect(await solveGrouping({ ...small, students: [] })).toMatchObject({ groups: [], objective: 0, gap: 0 });
	});
});
