import { describe, expect, it } from 'vitest';
import { brokenLimits, solveGrouping, worthOf } from '.';
import { noPrices, Relaxation, tightenBound } from './bound';
import { openOptions, searchByDiving } from './dive';
import { generateProblem } from './generate';
import { arrange, heldOptions, worth, type Arrangement } from './arrangement';
import { indexProblem, type GroupingProblem, type IndexedProblem } from './problem';
import { tableOf } from './seats';

const rootOf = (problem: IndexedProblem) =>
	tightenBound(new Relaxation(problem), noPrices(problem), tableOf(problem).optionsOf, {
		steps: 200,
		length: 1.2,
		reached: () => 0
	});
function searched(source: GroupingProblem, shouldStop = () => false) {
	const problem = indexProblem(source);
	const start = arrange(problem);
	const found: Arrangement[] = [];
	searchByDiving(new Relaxation(problem), rootOf(problem), start, shouldStop, (better) => found.push(better));
	return { problem, start, found };
}

describe('the search guided by the dual', () => {
	it('tells only of better arrangements, and none breaks a limit, in 40 random problems', () => {
		let told = 0;
		for (let seed = 0; seed < 40; seed++) {
			const source = {
				...generateProblem({ students: 10 + seed, slots: 2 + (seed % 7), focuses: 3 + (seed % 8) }, 800 + seed),
				mostGroups: seed % 3 ? undefined : 2
			};
			const { problem, start, found } = searched(source);
			let most = worth(problem, start);
			for (const better of found) {
				const groups = better.flatMap((group, slot) =>
					group
						? [
								{
									slotId: source.slots[slot].id,
									focusId: problem.focusIds[group.focus],
									studentIds: group.members.map((i) => source.students[i].id)
								}
							]
						: []
				);
				expect(brokenLimits(source, groups), `problem ${seed}`).toEqual([]);
				expect(worthOf(source, groups)).toBeGreaterThan(most);
				most = worth(problem, better);
				told++;
			}
		}
		expect(told).toBeGreaterThan(20);
	}, 60_000);

	it('comes to the proven best of most small problems', async () => {
		let best = 0;
		for (let seed = 0; seed < 12; seed++) {
			const source = generateProblem({ students: 24, slots: 5, focuses: 7 }, 900 + seed);
			const { problem, start, found } = searched(source);
			const reached = worth(problem, found.at(-1) ?? start);
			const proven = (await solveGrouping(source, { relativeGap: 0 })).objective;
			expect(reached).toBeLessThanOrEqual(proven + 1e-6);
			if (reached > proven - 1e-6) best++;
		}
		expect(best).toBeGreaterThanOrEqual(10);
	}, 60_000);

	it('gives the same for the same problem, and stops when told to', () => {
		const source = generateProblem({ students: 90, slots: 12, focuses: 20 }, 3);
		const { found } = searched(source);
		expect(searched(source).found).toEqual(found);

		expect(searched(source, () => true).found).toEqual([]);
	}, 60_000);
});

describe('options that stay open', () => {
	it('hold every grouping that is better than the one at hand', async () => {
		let closed = 0;
		for (let seed = 0; seed < 20; seed++) {
			const source = generateProblem({ students: 24, slots: 5, focuses: 7 }, 200 + seed);
			const problem = indexProblem(source);
			const greedy = arrange(problem);
			const best = await solveGrouping(source, { relativeGap: 0 });
			if (best.objective < worth(problem, greedy) + 1e-6) continue;
			const open = openOptions(problem, rootOf(problem), worth(problem, greedy));
			const slots = source.slots.map(({ id }) => best.groups.find(({ slotId }) => slotId === id));
			const arrangement = slots.map((group) => {
				if (!group) return null;
				const members = group.studentIds.map((id) => source.students.findIndex((student) => student.id === id));
				return { focus: problem.focusIds.indexOf(group.focusId), tier: problem.tiers[members[0]], members };
			});
			heldOptions(problem, arrangement).forEach((option, slot) => {
				if (option >= 0) expect(open[slot], `problem ${seed}, slot ${slot}`).toContain(option);
			});
			closed += tableOf(problem).options.length - open.flat().length;
		}
		expect(closed).toBeGreaterThan(20);
	}, 60_000);
});
