import loadHighs from 'highs';
import { describe, expect, it } from 'vitest';
import { brokenLimits, needMet, solveGrouping, type Group } from '.';
import { generateProblem } from './generate';
import { arrange, heldOptions, seat, worth, type Arrangement } from './arrangement';
import { runHighs, writeProgram } from './integerProgram';
import { indexProblem, type IndexedProblem } from './problem';
import { tableOf } from './seats';

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

describe('the greedy start', () => {
	it('breaks no limit and counts its worth as needs met, in 150 random problems', () => {
		for (const [seed, source] of problems.entries()) {
			const problem = indexProblem(source);
			const arrangement = arrange(problem);
			const groups = groupsOf(problem, arrangement);
			expect(brokenLimits(source, groups), `problem ${seed}`).toEqual([]);
			expect(worth(problem, arrangement)).toBeCloseTo(needMet(source, groups), 9);
		}
	});

	it('reaches nine tenths of the best of small problems by itself', async () => {
		let reached = 0;
		let possible = 0;
		for (let seed = 0; seed < 20; seed++) {
			const source = generateProblem({ students: 14, slots: 3, focuses: 5 }, 300 + seed);
			const problem = indexProblem(source);
			reached += worth(problem, arrange(problem));
			possible += (await solveGrouping(source, { relativeGap: 0 })).objective;
		}
		expect(reached / possible).toBeGreaterThan(0.9);
		expect(reached).toBeLessThanOrEqual(possible + 1e-6);
	});
});

describe('seating for chosen focuses', () => {
	it('breaks no limit, whatever was chosen', () => {
		for (const [seed, source] of problems.slice(0, 60).entries()) {
			const problem = indexProblem(source);
			const held = tableOf(problem).optionsOf.map((own, slot) =>
				(seed + slot) % 3 === 0 ? -1 : (own[(seed + slot) % own.length] ?? -1)
			);
			expect(brokenLimits(source, groupsOf(problem, seat(problem, held))), `problem ${seed}`).toEqual([]);
		}
	});

	it('seats nobody who could sit better in these groups: the integer program of them finds nothing more', async () => {
		const highs = await loadHighs();
		let compared = 0;
		for (let seed = 0; seed < 20; seed++) {
			const source = generateProblem({ students: 40, slots: 8, focuses: 9 }, 60 + seed);
			const problem = indexProblem({ ...source, apart: [], together: [] });
			const held = heldOptions(problem, arrange(problem));
			if (held.includes(-1)) continue;
			compared++;
			const program = writeProgram(
				problem,
				held.map((option) => (option < 0 ? [] : [option]))
			);
			let best = 0;
			runHighs(
				highs,
				problem,
				program,
				null,
				{ timeLimitMs: 10_000, relativeGap: 0 },
				{
					onSolution: (arrangement) => (best = Math.max(best, worth(problem, arrangement))),
					onBound: () => {},
					shouldStop: () => false
				}
			);
			expect(worth(problem, seat(problem, held)), `problem ${seed}`).toBeCloseTo(best, 6);
		}
		expect(compared).toBeGreaterThan(8);
	});
});
