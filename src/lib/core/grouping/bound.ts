import type { IndexedProblem } from './problem';
import { tableOf } from './seats';

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
 * sum bounds every grouping's worth from above. Apart and together are relaxed, too, but for students who could never
 * sit with those they belong to.
 */
export function dualView(problem: IndexedProblem, prices: number[]): DualView {
	const { options, optionsOf } = tableOf(problem);
	const { sizes } = problem.source;
	const { mostGroups } = problem;
	const chosen = prices.map(() => 0);
	let bound = prices.reduce((sum, price, i) => sum + price * problem.maximumGroups[i], 0);
	const most = Math.max(sizes[2].maximum, sizes[3].maximum);
	/** The most profitable students of an option so far, best first, and what they bring. */
	let top = new Int32Array(most);
	let best = new Int32Array(most);
	const profits = new Float64Array(most);
	const found = optionsOf.map((own) => {
		let reached = 0;
		let choice: { focus: number; tier: 2 | 3 } | null = null;
		let members = best.subarray(0, 0);
		for (const o of own) {
			const { tier, focus, students, values } = options[o];
			const { minimum, maximum } = sizes[tier];
			let count = 0;
			for (let k = 0; k < students.length; k++) {
				const profit = values[k] - prices[students[k]];
				if (count === maximum && profit <= profits[count - 1]) continue;
				if (profit <= 0 && count >= minimum && profit <= profits[minimum - 1]) continue;
				let place = count < maximum ? count++ : count - 1;
				for (; place > 0 && profits[place - 1] < profit; place--) {
					profits[place] = profits[place - 1];
					top[place] = top[place - 1];
				}
				profits[place] = profit;
				top[place] = students[k];
			}
			while (count > minimum && profits[count - 1] <= 0) count--;
			let sum = 0;
			for (let k = 0; k < count; k++) sum += profits[k];
			if (count < minimum || sum <= reached) continue;
			reached = sum;
			choice = { focus, tier };
			[best, top] = [top, best];
			members = best.subarray(0, count);
		}
		return { reached, choice, members: members.slice() };
	});
	// Where fewer groups than slots may be formed, those that bring most.
	const counted = found
		.map(({ reached }, slot) => ({ reached, slot }))
		.sort((a, b) => b.reached - a.reached || a.slot - b.slot)
		.slice(0, mostGroups);
	const isHeld = new Set(counted.map(({ slot }) => slot));
	for (const { reached } of counted) bound += reached;
	const choices = found.map(({ choice, members }, slot) => {
		if (!isHeld.has(slot)) return null;
		for (const student of members) chosen[student]++;
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
