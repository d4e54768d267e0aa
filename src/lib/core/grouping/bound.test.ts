import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { solveGrouping } from '.';
import { dualView, tightenBound } from './bound';
import { generateProblem } from './generate';
import { indexProblem } from './problem';
import { seededRandom } from '../random';

const best = new Map<number, number>();
async function optimum(seed: number): Promise<number> {
	if (!best.has(seed)) best.set(seed, (await solveGrouping(small(seed), { relativeGap: 0 })).objective);
	return best.get(seed)!;
}
const small = (seed: number) => generateProblem({ students: 10, slots: 3, focuses: 4 }, 40 + seed);

describe('the bound from prices', () => {
	it('is over the best grouping at any prices (weak duality)', async () => {
		await fc.assert(
			fc.asyncProperty(
				fc.integer({ min: 0, max: 11 }),
				fc.array(fc.double({ min: 0, max: 1.5, noNaN: true }), { minLength: 10, maxLength: 10 }),
				async (seed, prices) => {
					expect(dualView(indexProblem(small(seed)), prices).bound).toBeGreaterThanOrEqual(
						(await optimum(seed)) - 1e-6
					);
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
			expect(dualView(problem, prices).bound).toBeCloseTo(plain, 9);
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
		expect(dualView(problem, [0, 0])).toMatchObject({ bound: 2.8, chosen: [2, 2] });
		// A price of what the second group is worth makes the bound exact.
		expect(dualView(problem, [0.7, 0.7]).bound).toBeCloseTo(1.4, 9);
	});

	it('only falls while it is tightened, and stays over the best grouping', async () => {
		for (let seed = 0; seed < 8; seed++) {
			const problem = indexProblem(small(seed));
			const target = await optimum(seed);
			const seen: number[] = [];
			const lowest = tightenBound(
				problem,
				() => target,
				80,
				({ bound }) => seen.push(bound),
				() => false
			);
			expect(lowest).toBeCloseTo(Math.min(...seen), 9);
			expect(lowest).toBeLessThanOrEqual(seen[0] + 1e-9);
			expect(lowest).toBeGreaterThanOrEqual(target - 1e-6);
		}
	});

	it('stops when told to', () => {
		let views = 0;
		tightenBound(
			indexProblem(small(0)),
			() => 0,
			500,
			() => views++,
			() => views >= 3
		);
		expect(views).toBe(3);
	});
});
