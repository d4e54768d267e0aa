import type { IndexedProblem } from './problem';
import { tableOf, type Option } from './seats';

/** By slot: places of the options that it may hold, see `Table`. */
export type Allowed = readonly (readonly number[])[];

/** The dual's view at one set of prices: an upper bound, and what each slot would choose. */
interface DualView {
	bound: number;
	/** By slot: the option it would hold, or −1. */
	choices: Int32Array;
	/** How often each student was chosen. */
	chosen: Int32Array;
}

/** How far the prices have come: the bound they prove, and how often each option was its slot's choice of late. */
export interface Dual {
	bound: number;
	prices: Float64Array;
	/** By option, 0 to 1; later steps count more. Near the share of it in the best fractional grouping. */
	shares: Float64Array;
}

/** Where the dual begins: nothing costs anything. */
export function noPrices(problem: IndexedProblem): Dual {
	return {
		bound: Infinity,
		prices: new Float64Array(problem.tiers.length),
		shares: new Float64Array(tableOf(problem).options.length)
	};
}

/**
 * Lagrangian relaxation (Fisher 1981): drop the rule that a student joins at most so many groups and charge `prices`
 * for joining instead. Then each slot can choose its best tier, focus and members alone, by sorting. For prices ≥ 0 the
 * sum bounds every grouping's worth from above. Apart and together are relaxed, too, but for students who could never
 * sit with those they belong to.
 *
 * What an option brought is remembered: it can bring more only by as much as prices fell since, so that at prices near
 * the last ones most options need no new look.
 */
export class Relaxation {
	private readonly options: readonly Option[];
	private last: ArrayLike<number>;
	/** How far prices may have fallen since the first view, the most that any did from each view to the next. */
	private fallen = 0;
	/** By option: what it brought when it was looked at, and how far prices had fallen then. */
	private readonly brought: Float64Array;
	private readonly fallenThen: Float64Array;
	/** By slot: what it chose last. */
	private readonly chosenLast: Int32Array;
	private readonly profits: Float64Array;
	/** The most profitable students of the option at hand, and of the best one so far. */
	private top: Int32Array;
	private best: Int32Array;

	constructor(readonly problem: IndexedProblem) {
		const { options, optionsOf } = tableOf(problem);
		const { sizes } = problem.source;
		const most = Math.max(sizes[2].maximum, sizes[3].maximum);
		this.options = options;
		this.last = new Float64Array(problem.tiers.length);
		this.brought = new Float64Array(options.length).fill(Infinity);
		this.fallenThen = new Float64Array(options.length);
		this.chosenLast = new Int32Array(optionsOf.length).fill(-1);
		this.profits = new Float64Array(most);
		this.top = new Int32Array(most);
		this.best = new Int32Array(most);
	}

	view(prices: ArrayLike<number>, allowed: Allowed): DualView {
		const { mostGroups, maximumGroups } = this.problem;
		const chosen = new Int32Array(maximumGroups.length);
		let bound = 0;
		let fall = 0;
		for (let i = 0; i < maximumGroups.length; i++) {
			bound += prices[i] * maximumGroups[i];
			fall = Math.max(fall, this.last[i] - prices[i]);
		}
		this.fallen += fall;
		this.last = prices;
		const found = allowed.map((own, slot) => this.bestOf(own, slot, prices));
		// Where fewer groups than slots may be formed, those that bring most.
		if (mostGroups < found.length) found.sort((a, b) => b.reached - a.reached || a.slot - b.slot);
		const choices = new Int32Array(allowed.length).fill(-1);
		for (const { slot, option, reached, members } of found.slice(0, mostGroups)) {
			bound += reached;
			choices[slot] = option;
			for (const student of members) chosen[student]++;
		}
		return { bound, choices, chosen };
	}

	/** What a slot chooses, who joins, and what that brings; the option chosen last is looked at first. */
	private bestOf(own: readonly number[], slot: number, prices: ArrayLike<number>) {
		const { sizes } = this.problem.source;
		let option = -1;
		let reached = 0;
		let members = 0;
		const likely = own.includes(this.chosenLast[slot]) ? this.chosenLast[slot] : -1;
		for (let k = likely < 0 ? 0 : -1; k < own.length; k++) {
			const o = k < 0 ? likely : own[k];
			if (k >= 0 && o === likely) continue;
			const limits = sizes[this.options[o].tier];
			if (this.brought[o] + limits.maximum * (this.fallen - this.fallenThen[o]) <= reached) continue;
			const count = mostProfitable(this.options[o], prices, limits, this.top, this.profits);
			let sum = 0;
			for (let place = 0; place < count; place++) sum += this.profits[place];
			this.brought[o] = sum;
			this.fallenThen[o] = this.fallen;
			if (sum <= reached) continue;
			reached = sum;
			option = o;
			members = count;
			[this.best, this.top] = [this.top, this.best];
		}
		this.chosenLast[slot] = option;
		return { slot, option, reached, members: this.best.slice(0, members) };
	}
}

