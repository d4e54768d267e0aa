import type { BrokenLimit } from './brokenLimit';
import { HELPERS, MixedSeating, type Seat } from './mixedSeating';
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

/**
 * Mixed groups for peer help: as many students with the gap as can be placed, one or two secure ones to each group, and
 * sums of need as even as exchanges can make them.
 *
 * Groups take slots in the order of how many students could come; students are dealt out by need, the largest first, to
 * the group with the smallest sum that may take them (longest processing time first, Graham 1969); then moves and
 * exchanges that bring the sums closer. Same inputs, same answer.
 *
 * @throws RangeError for a pair that names a student who is not there
 */
export function solveMixed(problem: MixedProblem): MixedResult {
	const { students, size } = problem;
	const seating = new MixedSeating(problem);
	const { needing, helping } = seating;
	const most = Math.min(
		problem.mostGroups ?? problem.slots.length,
		problem.slots.length,
		helping.length,
		Math.ceil(needing.length / Math.max(1, size.minimum - HELPERS.maximum))
	);
	const possible = seating.possibleSlots();
	// As few groups as hold everybody, and as many as can be filled.
	let best: Seat[] = [];
	const placedIn = (seats: Seat[]) => seats.reduce((sum, { members }) => sum + members.length, 0);
	for (let count = Math.min(most, possible.length); count >= 1; count--) {
		const seats = seating.deal(possible.slice(0, count));
		if (seats.every((seat) => seating.isSound(seat)) && placedIn(seats) > placedIn(best)) best = seats;
	}
	seating.even(best);
	const idsOf = (places: number[]) => places.sort((a, b) => a - b).map((i) => students[i].id);
	const groups = best.map((seat) => ({
		slotId: seat.slotId,
		studentIds: idsOf(seat.members),
		helperIds: idsOf(seat.helpers),
		load: seating.load(seat)
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

	function reasonFor(i: number): string {
		if (students[i].available.length === 0) return 'Free at no time when a group can meet.';
		if (helping.length === 0) return 'Nobody here is secure on this focus and could help.';
		if (!possible.some((slotId) => seating.isFree(i, slotId)))
			return `No time when this student is free has one who can help and ${size.minimum} students in all.`;
		return 'Every group that this student could join is full: one more meeting time would make room.';
	}
}
