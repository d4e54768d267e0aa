import type { Table } from './seats';

const EMPTY = -1;
/** Improvements smaller than this are rounding. */
const LEAST = 1e-9;

/** Who sits where while groups are searched for: for each slot the group it holds, and the units in it. */
export class Seating {
	/** By slot: the option it holds, or −1. */
	readonly chosen: Int32Array;
	/** By slot: units. */
	readonly seats: number[][];
	/** By slot: heads. */
	readonly heads: Int32Array;
	/** By unit: slots. */
	readonly places: number[][];
	/** What each unit is worth in what each slot holds, 0 where it cannot sit there: by unit, then slot. */
	private readonly worths: Float64Array;

	constructor(readonly table: Table) {
		const slots = table.optionsOf.length;
		this.chosen = new Int32Array(slots).fill(EMPTY);
		this.seats = Array.from({ length: slots }, () => []);
		this.heads = new Int32Array(slots);
		this.places = table.units.map(() => []);
		this.worths = new Float64Array(slots * table.units.length);
	}

	/** Sum of needs met, and of what leaving units where they are is worth. */
	worth(): number {
		let sum = 0;
		this.seats.forEach((units, slot) => {
			for (const unit of units) sum += this.worthAt(unit, slot);
		});
		return sum;
	}

	/** What a unit is worth in what a slot holds; 0 where it cannot sit there. */
	worthAt(unit: number, slot: number): number {
		return this.worths[unit * this.chosen.length + slot];
	}

	/** Whether one more slot may hold a group. */
	private mayHoldMore(): boolean {
		let held = 0;
		for (const option of this.chosen) if (option !== EMPTY) held++;
		return held < this.table.problem.mostGroups;
	}

	private hasRoom(unit: number): boolean {
		return this.places[unit].length < this.table.units[unit].room;
	}

	private sit(unit: number, slot: number): void {
		this.seats[slot].push(unit);
		this.heads[slot] += this.table.sizes[unit];
		this.places[unit].push(slot);
	}

	private leave(unit: number, slot: number): void {
		this.seats[slot].splice(this.seats[slot].indexOf(unit), 1);
		this.heads[slot] -= this.table.sizes[unit];
		this.places[unit].splice(this.places[unit].indexOf(slot), 1);
	}

	/** Holds an option in an empty slot, with nobody in it yet. */
	private choose(option: number): void {
		const { slot, units, worths } = this.table.options[option];
		this.chosen[slot] = option;
		for (let k = 0; k < units.length; k++) this.worths[units[k] * this.chosen.length + slot] = worths[k];
	}

	private limits(slot: number) {
		return this.table.problem.source.sizes[this.table.options[this.chosen[slot]].tier];
	}

	/** Whether a group stays large enough when so many heads leave and so many join. */
	private keepsSize(slot: number, change: number): boolean {
		const { minimum, maximum } = this.limits(slot);
		const after = this.heads[slot] + change;
		return after >= minimum && after <= maximum;
	}

	/** Whether a unit may sit with those in a slot, one of them left aside. */
	private fitsIn(unit: number, slot: number, without = EMPTY): boolean {
		const { apart } = this.table.units[unit];
		if (this.places[unit].includes(slot)) return false;
		return apart.size === 0 || this.seats[slot].every((other) => other === without || !apart.has(other));
	}

