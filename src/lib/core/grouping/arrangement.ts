import { valueOf, type IndexedProblem } from './problem';
import { Seating } from './seating';
import { tableOf } from './seats';

/** A group being built: indexes into the problem. */
interface SeatedGroup {
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

/** A good arrangement at once: slot after slot the group that is worth most, then moves and exchanges. */
export function arrange(problem: IndexedProblem): Arrangement {
	const seating = new Seating(tableOf(problem));
	seating.fill();
	seating.settle();
	return arrangementOf(seating);
}

/**
 * Groups for slots whose options are already chosen, −1 for none: the best members in turn, then exchanges until nobody
 * could sit better in these groups. Where students must be apart or together they may.
 */
export function seat(problem: IndexedProblem, held: ArrayLike<number>): Arrangement {
	const seating = new Seating(tableOf(problem));
	for (const option of Array.from(held)) if (option >= 0) seating.hold(option, true);
	seating.fill();
	seating.settle();
	while (seating.rotate());
	return arrangementOf(seating);
}

/** By slot: the option that an arrangement holds, or −1. */
export function heldOptions(problem: IndexedProblem, arrangement: Arrangement): number[] {
	const { options, optionsOf } = tableOf(problem);
	return arrangement.map(
		(group, slot) =>
			optionsOf[slot].find((o) => options[o].focus === group?.focus && options[o].tier === group.tier) ?? -1
	);
}

function arrangementOf({ table, chosen, seats }: Seating): Arrangement {
	return seats.map((units, slot) => {
		const option = table.options[chosen[slot]];
		if (!option || units.length === 0) return null;
		return { focus: option.focus, tier: option.tier, members: units.flatMap((unit) => table.units[unit].members) };
	});
}
