import { indexProblem, type Group, type GroupingProblem } from './problem';
import { tableOf } from './seats';

/** A meeting time that is not in the problem yet: somebody would have to hold it. */
export interface PossibleSlot {
	id: string;
	/** Students who could come. */
	availableIds: string[];
}

/** A group that one more meeting time would hold, made of students who have none. */
export interface MoreGroup extends Group {
	tier: 2 | 3;
	/** Need it would meet. */
	worth: number;
}

/**
 * What one more meeting time would bring: for each possible slot, the group of students without one that meets most
 * need; those that would hold none are left out. Most need first, each one by itself.
 */
export function whatWouldPlace(problem: GroupingProblem, groups: Group[], possible: PossibleSlot[]): MoreGroup[] {
	const placed = new Set(groups.flatMap(({ studentIds }) => studentIds));
	const left = problem.students.filter(({ id }) => !placed.has(id));
	const ids = new Set(left.map(({ id }) => id));
	const kept = (pairs: [string, string][]) => pairs.filter((pair) => pair.every((id) => ids.has(id)));
	// Who belongs with somebody that is placed cannot be placed without them.
	const torn = new Set(problem.together.flatMap((pair) => (pair.some((id) => placed.has(id)) ? pair : [])));
	return possible
		.flatMap(({ id: slotId, availableIds }): MoreGroup[] => {
			const comes = new Set(availableIds);
			const indexed = indexProblem({
				...problem,
				students: left.map((student) => ({
					...student,
					available: comes.has(student.id) && !torn.has(student.id) ? [slotId] : []
				})),
				slots: [{ id: slotId }],
				apart: kept(problem.apart),
				together: kept(problem.together),
				mostGroups: 1
			});
			const table = tableOf(indexed);
			const best = table.options
				.map((option): MoreGroup | null => {
					const { maximum, minimum } = problem.sizes[option.tier];
					const members: number[] = [];
					const seated: number[] = [];
					for (const unit of option.units) {
						if (members.length + table.sizes[unit] > maximum) continue;
						if (seated.some((other) => table.units[unit].apart.has(other))) continue;
						seated.push(unit);
						members.push(...table.units[unit].members);
					}
					if (members.length < minimum) return null;
					return {
						slotId,
						focusId: indexed.focusIds[option.focus],
						tier: option.tier,
						studentIds: members.map((i) => left[i].id),
						worth: members.reduce((sum, i) => sum + indexed.needs[i][option.focus], 0)
					};
				})
				.filter((group) => group !== null)
				.sort((a, b) => b.worth - a.worth)[0];
			return best ? [best] : [];
		})
		.sort((a, b) => b.worth - a.worth || b.studentIds.length - a.studentIds.length);
}