	/**
	 * Holds an option in an empty slot with the units that gain most by it; units that are in as many groups as they may
	 * come from theirs where that is worth it and leaves it large enough.
	 *
	 * @returns whether enough of them could sit; else nothing is changed
	 */
	hold(option: number, mayTake: boolean): boolean {
		const { options, sizes, problem } = this.table;
		const { slot, tier, units, worths } = options[option];
		const { minimum, maximum } = problem.source.sizes[tier];
		if (!this.mayHoldMore()) return false;
		const from = new Map<number, number>();
		const ranked: { unit: number; gain: number }[] = [];
		for (const [k, unit] of units.entries()) {
			const own = worths[k];
			if (this.hasRoom(unit)) ranked.push({ unit, gain: own });
			else if (mayTake) {
				const place = this.places[unit].reduce((a, b) => (this.worthAt(unit, a) <= this.worthAt(unit, b) ? a : b));
				const gain = own - this.worthAt(unit, place);
				if (gain > LEAST && this.keepsSize(place, -sizes[unit])) {
					from.set(unit, place);
					ranked.push({ unit, gain });
				}
			}
		}
		ranked.sort((a, b) => b.gain / sizes[b.unit] - a.gain / sizes[a.unit] || a.unit - b.unit);
		const taken: number[] = [];
		const leaving = new Map<number, number>();
		let heads = 0;
		for (const { unit } of ranked) {
			if (heads + sizes[unit] > maximum) continue;
			if (taken.some((other) => this.table.units[unit].apart.has(other))) continue;
			const place = from.get(unit);
			if (place !== undefined) {
				const gone = (leaving.get(place) ?? 0) + sizes[unit];
				if (!this.keepsSize(place, -gone)) continue;
				leaving.set(place, gone);
			}
			taken.push(unit);
			heads += sizes[unit];
			if (heads === maximum) break;
		}
		if (heads < minimum) return false;
		this.choose(option);
		for (const unit of taken) {
			const place = from.get(unit);
			if (place !== undefined) this.leave(unit, place);
			this.sit(unit, slot);
		}
		return true;
	}

	/** Fills empty slots one after another, each time with the group that is worth most. */
	fill(): void {
		const { optionsOf, options, sizes, problem } = this.table;
		/** Options whose best units must not sit together, so that too few are left. */
		const failed = new Set<number>();
		for (;;) {
			let best = EMPTY;
			let most = LEAST;
			optionsOf.forEach((own, slot) => {
				if (this.chosen[slot] !== EMPTY) return;
				for (const option of own) {
					if (failed.has(option)) continue;
					const { tier, units, worths } = options[option];
					const { minimum, maximum } = problem.source.sizes[tier];
					let heads = 0;
					let value = 0;
					for (let k = 0; k < units.length; k++) {
						const unit = units[k];
						if (!this.hasRoom(unit) || heads + sizes[unit] > maximum) continue;
						heads += sizes[unit];
						value += worths[k];
						if (heads === maximum) break;
					}
					if (heads >= minimum && value > most) [best, most] = [option, value];
				}
			});
			if (best === EMPTY || !this.mayHoldMore()) return;
			if (!this.hold(best, false)) failed.add(best);
		}
	}

	/**
	 * Moves and exchanges units between the groups that are held until none of it helps: a unit to a group that it needs
	 * more, for a unit there that goes to where the first came from, to another group, or out.
	 */
	settle(): void {
		const MOST_PASSES = 12;
		for (let pass = 0; pass < MOST_PASSES; pass++) {
			let moved = false;
			for (let unit = 0; unit < this.places.length; unit++) if (this.improveFrom(unit)) moved = true;
			if (!moved) return;
		}
	}

	/**
	 * Passes units of one head on around a ring of groups, each to the next, where all of them together gain: the
	 * negative cycles of a minimum-cost flow (Klein 1967), so that with what the slots hold nobody could sit better.
	 *
	 * @returns whether there was such a ring
	 */
	rotate(): boolean {
		const slots = this.chosen.length;
		const out = slots;
		const nodes = slots + 1;
		const gain = new Float64Array(nodes * nodes).fill(-Infinity);
		const mover = new Int32Array(nodes * nodes).fill(EMPTY);
		const { sizes } = this.table;
		for (let slot = 0; slot < slots; slot++) {
			if (this.chosen[slot] === EMPTY) continue;
			if (this.keepsSize(slot, 1)) gain[slot * nodes + out] = 0;
			if (this.keepsSize(slot, -1)) gain[out * nodes + slot] = 0;
		}
		for (let unit = 0; unit < this.places.length; unit++) {
			if (sizes[unit] > 1) continue;
			const sources = this.hasRoom(unit) ? [out, ...this.places[unit]] : this.places[unit];
			for (const from of sources) {
				const now = from === out ? 0 : this.worthAt(unit, from);
				if (from !== out && -now > gain[from * nodes + out]) {
					gain[from * nodes + out] = -now;
					mover[from * nodes + out] = unit;
				}
				for (let to = 0; to < slots; to++) {
					const there = this.worthAt(unit, to);
					if (there === 0 || to === from || there - now <= gain[from * nodes + to] || !this.fitsIn(unit, to)) continue;
					gain[from * nodes + to] = there - now;
					mover[from * nodes + to] = unit;
				}
			}
		}
		const ring = positiveRing(gain, nodes);
		if (!ring) return false;
		const moves = ring.map(([from, to]) => ({ from, to, unit: mover[from * nodes + to] }));
		for (const { from, unit } of moves) if (unit !== EMPTY && from !== out) this.leave(unit, from);
		for (const { to, unit } of moves) if (unit !== EMPTY && to !== out) this.sit(unit, to);
		return true;
	}

