import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveGrouping } from '.';
import { lossesOf, noPrices, Relaxation, tightenBound } from './bound';
import { generateProblem } from './generate';
import { indexProblem, type IndexedProblem } from './problem';
import { tableOf } from './seats';
import { seededRandom } from '../random';

const best = new Map<number, number>();
async function optimum(seed: number): Promise<number> {
	if (!best.has(seed)) best.set(seed, (await solveGrouping(small(seed), { relativeGap: 0 })).objective);
	return best.get(seed)!;
}
/** The dual's view where every slot may hold every option. */
const viewOf = (problem: IndexedProblem, prices: number[]) =>
	new Relaxation(problem).view(prices, tableOf(problem).optionsOf);
const small = (seed: number) => generateProblem({ students: 10, slots: 3, focuses: 4 }, 40 + seed);

describe('the bound from prices', () => {
	it('is over the best grouping at any prices (weak duality)', async () => {
		await fc.assert(
			fc.asyncProperty(
				fc.integer({ min: 0, max: 11 }),
				fc.array(fc.double({ min: 0, max: 1.5, noNaN: true }), { minLength: 10, maxLength: 10 }),
				async (seed, prices) => {
					expect(viewOf(indexProblem(small(seed)), prices).bound).toBeGreaterThanOrEqual((await optimum(seed)) - 1e-6);
				}
			)
		);
	});

	it('chooses for each slot what plain sorting chooses, at low prices and high ones', () => {
		for (let seed = 0; seed < 60; seed++) {
			const source = generateProblem({ students: 30, slots: 5, focuses: 8 }, 700 + seed);
			const problem = indexProblem({ ...source, apart: [], together: [] });
			const random = seededRandom(seed);
			const prices = problem.tiers.map(() => (seed % 3) * random.unit());
			let plain = prices.reduce((sum, price) => sum + price, 0);
			problem.slotTiers.forEach((tiers, slot) => {
				let best = 0;
				for (const tier of tiers) {
					const { minimum, maximum } = source.sizes[tier];
					problem.focusIds.forEach((_, focus) => {
						const profits = problem.free[slot]
							.filter((i) => problem.tiers[i] === tier && problem.needs[i][focus] > 0)
							.map((i) => problem.needs[i][focus] - prices[i])
							.sort((a, b) => b - a);
						if (profits.length < minimum) return;
						const taken = profits.filter((profit, n) => n < maximum && (n < minimum || profit > 0));
						best = Math.max(
							best,
							taken.reduce((sum, profit) => sum + profit, 0)
						);
					});
				}
				plain += best;
			});
			expect(viewOf(problem, prices).bound).toBeCloseTo(plain, 9);
		}
	});

	it('without prices is what each slot could have if students could be everywhere at once', () => {
		const problem = indexProblem({
			students: [
				{ id: 'a', tier: 2, needs: { x: 0.9 }, available: ['s', 't'] },
				{ id: 'b', tier: 2, needs: { x: 0.5 }, available: ['s', 't'] }
			],
			slots: [{ id: 's' }, { id: 't' }],
			sizes: { 2: { minimum: 2, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
			apart: [],
			together: []
		});
		const free = viewOf(problem, [0, 0]);
		expect([free.bound, ...free.chosen]).toEqual([2.8, 2, 2]);
		// A price of what the second group is worth makes the bound exact.
		expect(viewOf(problem, [0.7, 0.7]).bound).toBeCloseTo(1.4, 9);
	});

	it('only falls while it is tightened, and stays over the best grouping', async () => {
		for (let seed = 0; seed < 8; seed++) {
			const problem = indexProblem(small(seed));
			const target = await optimum(seed);
			const seen: number[] = [];
			const lowest = tightenBound(new Relaxation(problem), noPrices(problem), tableOf(problem).optionsOf, {
				steps: 80,
				length: 1.2,
				reached: () => target,
				onView: ({ bound }) => seen.push(bound)
			});
			expect(lowest.bound).toBeCloseTo(Math.min(...seen), 9);
			expect(lowest.bound).toBeLessThanOrEqual(seen[0] + 1e-9);
			expect(viewOf(problem, [...lowest.prices]).bound).toBeCloseTo(lowest.bound, 9);
			expect(lowest.bound).toBeGreaterThanOrEqual(target - 1e-6);
		}
	});

	it('stops when told to', () => {
		let views = 0;
		const problem = indexProblem(small(0));
		tightenBound(new Relaxation(problem), noPrices(problem), tableOf(problem).optionsOf, {
			steps: 500,
			length: 1.2,
			reached: () => 0,
			onView: () => views++,
			shouldStop: () => views >= 3
		});
		expect(views).toBe(3);
	});

	it('keeps count of what each slot chose of late: at most one option a slot, and none that it may not hold', () => {
		const problem = indexProblem(generateProblem({ students: 40, slots: 6, focuses: 8 }, 4));
		const { options, optionsOf } = tableOf(problem);
		const allowed = optionsOf.map((own, slot) => (slot === 2 ? [] : own.filter((_, k) => k % 2 === 0)));
		const { shares } = tightenBound(new Relaxation(problem), noPrices(problem), allowed, {
			steps: 60,
			length: 1.2,
			reached: () => 0
		});
		const isAllowed = new Set(allowed.flat());
		optionsOf.forEach((own, slot) => {
			const sum = own.reduce((total, o) => total + shares[o], 0);
			expect(sum).toBeLessThanOrEqual(1 + 1e-9);
			expect(sum > 0.9).toBe(slot !== 2);
		});
		options.forEach((_, o) => expect(shares[o] > 0 && !isAllowed.has(o)).toBe(false));
	});
});

describe('what an option costs the bound', () => {
	it('is what the bound falls by when its slot must hold it, whether all slots or only some may be used', () => {
		for (let seed = 0; seed < 30; seed++) {
			const source = generateProblem({ students: 30, slots: 5, focuses: 6 }, 50 + seed);
			const problem = indexProblem({ ...source, mostGroups: seed % 2 ? 3 : undefined });
			const random = seededRandom(seed);
			const prices = problem.tiers.map(() => 0.6 * random.unit());
			const { options, optionsOf } = tableOf(problem);
			const losses = lossesOf(problem, prices);
			const { bound } = viewOf(problem, prices);
			// By itself: what the other slots that take part bring, and what the option's own students do.
			const brings = (o: number) => {
				const { students, values, tier } = options[o];
				const { minimum, maximum } = source.sizes[tier];
				return Array.from(students, (student, k) => values[k] - prices[student])
					.sort((a, b) => b - a)
					.filter((profit, n) => n < maximum && (n < minimum || profit > 0))
					.reduce((sum, profit) => sum + profit, 0);
			};
			const best = optionsOf.map((own) => Math.max(0, ...own.map(brings)));
			const charged = prices.reduce((sum, price, i) => sum + price * problem.maximumGroups[i], 0);
			options.forEach(({ slot }, o) => {
				const others = best.filter((_, other) => other !== slot).sort((a, b) => b - a);
				const forced = others.slice(0, problem.mostGroups - 1).reduce((sum, one) => sum + one, charged + brings(o));
				expect(bound - losses[o]).toBeCloseTo(forced, 9);
			});
		}
	});
});
