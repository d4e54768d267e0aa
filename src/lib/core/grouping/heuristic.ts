import { seededRandom, type Random } from '../random';
import { valueOf, type IndexedProblem } from './problem';
import { Seating } from './seating';
import { tableOf, unitWorth, type Table } from './seats';

/** A group being built: indexes into the problem. */
export interface SeatedGroup {
	focus: number;
	tier: 2 | 3;
	members: number[];
}

/** One place for each slot; null where no group is held. */
export type Arrangement = (SeatedGroup | null)[];

export function worth(problem: IndexedProblem, arrangement: Arrangement): number {
	let sum = 0;
	arrangement.forEach((group, slot) => {
		for (const i of group?.members ?? []) sum += valueOf(problem, i, slot, group!.focus);
	});
	return sum;
}

/** What is tried in place of a slot's group: those that promise most by a quick estimate. */
const TRIED_A_SLOT = 3;
/** Slots whose groups are drawn anew in a kick, at most. */
const KICKED = 3;
/** Kicks without an improvement after which the search ends. */
const MOST_KICKS = 20;
const LEAST = 1e-9;

/**
 * A good arrangement quickly: greedy, then local search that moves and exchanges students and decides slots anew, then
 * the same from small random changes of the best (iterated local search, Lourenço, Martin & Stützle 2003), until that
 * stops helping or `shouldStop` says so. Deterministic: chance is seeded by the problem's size.
 *
 * @param start slots already decided, for instance by the dual bound's choice of focuses
 * @param onBetter gets every better arrangement on the way
 */
export function arrange(
	problem: IndexedProblem,
	start: Arrangement | null,
	shouldStop: () => boolean,
	onBetter: (arrangement: Arrangement) => void = () => {}
): Arrangement {
	const table = tableOf(problem);
	let best = start ? seatingOf(table, start) : new Seating(table);
	best.fill();
	best.settle();
	if (shouldStop()) return arrangementOf(best);
	const tell = (better: Seating) => onBetter(arrangementOf(better));
	best = decideAnew(best, shouldStop, tell);
	let most = best.worth();
	const random = seededRandom(table.units.length * 1_000 + table.options.length);
	for (let kicks = 0; kicks < MOST_KICKS && !shouldStop(); kicks++) {
		const trial = kick(best, random);
		const found = decideAnew(trial, shouldStop);
		const value = found.worth();
		if (value <= most + LEAST) continue;
		tell(found);
		best = found;
		most = value;
		kicks = -1;
	}
	return arrangementOf(best);
}

/** What deciding each slot anew makes of an arrangement, as long as that helps. `onBetter` gets every step. */
export function improve(
	problem: IndexedProblem,
	start: Arrangement,
	shouldStop: () => boolean,
	onBetter: (arrangement: Arrangement) => void
): void {
	decideAnew(seatingOf(tableOf(problem), start), shouldStop, (better) => onBetter(arrangementOf(better)));
}

/** Groups for slots whose focus and tier are already chosen: the best members in turn, then local search. */
export function seat(problem: IndexedProblem, choices: ({ focus: number; tier: 2 | 3 } | null)[]): Arrangement {
	const table = tableOf(problem);
	const seating = new Seating(table);
	choices.forEach((choice, slot) => {
		const option = choice && optionOf(table, slot, choice);
		if (option !== null && option !== undefined) seating.hold(option, false);
	});
	seating.fill();
	seating.settle();
	return arrangementOf(seating);
}

/** Decides each slot anew as long as that helps: the groups that promise most are tried, one at a time. */
function decideAnew(from: Seating, shouldStop: () => boolean, onBetter: (better: Seating) => void = () => {}): Seating {
	let best = from;
	let most = best.worth();
	for (let improved = true; improved && !shouldStop();) {
		improved = false;
		for (let slot = 0; slot < best.seats.length && !shouldStop(); slot++) {
			for (const option of promising(best, slot)) {
				const trial = best.copy();
				trial.clear(slot);
				if (!trial.mayHoldMore()) trial.clear(leastWorth(trial));
				if (!trial.hold(option, true)) continue;
				trial.fill();
				trial.settle();
				const value = trial.worth();
				if (value <= most + LEAST) continue;
				best = trial;
				most = value;
				improved = true;
				onBetter(best);
				break;
			}
		}
	}
	return best;
}

