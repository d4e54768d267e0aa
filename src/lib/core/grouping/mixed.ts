import type { BrokenLimit } from './brokenLimit';
import type { Judge } from './moves';
import type { GroupingProblem } from './problem';

/** Students of whom some have a gap and some can help, to be mixed for peer help on one focus. */
export interface MixedProblem {
	students: {
		id: string;
		/** Need for the focus, as in a grouping problem; of no account for who can help. */
		need: number;
		/** Secure on the focus. */
		canHelp: boolean;
		/** Slots at which the student is free. */
		available: string[];
	}[];
	slots: { id: string }[];
	size: { minimum: number; maximum: number };
	apart: [string, string][];
	together: [string, string][];
	/** How many groups may be formed; as many as there are slots when absent. */
	mostGroups?: number;
}

/** Mixed groups of the students of a problem on one of its focuses, each as large as a tier 2 group. */
export function mixedFrom(problem: GroupingProblem, focusId: string, helperIds: string[]): MixedProblem {
	const canHelp = new Set(helperIds);
	return {
		students: problem.students.map(({ id, needs, available }) => ({
			id,
			need: needs[focusId] ?? 0,
			canHelp: canHelp.has(id),
			available
		})),
		slots: problem.slots,
		size: problem.sizes[2],
		apart: problem.apart,
		together: problem.together,
		mostGroups: problem.mostGroups
	};
}

interface MixedGroup {
	slotId: string;
	/** With the gap. */
	studentIds: string[];
	/** Secure: one or two. */
	helperIds: string[];
	/** Sum of needs. */
	load: number;
}

export interface MixedResult {
	groups: MixedGroup[];
	/** Largest less smallest sum of needs. */
	spread: number;
	unplaced: { studentId: string; reason: string }[];
}

/** Judges mixed groups: needs met, and the limits they break. Helpers are students who can help. */
export function judgeMixed(problem: MixedProblem): Judge {
	const by = new Map(problem.students.map((student) => [student.id, student]));
	return (groups) => {
		const broken: BrokenLimit[] = [];
		const most = problem.mostGroups ?? Infinity;
		const seats = new Map<string, number>();
		let worth = 0;
		if (groups.length > most) broken.push({ limit: 'groups', count: groups.length, most });
		for (const { slotId, focusId, studentIds } of groups) {
			const { minimum, maximum } = problem.size;
			const count = studentIds.length;
			if (count < minimum || count > maximum)
				broken.push({ limit: 'size', slotId, count, tier: null, minimum, maximum });
			const helpers = studentIds.filter((id) => by.get(id)?.canHelp).length;
			if (helpers < HELPERS.minimum || helpers > HELPERS.maximum)
				broken.push({ limit: 'helpers', slotId, count: helpers, ...HELPERS });
			for (const id of studentIds) {
				const student = by.get(id)!;
				worth += student.canHelp ? 0 : student.need;
				seats.set(id, (seats.get(id) ?? 0) + 1);
				if (!student.available.includes(slotId)) broken.push({ limit: 'not free', studentId: id, slotId });
				if (!student.canHelp && !(student.need > 0)) broken.push({ limit: 'no need', studentId: id, focusId });
			}
			for (const [a, b] of problem.apart)
				if (studentIds.includes(a) && studentIds.includes(b)) broken.push({ limit: 'apart', studentIds: [a, b] });
			for (const [a, b] of problem.together)
				if (studentIds.includes(a) !== studentIds.includes(b)) broken.push({ limit: 'together', studentIds: [a, b] });
		}
		for (const [id, count] of seats) if (count > 1) broken.push({ limit: 'groups of a student', studentId: id, count });
		return { worth, broken };
	};
}

/** One or two secure students to each group of students with the gap. */
export const HELPERS = { minimum: 1, maximum: 2 } as const;

interface Seat {
	slotId: string;
	members: number[];
	helpers: number[];
}

/**
 * Mixed groups for peer help: as many students with the gap as can be placed, one or two secure ones to each group, and
 * sums of need as even as exchanges can make them.
 *
 * Groups take slots in the order of how many students could come; students are dealt out by need, the largest first, to
 * the group with the smallest sum that may take them (longest processing time first, Graham 1969); then moves and
 * exchanges that bring the sums closer. Same inputs, same answer.
 */
