import { plural } from '../words';
import { indexProblem, valueOf, type Group, type GroupingProblem, type IndexedProblem } from './problem';

/** Every limit a grouping breaks, in words; empty when it keeps them all. Used for groups changed by hand, too. */
export function brokenLimits(source: GroupingProblem, groups: Group[]): string[] {
	return brokenIn(indexProblem(source), groups);
}

/** `brokenLimits` of a problem that is indexed already. */
export function brokenIn(problem: IndexedProblem, groups: Group[]): string[] {
	const { source } = problem;
	const position = new Map(source.students.map((student, i) => [student.id, i]));
	const broken: string[] = [];
	const usedSlots = new Set<string>();
	const seats = new Map<string, number>();
	for (const { slotId, focusId, studentIds } of groups) {
		const slot = source.slots.findIndex(({ id }) => id === slotId);
		if (slot < 0) broken.push(`slot ${slotId} does not exist`);
		if (usedSlots.has(slotId)) broken.push(`slot ${slotId} holds two groups`);
		usedSlots.add(slotId);
		const members = studentIds.map((id) => position.get(id)!);
		const tiers = new Set(members.map((i) => problem.tiers[i]));
		if (tiers.size > 1) broken.push(`the group at ${slotId} mixes tiers`);
		for (const tier of tiers) {
			const { minimum, maximum } = source.sizes[tier];
			if (members.length < minimum || members.length > maximum) {
				broken.push(
					`the group at ${slotId} has ${plural(members.length, 'student')}; tier ${tier} takes ${minimum} to ${maximum}`
				);
			}
			if (slot >= 0 && !problem.slotTiers[slot].includes(tier)) broken.push(`slot ${slotId} is not for tier ${tier}`);
		}
		for (const i of members) {
			const { id } = source.students[i];
			seats.set(id, (seats.get(id) ?? 0) + 1);
			if (slot >= 0 && !problem.isFree[slot][i]) broken.push(`${id} is not free at ${slotId}`);
			if (!(source.students[i].needs[focusId] > 0)) broken.push(`${id} does not need ${focusId}`);
			for (const other of problem.apart[i])
				if (i < other && members.includes(other)) broken.push(`${id} and ${source.students[other].id} must be apart`);
			for (const other of problem.together[i])
				if (!members.includes(other)) broken.push(`${id} and ${source.students[other].id} must be together`);
		}
	}
	if (groups.length > problem.mostGroups)
		broken.push(`there are ${groups.length} groups; ${problem.mostGroups} may be formed`);
	for (const [id, count] of seats) {
		if (count > problem.maximumGroups[position.get(id)!]) broken.push(`${id} is in ${count} groups`);
	}
	return broken;
}

/** What a grouping is worth: needs met, and `keepWorth` for each student left where she is. */
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
