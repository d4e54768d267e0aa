import type { IndexedProblem } from './problem';

/** The dual's view at one set of prices: an upper bound, and what each slot would choose. */
export interface DualView {
	bound: number;
	choices: ({ focus: number; tier: 2 | 3 } | null)[];
	/** How often each student was chosen. */
	chosen: number[];
}

/**
 * Lagrangian relaxation (Fisher 1981): drop the rule that a student joins at most so many groups and charge `prices`
 * for joining instead. Then each slot can choose its best tier, focus and members alone, by sorting. For prices ≥ 0 the
 * sum bounds every grouping's worth from above. Apart and together are relaxed, too.
 */
export function dualView(problem: IndexedProblem, prices: number[]): DualView {
	const { needs, free, tiers, source } = problem;
	const chosen = prices.map(() => 0);
	let bound = prices.reduce((sum, price, i) => sum + price * problem.maximumGroups[i], 0);
	const choices = source.slots.map((_, slot) => {
		let best = 0;
		let choice: { focus: number; tier: 2 | 3 } | null = null;
		let members: number[] = [];
		for (const tier of problem.slotTiers[slot]) {
			const { minimum, maximum } = source.sizes[tier];
			const able = free[slot].filter((i) => tiers[i] === tier);
			for (let focus = 0; focus < problem.focusIds.length; focus++) {
				const wanting = able.filter((i) => needs[i][focus] > 0);
				if (wanting.length < minimum) continue;
				const profit = (i: number) => needs[i][focus] - prices[i];
				wanting.sort((a, b) => profit(b) - profit(a));
				let sum = 0;
				let size = 0;
				while (size < Math.min(maximum, wanting.length) && (size < minimum || profit(wanting[size]) > 0)) {
					sum += profit(wanting[size]);
					size++;
				}
				if (sum > best) {
					best = sum;
					choice = { focus, tier };
					members = wanting.slice(0, size);
				}
			}
		}
		bound += best;
		members.forEach((i) => chosen[i]++);
		return choice;
	});
	return { bound, choices, chosen };
}

/**
 * Lowers the bound by subgradient steps on the prices (Held, Wolfe & Crowder 1974), aiming at the best worth known.
 *
 * @param onView sees every view, so that good choices on the way can be tried
 * @returns the lowest bound found
 */
export function tightenBound(
	problem: IndexedProblem,
	reached: () => number,
	iterations: number,
	onView: (view: DualView, iteration: number) => void,
	shouldStop: () => boolean
): number {
	let prices = problem.tiers.map(() => 0);
	let bestPrices = prices;
	let best = Infinity;
	let step = 1.2;
	let stale = 0;
	for (let iteration = 0; iteration < iterations && !shouldStop(); iteration++) {
		const view = dualView(problem, prices);
		if (view.bound < best - 1e-9) {
			best = view.bound;
			bestPrices = prices;
			stale = 0;
		} else if (++stale >= 8) {
			step /= 1.6;
			stale = 0;
			prices = bestPrices;
		}
		onView(view, iteration);
		if (best - reached() < 1e-7) break;
		const slope = view.chosen.map((count, i) => count - problem.maximumGroups[i]);
		const size = slope.reduce((sum, s, i) => sum + (s > 0 || prices[i] > 0 ? s * s : 0), 0);
		if (size === 0) break;
		const length = (step * (view.bound - reached())) / size;
		prices = prices.map((price, i) => Math.max(0, price + length * slope[i]));
	}
	return best;
}