/** The slot whose group is worth least. */
function leastWorth(seating: Seating): number {
	const worths = seating.seats.map((units, slot) =>
		seating.chosen[slot] < 0 ? Infinity : units.reduce((sum, unit) => sum + seating.worthAt(unit, slot), 0)
	);
	return worths.indexOf(Math.min(...worths));
}

/** Options of a slot, other than the one it holds, by what they promise: their worth less that of their units now. */
function promising(seating: Seating, slot: number): number[] {
	const { table } = seating;
	const { options, optionsOf, sizes, problem } = table;
	const found: { option: number; promise: number }[] = [];
	for (const option of optionsOf[slot]) {
		if (option === seating.chosen[slot]) continue;
		const { tier, focus, units } = options[option];
		const { minimum, maximum } = problem.source.sizes[tier];
		const gains = units
			.map((unit) => ({ unit, gain: unitWorth(table, unit, slot, focus) - held(seating, unit, slot) }))
			.filter(({ gain }) => gain > 0)
			.sort((a, b) => b.gain / sizes[b.unit] - a.gain / sizes[a.unit] || a.unit - b.unit);
		let heads = 0;
		let promise = 0;
		for (const { unit, gain } of gains) {
			if (heads + sizes[unit] > maximum) continue;
			heads += sizes[unit];
			promise += gain;
		}
		if (heads >= minimum) found.push({ option, promise });
	}
	return found
		.sort((a, b) => b.promise - a.promise || a.option - b.option)
		.slice(0, TRIED_A_SLOT)
		.map(({ option }) => option);
}

/** Need that a unit would give up to join another group: none while it may be in more, or sits in the slot in question. */
function held(seating: Seating, unit: number, slot: number): number {
	const places = seating.places[unit];
	if (seating.hasRoom(unit) || places.includes(slot)) return 0;
	return Math.min(...places.map((place) => seating.worthAt(unit, place)));
}

/** A copy with a few slots drawn anew. */
function kick(best: Seating, random: Random): Seating {
	const trial = best.copy();
	const slots = random.shuffle(trial.seats.map((_, slot) => slot)).slice(0, random.integer(2, KICKED));
	for (const slot of slots) trial.clear(slot);
	for (const slot of slots) {
		const own = promising(trial, slot);
		if (own.length) trial.hold(random.pick(own), true);
	}
	trial.fill();
	trial.settle();
	return trial;
}

function optionOf(table: Table, slot: number, { focus, tier }: { focus: number; tier: 2 | 3 }): number | null {
	return (
		table.optionsOf[slot].find(
			(option) => table.options[option].focus === focus && table.options[option].tier === tier
		) ?? null
	);
}

function seatingOf(table: Table, arrangement: Arrangement): Seating {
	const seating = new Seating(table);
	const unitOf = new Map(table.units.flatMap(({ members }, unit) => members.map((i) => [i, unit] as const)));
	arrangement.forEach((group, slot) => {
		const option = group && optionOf(table, slot, group);
		if (!group || option === null) return;
		seating.choose(option);
		for (const unit of new Set(group.members.map((i) => unitOf.get(i)!))) seating.sit(unit, slot);
	});
	return seating;
}

function arrangementOf({ table, chosen, seats }: Seating): Arrangement {
	return seats.map((units, slot) => {
		const option = table.options[chosen[slot]];
		if (!option || units.length === 0) return null;
		return { focus: option.focus, tier: option.tier, members: units.flatMap((unit) => table.units[unit].members) };
	});
}
