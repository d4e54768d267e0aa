import { describe, expect, it } from 'vitest';
import { brokenLimits, needMet, solveGrouping, type Group } from '.';
import { generateProblem } from './generate';
import { arrange, improve, seat, worth, type Arrangement } from './heuristic';
import { indexProblem, type IndexedProblem } from './problem';

const groupsOf = (problem: IndexedProblem, arrangement: Arrangement): Group[] =>
	arrangement.flatMap((seating, slot) =>
		seating
			? [
					{
						slotId: problem.source.slots[slot].id,
						focusId: problem.focusIds[seating.focus],
						studentIds: seating.members.map((i) => problem.source.students[i].id)
					}
				]
			: []
	);
const problems = Array.from({ length: 150 }, (_, seed) =>
	generateProblem({ students: 4 + (seed % 37), slots: 1 + (seed % 8), focuses: 2 + (seed % 11) }, 9_000 + seed)
);

describe('the greedy start with local search', () => {
	it('breaks no limit and counts its worth as needs met, in 150 random problems', () => {
		for (const [seed, source] of problems.entries()) {
			const problem = indexProblem(source);
			for (const arrangement of [arrange(problem, null, () => true), arrange(problem, null, () => false)]) {
				const groups = groupsOf(problem, arrangement);
				expect(brokenLimits(source, groups), `problem ${seed}`).toEqual([]);
				expect(worth(problem, arrangement)).toBeCloseTo(needMet(source, groups), 9);
			}
		}
	});

	it('is never worse for searching longer', () => {
		for (const source of problems.slice(0, 40)) {
			const problem = indexProblem(source);
			const quick = worth(
				problem,
				arrange(problem, null, () => true)
			);
			expect(
				worth(
					problem,
					arrange(problem, null, () => false)
				)
			).toBeGreaterThanOrEqual(quick - 1e-9);
		}
	});

	it('gives the same arrangement for the same problem', () => {
		const problem = indexProblem(generateProblem({ students: 40, slots: 8, focuses: 12 }, 77));
		expect(arrange(problem, null, () => false)).toEqual(arrange(problem, null, () => false));
	});

	it('reaches nine tenths of the best of small problems by itself', async () => {
		let reached = 0;
		let possible = 0;
		for (let seed = 0; seed < 20; seed++) {
			const source = generateProblem({ students: 14, slots: 3, focuses: 5 }, 300 + seed);
			const problem = indexProblem(source);
			reached += worth(
				problem,
				arrange(problem, null, () => false)
			);
			possible += (await solveGrouping(source, { relativeGap: 0 })).objective;
		}
		expect(reached / possible).toBeGreaterThan(0.9);
		expect(reached).toBeLessThanOrEqual(possible + 1e-6);
	});

	it('keeps what it is started from when nothing better is found, and does not change the start itself', () => {
		const problem = indexProblem(generateProblem({ students: 24, slots: 4, focuses: 6 }, 5));
		const start = arrange(problem, null, () => false);
		const before = structuredClone(start);
		expect(
			worth(
				problem,
				arrange(problem, start, () => true)
			)
		).toBeGreaterThanOrEqual(worth(problem, start) - 1e-9);
		expect(start).toEqual(before);
	});
});

describe('improving an arrangement', () => {
	it('tells only of better ones, each of them whole', () => {
		let told = 0;
		for (const source of problems.slice(0, 60)) {
			const problem = indexProblem(source);
			const start = seat(
				problem,
				source.slots.map(({ tier }, s) => ({ focus: s % problem.focusIds.length, tier: tier ?? 2 }))
			);
			let most = worth(problem, start);
			improve(
				problem,
				start,
				() => false,
				(better) => {
					expect(worth(problem, better)).toBeGreaterThan(most);
					expect(brokenLimits(source, groupsOf(problem, better))).toEqual([]);
					most = worth(problem, better);
					told++;
				}
			);
		}
		expect(told).toBeGreaterThan(60);
	});

	it('stops when it is told to', () => {
		const problem = indexProblem(generateProblem({ students: 40, slots: 8, focuses: 12 }, 3));
		const nothing: Arrangement = problem.source.slots.map(() => null);
		let told = 0;
		const tell = () => told++;
		improve(problem, nothing, () => told === 1, tell);
		expect(told).toBe(1);
		improve(problem, nothing, () => false, tell);
		expect(told).toBeGreaterThan(2);
	});
});

describe('seating for chosen focuses', () => {
	it('breaks no limit, whatever was chosen', () => {
		for (const [seed, source] of problems.slice(0, 60).entries()) {
			const problem = indexProblem(source);
			const choices = source.slots.map((slot, s) =>
				(seed + s) % 3 === 0 ? null : { focus: (seed + s) % problem.focusIds.length, tier: slot.tier ?? (2 as const) }
			);
			expect(brokenLimits(source, groupsOf(problem, seat(problem, choices))), `problem ${seed}`).toEqual([]);
		}
	});
});