/**
 * Writes the students of an option who bring most at these prices, best first, and what each brings: all with a profit
 * that fit, and more down to the least size.
 *
 * @returns how many; 0 where they are too few for a group
 */
function mostProfitable(
	{ students, values }: Option,
	prices: ArrayLike<number>,
	{ minimum, maximum }: { minimum: number; maximum: number },
	top: Int32Array,
	profits: Float64Array
): number {
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
	return count < minimum ? 0 : count;
}

/**
 * By option, how far the bound would fall if its slot had to hold it. An option that costs more than what lies between
 * the bound and a known grouping stands in no better one (reduced-cost fixing).
 */
export function lossesOf(problem: IndexedProblem, prices: ArrayLike<number>): Float64Array {
	const { options, optionsOf } = tableOf(problem);
	const { sizes } = problem.source;
	const { mostGroups } = problem;
	const most = Math.max(sizes[2].maximum, sizes[3].maximum);
	const top = new Int32Array(most);
	const profits = new Float64Array(most);
	const brought = Float64Array.from(options, (option) => {
		const count = mostProfitable(option, prices, sizes[option.tier], top, profits);
		return profits.subarray(0, count).reduce((sum, profit) => sum + profit, 0);
	});
	const reached = optionsOf.map((own) => Math.max(0, ...own.map((o) => brought[o])));
	// A slot that takes part only because it has to takes the place of the least of those that do.
	const least = mostGroups < reached.length ? ([...reached].sort((a, b) => b - a)[mostGroups - 1] ?? Infinity) : 0;
	return brought.map((value, o) => Math.max(reached[options[o].slot], least) - value);
}

interface Tightening {
	steps: number;
	/** Length of the first steps, as a share of the way to `reached` (Polyak). */
	length: number;
	/** The best worth known, which the steps aim at. */
	reached: () => number;
	/** Sees every view, so that good choices on the way can be tried. */
	onView?: (view: DualView, step: number) => void;
	shouldStop?: () => boolean;
}

/** How much of the shares the latest step makes up. */
const LATEST = 0.1;
/** Steps without a lower bound after which they become shorter, and how much shorter. */
const STALE = 8;
const SHORTER = 1.6;

/**
 * Lowers the bound by subgradient steps on the prices (Held, Wolfe & Crowder 1974); the shares follow as in the volume
 * algorithm (Barahona & Anbil 2000).
 *
 * @returns the lowest bound found, with its prices
 */
export function tightenBound(relaxation: Relaxation, from: Dual, allowed: Allowed, how: Tightening): Dual {
	const { steps, reached, onView, shouldStop } = how;
	const { maximumGroups } = relaxation.problem;
	const shares = from.shares.slice();
	let prices = from.prices;
	let bestPrices = prices;
	let best = Infinity;
	let length = how.length;
	let stale = 0;
	for (let step = 0; step < steps && !shouldStop?.(); step++) {
		const view = relaxation.view(prices, allowed);
		if (view.bound < best - 1e-9) {
			best = view.bound;
			bestPrices = prices;
			stale = 0;
		} else if (++stale >= STALE) {
			length /= SHORTER;
			stale = 0;
			prices = bestPrices;
		}
		for (let slot = 0; slot < allowed.length; slot++) {
			for (const o of allowed[slot]) shares[o] *= 1 - LATEST;
			if (view.choices[slot] >= 0) shares[view.choices[slot]] += LATEST;
		}
		onView?.(view, step);
		if (best - reached() < 1e-7) break;
		/** How far from joining as many groups as they may, for students whom prices can do something about. */
		let size = 0;
		for (let i = 0; i < prices.length; i++) {
			const slope = view.chosen[i] - maximumGroups[i];
			if (slope > 0 || prices[i] > 0) size += slope * slope;
		}
		if (size === 0) break;
		const stride = (length * (view.bound - reached())) / size;
		const next = new Float64Array(prices.length);
		for (let i = 0; i < next.length; i++)
			next[i] = Math.max(0, prices[i] + stride * (view.chosen[i] - maximumGroups[i]));
		prices = next;
	}
	return { bound: best, prices: bestPrices, shares };
}
