import type { BrokenLimit } from './brokenLimit';
import { indexProblem, valueOf, type Group, type GroupingProblem, type IndexedProblem } from './problem';

/** Every limit a grouping breaks; empty when it keeps them all. Used for groups changed by hand, too. */
export function brokenLimits(source: GroupingProblem, groups: Group[]): BrokenLimit[] {
	return brokenIn(indexProblem(source), groups);
}

/** `brokenLimits` of a problem that is indexed already. */
export function brokenIn(problem: IndexedProblem, groups: Group[]): BrokenLimit[] {
	const { source } = problem;
	const position = new Map(source.students.map((student, i) => [student.id, i]));
	const broken: BrokenLimit[] = [];
	const usedSlots = new Set<string>();
	const seats = new Map<string, number>();
	for (const { slotId, focusId, studentIds } of groups) {
		const slot = source.slots.findIndex(({ id }) => id === slotId);
		if (slot < 0) broken.push({ limit: 'unknown slot', slotId });
		if (usedSlots.has(slotId)) broken.push({ limit: 'slot held twice', slotId });
		usedSlots.add(slotId);
		const members = studentIds.map((id) => position.get(id)!);
		const tiers = new Set(members.map((i) => problem.tiers[i]));
		if (tiers.size > 1) broken.push({ limit: 'mixed tiers', slotId });
		for (const tier of tiers) {
			const { minimum, maximum } = source.sizes[tier];
			const count = members.length;
			if (count < minimum || count > maximum) broken.push({ limit: 'size', slotId, count, tier, minimum, maximum });
			if (slot >= 0 && !problem.slotTiers[slot].includes(tier)) broken.push({ limit: 'tier of slot', slotId, tier });
		}
		for (const i of members) {
			const { id } = source.students[i];
			seats.set(id, (seats.get(id) ?? 0) + 1);
			if (slot >= 0 && !problem.isFree[slot][i]) broken.push({ limit: 'not free', studentId: id, slotId });
			if (!(source.students[i].needs[focusId] > 0)) broken.push({ limit: 'no need', studentId: id, focusId });
			for (const other of problem.apart[i])
				if (i < other && members.includes(other))
					broken.push({ limit: 'apart', studentIds: [id, source.students[other].id] });
			for (const other of problem.together[i])
				if (!members.includes(other)) broken.push({ limit: 'together', studentIds: [id, source.students[other].id] });
		}
	}
	if (groups.length > problem.mostGroups)
		broken.push({ limit: 'groups', count: groups.length, most: problem.mostGroups });
	for (const [id, count] of seats) {
		if (count > problem.maximumGroups[position.get(id)!])
			broken.push({ limit: 'groups of a student', studentId: id, count });
	}
	return broken;
}

/** What a grouping is worth: needs met, and `keepWorth` for each student left where they are. */
export function worthOf(source: GroupingProblem, groups: Group[]): number {
	return worthIn(indexProblem(source), groups);
}

/** `worthOf` in a problem that is indexed already. */
export function worthIn(problem: IndexedProblem, groups: Group[]): number {
	const { source } = problem;
	const position = new Map(source.students.map(({ id }, i) => [id, i]));
	return groups.reduce((sum, { slotId, focusId, studentIds }) => {
		const slot = source.slots.findIndex(({ id }) => id === slotId);
		const focus = problem.focusIds.indexOf(focusId);
		const values = studentIds.map((id) => (focus < 0 ? 0 : valueOf(problem, position.get(id)!, slot, focus)));
		return sum + values.reduce((part, value) => part + value, 0);
	}, 0);
}

/** Sum of needs met by a grouping. */
export function needMet(source: GroupingProblem, groups: Group[]): number {
	const needs = new Map(source.students.map((student) => [student.id, student.needs]));
	return groups.reduce(
		(sum, { focusId, studentIds }) => sum + studentIds.reduce((part, id) => part + (needs.get(id)?.[focusId] ?? 0), 0),
		0
	);
}