	/** Carries out the best move that begins with a unit. @returns whether there was one */
	private improveFrom(unit: number): boolean {
		const { sizes } = this.table;
		const size = sizes[unit];
		const sources = this.hasRoom(unit) ? [EMPTY, ...this.places[unit]] : this.places[unit];
		let best: { from: number; to: number; other: number; otherTo: number } | null = null;
		let most = LEAST;
		for (const from of sources) {
			const now = from === EMPTY ? 0 : this.worthAt(unit, from);
			const mayGo = from === EMPTY || this.keepsSize(from, -size);
			for (let to = 0; to < this.seats.length; to++) {
				if (to === from) continue;
				const gain = this.worthAt(unit, to);
				if (gain <= now || this.places[unit].includes(to)) continue;
				if (mayGo && gain - now > most && this.keepsSize(to, size) && this.fitsIn(unit, to)) {
					[best, most] = [{ from, to, other: EMPTY, otherTo: EMPTY }, gain - now];
				}
				for (const other of this.seats[to]) {
					const loss = this.worthAt(other, to);
					if (gain - now - loss + this.table.mostWorth[other] <= most) continue;
					if (!this.keepsSize(to, size - sizes[other]) || !this.fitsIn(unit, to, other)) continue;
					if (mayGo && gain - now - loss > most)
						[best, most] = [{ from, to, other, otherTo: EMPTY }, gain - now - loss];
					if (from !== EMPTY) {
						const back = this.worthAt(other, from);
						if (
							back > 0 &&
							gain - now - loss + back > most &&
							this.keepsSize(from, sizes[other] - size) &&
							this.fitsIn(other, from, unit)
						)
							[best, most] = [{ from, to, other, otherTo: from }, gain - now - loss + back];
					}
					if (!mayGo || gain - now - loss + this.table.mostWorth[other] <= most) continue;
					for (let third = 0; third < this.seats.length; third++) {
						if (third === to || third === from) continue;
						const there = this.worthAt(other, third);
						if (
							there > 0 &&
							gain - now - loss + there > most &&
							this.keepsSize(third, sizes[other]) &&
							this.fitsIn(other, third)
						)
							[best, most] = [{ from, to, other, otherTo: third }, gain - now - loss + there];
					}
				}
			}
		}
		if (!best) return false;
		const { from, to, other, otherTo } = best;
		if (from !== EMPTY) this.leave(unit, from);
		if (other !== EMPTY) this.leave(other, to);
		this.sit(unit, to);
		if (otherTo !== EMPTY) this.sit(other, otherTo);
		return true;
	}
}

/** A ring of nodes whose edges' gains sum to more than 0, as pairs of nodes; null where there is none (Bellman–Ford). */
function positiveRing(gain: Float64Array, nodes: number): [number, number][] | null {
	const reached = new Float64Array(nodes);
	const before = new Int32Array(nodes).fill(EMPTY);
	let changed = EMPTY;
	for (let round = 0; round < nodes; round++) {
		changed = EMPTY;
		for (let from = 0; from < nodes; from++) {
			for (let to = 0; to < nodes; to++) {
				const value = reached[from] + gain[from * nodes + to];
				if (value <= reached[to] + LEAST) continue;
				reached[to] = value;
				before[to] = from;
				changed = to;
			}
		}
		if (changed === EMPTY) return null;
	}
	let node = changed;
	for (let step = 0; step < nodes; step++) node = before[node];
	const ring: [number, number][] = [];
	for (let to = node; ;) {
		ring.push([before[to], to]);
		to = before[to];
		if (to === node) return ring;
	}
}