export function solveMixed(problem: MixedProblem): MixedResult {
	const { students, size } = problem;
	const place = new Map(students.map(({ id }, i) => [id, i]));
	const links = (pairs: [string, string][]) => {
		const lists = students.map(() => new Set<number>());
		for (const [one, other] of pairs) {
			const [a, b] = [place.get(one), place.get(other)];
			if (a === undefined || b === undefined) throw new RangeError(`a pair names students ${one} and ${other}`);
			lists[a].add(b);
			lists[b].add(a);
		}
		return lists;
	};
	const [apart, together] = [links(problem.apart), links(problem.together)];
	const isFree = (i: number, slotId: string) => students[i].available.includes(slotId);
	const heads = ({ members, helpers }: Seat) => members.length + helpers.length;
	const load = ({ members }: Seat) => members.reduce((sum, i) => sum + students[i].need, 0);
	const all = students.map((_, i) => i);
	const needing = all.filter((i) => !students[i].canHelp && students[i].need > 0);
	const helping = all.filter((i) => students[i].canHelp);

	/** Whether somebody may sit in a group from which some leave: free then, not with whom they must be apart from. */
	const fits = (i: number, seat: Seat, without: number[] = []) =>
		isFree(i, seat.slotId) &&
		[...seat.members, ...seat.helpers].every((other) => without.includes(other) || !apart[i].has(other));
	/** A student with those they belong with. */
	const unitOf = (i: number) => {
		const unit = [i];
		for (const one of unit) for (const other of together[one]) if (!unit.includes(other)) unit.push(other);
		return unit;
	};

	const most = Math.min(
		problem.mostGroups ?? problem.slots.length,
		problem.slots.length,
		helping.length,
		Math.ceil(needing.length / Math.max(1, size.minimum - HELPERS.maximum))
	);
	const possible = problem.slots
		.map(({ id }) => ({
			id,
			come: needing.filter((i) => isFree(i, id)).length,
			help: helping.filter((i) => isFree(i, id)).length
		}))
		.filter(({ come, help }) => help >= HELPERS.minimum && come + Math.min(help, HELPERS.maximum) >= size.minimum)
		.sort((a, b) => b.come - a.come);

	// As few groups as hold everybody, and as many as can be filled.
	let best: Seat[] = [];
	for (let count = Math.min(most, possible.length); count >= 1; count--) {
		const seats = deal(possible.slice(0, count).map(({ id }) => ({ slotId: id, members: [], helpers: [] })));
		const sound = seats.filter((seat) => seat.helpers.length >= HELPERS.minimum && heads(seat) >= size.minimum);
		const placedIn = (some: Seat[]) => some.reduce((sum, { members }) => sum + members.length, 0);
		if (sound.length === seats.length && placedIn(sound) > placedIn(best)) best = sound;
	}
	even(best);
	const groups = best.map((seat) => ({
		slotId: seat.slotId,
		studentIds: seat.members.sort((a, b) => a - b).map((i) => students[i].id),
		helperIds: seat.helpers.sort((a, b) => a - b).map((i) => students[i].id),
		load: load(seat)
	}));
	const loads = groups.map((group) => group.load);
	const seated = new Set(groups.flatMap(({ studentIds, helperIds }) => [...studentIds, ...helperIds]));
	return {
		groups,
		spread: loads.length ? Math.max(...loads) - Math.min(...loads) : 0,
		unplaced: needing
			.filter((i) => !seated.has(students[i].id))
			.map((i) => ({ studentId: students[i].id, reason: reasonFor(i) }))
	};

	function deal(seats: Seat[]): Seat[] {
		const seated = new Set<number>();
		/** Puts a student and those they belong with into a group, if all may sit there. */
		const seat = (unit: number[], into: Seat): boolean => {
			const helpers = unit.filter((i) => students[i].canHelp);
			if (unit.some((i) => seated.has(i)) || heads(into) + unit.length > size.maximum) return false;
			if (into.helpers.length + helpers.length > HELPERS.maximum) return false;
			if (!unit.every((i) => fits(i, into)) || unit.some((a) => unit.some((b) => apart[a].has(b)))) return false;
			into.helpers.push(...helpers);
			into.members.push(...unit.filter((i) => !students[i].canHelp));
			unit.forEach((i) => seated.add(i));
			return true;
		};
		// Who can help where few others can goes first, to the group that has nobody yet.
		const freeHelpers = (slotId: string) => helping.filter((i) => isFree(i, slotId)).length;
		for (const into of [...seats].sort((a, b) => freeHelpers(a.slotId) - freeHelpers(b.slotId))) {
			const choices = helping
				.filter((i) => isFree(i, into.slotId) && !seated.has(i))
				.sort((a, b) => students[a].available.length - students[b].available.length || a - b);
			choices.find((i) => seat(unitOf(i), into));
		}
		const byNeed = [...needing].sort((a, b) => students[b].need - students[a].need || a - b);
		for (const i of byNeed) {
			if (seated.has(i)) continue;
			[...seats].sort((a, b) => load(a) - load(b) || heads(a) - heads(b)).find((into) => seat(unitOf(i), into));
		}
		// A second helper where there is room, first for those who carry most.
		for (const into of [...seats].sort((a, b) => load(b) - load(a))) {
			if (into.helpers.length < HELPERS.maximum) helping.find((i) => seat(unitOf(i), into));
		}
		return seats;
	}

	/** Moves and exchanges single students as long as that brings the sums closer together. */
	function even(seats: Seat[]): void {
		const squares = () => seats.reduce((sum, seat) => sum + load(seat) ** 2, 0);
		const single = (i: number) => together[i].size === 0;
		for (let improved = true; improved;) {
			improved = false;
			const before = squares();
			for (const from of seats) {
				for (const to of seats) {
					if (from === to || load(from) <= load(to)) continue;
					for (const i of from.members) {
						if (!single(i)) continue;
						const partners = [null, ...to.members.filter(single)];
						const found = partners.find((other) => {
							if (other === null) {
								if (heads(from) - 1 < size.minimum || heads(to) + 1 > size.maximum || !fits(i, to)) return false;
							} else if (!fits(i, to, [other]) || !fits(other, from, [i])) return false;
							const change = students[i].need - (other === null ? 0 : students[other].need);
							return change > 1e-9 && change < load(from) - load(to) - 1e-9;
						});
						if (found === undefined) continue;
						from.members = from.members.filter((one) => one !== i);
						to.members = [...to.members, i];
						if (found !== null) {
							to.members = to.members.filter((one) => one !== found);
							from.members = [...from.members, found];
						}
						improved = squares() < before - 1e-12;
						break;
					}
					if (improved) break;
				}
				if (improved) break;
			}
		}
	}

	function reasonFor(i: number): string {
		if (students[i].available.length === 0) return 'Free at no time when a group can meet.';
		if (helping.length === 0) return 'Nobody here is secure on this focus and could help.';
		if (!possible.some(({ id }) => isFree(i, id)))
			return `No time when this student is free has one who can help and ${size.minimum} students in all.`;
		return 'Every group that this student could join is full: one more meeting time would make room.';
	}
}
