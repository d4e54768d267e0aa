import { lossesOf, Relaxation, tightenBound, type Dual } from './bound';
import { heldOptions, seat, worth, type Arrangement } from './arrangement';
import { seededRandom, type Random } from '../random';
import type { IndexedProblem } from './problem';
import { tableOf } from './seats';

/** Slots decided anew at a time, at least and at most. */
const FEWEST = 5;
const MOST = 12;
/** How much even slots that the dual does not doubt are drawn, in shares. */
const SURE = 0.05;
/** Neighborhoods without a better arrangement after which a descent ends, and descents without one after which all do. */
const PATIENCE = 60;
const DESCENTS = 5;
/** Dual steps before a dive, and after each of its decisions. */
const STEPS_BEFORE = 40;
const STEPS_BETWEEN = 12;
/** An option whose share is over this is as good as decided; so many are at once. */
const CLEAR = 0.92;
const AT_ONCE = 6;
/** Chance in the order of decisions, in shares. */
const NOISE = 0.1;
/** Where every slot is decided, prices aim at this share of the best worth known, or of the bound: much is lost. */
const AIM = 0.95;
const LEAST = 1e-9;

/**
 * Options that can stand in a grouping better than one that is worth `reached`.
 *
 * @returns by slot
 */
export function openOptions(problem: IndexedProblem, dual: Dual, reached: number): number[][] {
	const losses = lossesOf(problem, dual.prices);
	return tableOf(problem).optionsOf.map((own) => own.filter((o) => dual.bound - losses[o] > reached));
}

/**
 * An arrangement with every slot decided by a dive, see `searchByDiving`.
 *
 * @param root prices with which every slot may hold every option; they need not have settled
 */
export function diveForAll(relaxation: Relaxation, root: Dual): Arrangement {
	const { optionsOf } = tableOf(relaxation.problem);
	const slots = optionsOf.map((_, slot) => slot);
	return dive(relaxation, root, [...optionsOf], slots, -Infinity, AIM * root.bound, null)!;
}

/**
 * Better arrangements, guided by the dual. From a good one, again and again some slots are decided anew, rather those
 * whose groups the dual doubts (as in relaxation induced neighborhoods, Danna, Rothberg & Le Pape 2005), until that
 * stops helping; then the same from another start, where all slots were. Slots are decided anew by a dive: prices
 * settle with the other slots as they are; then one slot after another holds what the prices make clearest, with a few
 * steps on the prices in between. Deterministic: chance is seeded by the problem's size.
 *
 * @param root prices with which every slot may hold every option
 * @param onBetter gets every arrangement better than all before
 */
export function searchByDiving(
	relaxation: Relaxation,
	root: Dual,
	start: Arrangement,
	shouldStop: () => boolean,
	onBetter: (arrangement: Arrangement) => void
): void {
	const { problem } = relaxation;
	const { options, optionsOf } = tableOf(problem);
	const random = seededRandom(problem.tiers.length * 1_000 + options.length);
	const slots = optionsOf.map((_, slot) => slot);
	let most = worth(problem, start);
	let open = openOptions(problem, root, most);
	const isOver = () => shouldStop() || open.every((own) => own.length === 0);
	/** @returns whether it came upon a new best */
	const descend = (from: Arrangement): boolean => {
		let isNew = false;
		let held = heldOptions(problem, from);
		let value = worth(problem, from);
		for (let since = 0; since < PATIENCE && !isOver(); since++) {
			const count = Math.min(slots.length, random.integer(FEWEST, MOST));
			const doubt = slots.map((slot) => 1 + SURE - (held[slot] < 0 ? 0 : root.shares[held[slot]]));
			const free = drawWeighted(doubt, count, random);
			const allowed = held.map((option) => (option < 0 ? [] : [option]));
			for (const slot of free) allowed[slot] = open[slot];
			const found = dive(relaxation, root, allowed, free, value, value, random);
			const reached = found ? worth(problem, found) : 0;
			if (!found || reached <= value + LEAST) continue;
			held = heldOptions(problem, found);
			value = reached;
			since = -1;
			if (value <= most + LEAST) continue;
			onBetter(found);
			most = value;
			open = openOptions(problem, root, most);
			isNew = true;
		}
		return isNew;
	};
	descend(start);
	for (let since = 0; since < DESCENTS && !isOver(); since++) {
		const from = dive(relaxation, root, [...open], slots, -Infinity, AIM * most, random)!;
		if (descend(from)) since = -1;
	}
}

/**
 * Decides the free slots one after another.
 *
 * @param allowed what each slot may hold; narrowed to what is decided
 * @param aim worth that the steps on the prices aim at
 * @param random moves the order of decisions a little
 * @returns null where the bound says that nothing worth more than `least` can come of it
 */
function dive(
	relaxation: Relaxation,
	root: Dual,
	allowed: number[][],
	free: number[],
	least: number,
	aim: number,
	random: Random | null
): Arrangement | null {
	const how = { reached: () => aim };
	const unseen = { ...root, shares: new Float64Array(root.shares.length) };
	let dual = tightenBound(relaxation, unseen, allowed, { ...how, steps: STEPS_BEFORE, length: 1 });
	let left = free;
	while (left.length > 0) {
		if (dual.bound <= least + LEAST) return null;
		const { shares } = dual;
		const clearest = left
			.map((slot) => {
				const option = allowed[slot].reduce((best, o) => (shares[o] > (shares[best] ?? 0) ? o : best), -1);
				const share = shares[option] ?? 0;
				return { slot, option, share, order: share + (random ? NOISE * random.unit() : 0) };
			})
			.sort((a, b) => b.order - a.order);
		const decided = clearest.filter(({ share }, i) => i === 0 || (share >= CLEAR && i < AT_ONCE));
		for (const { slot, option } of decided) allowed[slot] = option < 0 ? [] : [option];
		left = left.filter((slot) => decided.every((one) => one.slot !== slot));
		dual = tightenBound(relaxation, dual, allowed, { ...how, steps: STEPS_BETWEEN, length: 0.4 });
	}
	return seat(
		relaxation.problem,
		allowed.map(([option]) => option ?? -1)
	);
}

/** So many different places, each the sooner the more it weighs (Efraimidis & Spirakis 2006). */
function drawWeighted(weights: number[], count: number, random: Random): number[] {
	return weights
		.map((weight, place) => ({ place, key: -Math.log(1 - random.unit()) / weight }))
		.sort((a, b) => a.key - b.key)
		.slice(0, count)
		.map(({ place }) => place);
}
