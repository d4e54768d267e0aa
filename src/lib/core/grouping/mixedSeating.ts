import type { MixedProblem } from './mixed';

/** One or two secure students to each group of students with the gap. */
export const HELPERS = { minimum: 1, maximum: 2 } as const;

/** A group at a slot; students by their place in the problem. */
export interface Seat {
	slotId: string;
	/** With the gap. */
	members: number[];
	/** Secure. */
	helpers: number[];
}

/** A move of a student from a group, or an exchange with one of another. */
interface Exchange {
	student: number;
	partner: number | null;
}

/** Who may sit with whom in mixed groups, and how they are dealt out. */
export class MixedSeating {
	/** Students with the gap, and those who can help. */
	readonly needing: number[];
	readonly helping: number[];
	readonly #apart: Set<number>[];
	readonly #together: Set<number>[];

	/** @throws RangeError for a pair that names a student who is not there */
	constructor(private readonly problem: MixedProblem) {
		const all = [...problem.students.keys()];
		this.needing = all.filter((i) => !problem.students[i].canHelp && problem.students[i].need > 0);
		this.helping = all.filter((i) => problem.students[i].canHelp);
		this.#apart = this.#links(problem.apart);
		this.#together = this.#links(problem.together);
	}

	#links(pairs: [string, string][]): Set<number>[] {
		const place = new Map(this.problem.students.map(({ id }, i) => [id, i]));
		const lists = this.problem.students.map(() => new Set<number>());
		for (const [one, other] of pairs) {
			const [a, b] = [place.get(one), place.get(other)];
			if (a === undefined || b === undefined) throw new RangeError(`a pair names students ${one} and ${other}`);
			lists[a].add(b);
			lists[b].add(a);
		}
		return lists;
	}

	isFree(student: number, slotId: string): boolean {
		return this.problem.students[student].available.includes(slotId);
	}

	/** Sum of needs. */
	load({ members }: Seat): number {
		return members.reduce((sum, i) => sum + this.problem.students[i].need, 0);
	}

	/** Whether a group has who helps, and students enough. */
	isSound(seat: Seat): boolean {
		return seat.helpers.length >= HELPERS.minimum && heads(seat) >= this.problem.size.minimum;
	}

	/** Slots at which a group could meet, most who could come first. */
	possibleSlots(): string[] {
		const { slots, size } = this.problem;
		return slots
			.map(({ id }) => ({
				id,
				come: this.needing.filter((i) => this.isFree(i, id)).length,
				help: this.helping.filter((i) => this.isFree(i, id)).length
			}))
			.filter(({ come, help }) => help >= HELPERS.minimum && come + Math.min(help, HELPERS.maximum) >= size.minimum)
			.sort((a, b) => b.come - a.come)
			.map(({ id }) => id);
	}

	/** Groups at some slots, as students are dealt out to them; some may be too small. */
	deal(slotIds: string[]): Seat[] {
		const { students } = this.problem;
		const seats: Seat[] = slotIds.map((slotId) => ({ slotId, members: [], helpers: [] }));
		const seated = new Set<number>();
		const seat = (student: number, into: Seat) => this.#seat(this.#unitOf(student), into, seated);
		// Who can help where few others can goes first, to the group that has nobody yet.
		const freeHelpers = ({ slotId }: Seat) => this.helping.filter((i) => this.isFree(i, slotId)).length;
		for (const into of [...seats].sort((a, b) => freeHelpers(a) - freeHelpers(b)))
			this.helping
				.filter((i) => this.isFree(i, into.slotId) && !seated.has(i))
				.sort((a, b) => students[a].available.length - students[b].available.length || a - b)
				.find((i) => seat(i, into));
		for (const i of [...this.needing].sort((a, b) => students[b].need - students[a].need || a - b)) {
			if (seated.has(i)) continue;
			[...seats].sort((a, b) => this.load(a) - this.load(b) || heads(a) - heads(b)).find((into) => seat(i, into));
		}
		// A second helper where there is room, first for those who carry most.
		for (const into of [...seats].sort((a, b) => this.load(b) - this.load(a)))
			if (into.helpers.length < HELPERS.maximum) this.helping.find((i) => seat(i, into));
		return seats;
	}

	/** A student with those they belong with. */
	#unitOf(student: number): number[] {
		const unit = [student];
		for (const one of unit) for (const other of this.#together[one]) if (!unit.includes(other)) unit.push(other);
		return unit;
	}

	/** Puts students who belong together into a group, if all may sit there. */
	#seat(unit: number[], into: Seat, seated: Set<number>): boolean {
		const isHelper = (i: number) => this.problem.students[i].canHelp;
		const helpers = unit.filter(isHelper);
		if (unit.some((i) => seated.has(i)) || heads(into) + unit.length > this.problem.size.maximum) return false;
		if (into.helpers.length + helpers.length > HELPERS.maximum) return false;
		if (!unit.every((i) => this.#fits(i, into)) || unit.some((a) => unit.some((b) => this.#apart[a].has(b))))
			return false;
		into.helpers.push(...helpers);
		into.members.push(...unit.filter((i) => !isHelper(i)));
		unit.forEach((i) => seated.add(i));
		return true;
	}

	/** Whether somebody may sit in a group from which one leaves: free then, not with whom they must be apart from. */
	#fits(student: number, seat: Seat, without: number | null = null): boolean {
		return (
			this.isFree(student, seat.slotId) &&
			[...seat.members, ...seat.helpers].every((other) => other === without || !this.#apart[student].has(other))
		);
	}

	/** Moves and exchanges single students as long as that brings the sums of needs closer together. */
	even(seats: Seat[]): void {
		const squares = () => seats.reduce((sum, seat) => sum + this.load(seat) ** 2, 0);
		for (let improved = true; improved;) {
			improved = false;
			const before = squares();
			for (const [from, to] of seats.flatMap((one) => seats.map((other) => [one, other] as const))) {
				const found = from === to ? null : this.#exchangeOf(from, to);
				if (!found) continue;
				exchange(from, to, found);
				improved = squares() < before - 1e-12;
				if (improved) break;
			}
		}
	}

	/** The first exchange that takes need from one group to another with less, and does not make that the one with more. */
	#exchangeOf(from: Seat, to: Seat): Exchange | null {
		const { students, size } = this.problem;
		const between = this.load(from) - this.load(to);
		if (between <= 0) return null;
		const isSingle = (i: number) => this.#together[i].size === 0;
		const isPossible = (student: number, partner: number | null) =>
			partner === null
				? heads(from) - 1 >= size.minimum && heads(to) + 1 <= size.maximum && this.#fits(student, to)
				: this.#fits(student, to, partner) && this.#fits(partner, from, student);
		for (const student of from.members.filter(isSingle))
			for (const partner of [null, ...to.members.filter(isSingle)]) {
				const change = students[student].need - (partner === null ? 0 : students[partner].need);
				if (change > 1e-9 && change < between - 1e-9 && isPossible(student, partner)) return { student, partner };
			}
		return null;
	}
}

const heads = ({ members, helpers }: Seat) => members.length + helpers.length;

function exchange(from: Seat, to: Seat, { student, partner }: Exchange): void {
	from.members = from.members.filter((one) => one !== student);
	to.members = [...to.members.filter((one) => one !== partner), student];
	if (partner !== null) from.members.push(partner);
}
