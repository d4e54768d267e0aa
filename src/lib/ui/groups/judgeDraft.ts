import type { Group, GroupingProblem } from '$lib/core/grouping';
import { brokenLimits, needMet } from '$lib/core/grouping';

/** A draft as the board shows it: one place for each slot that is used, and those left out. */
export interface DraftGroup extends Group {
	tier: 2 | 3;
}

/** What a draft is worth now, and which limits it breaks, in the names that people know. */
export function judgeDraft(
	problem: GroupingProblem,
	groups: DraftGroup[],
	nameOf: (studentId: string) => string,
	slotName: (slotId: string) => string
) {
	const held = groups.filter((group) => group.studentIds.length > 0);
	const named = (text: string) => {
		let said = text;
		for (const { id } of problem.slots) said = said.replace(new RegExp(`(at |slot )${id}\\b`), `$1${slotName(id)}`);
		return said
			.replace(/^(\d+) (is|does|and)/, (_, id, verb) => `${nameOf(id)} ${verb}`)
			.replace(/and (\d+) must/, (_, id) => `and ${nameOf(id)} must`)
			.replace(/does not need \d+/, 'does not need this focus');
	};
	return { worth: needMet(problem, held), broken: brokenLimits(problem, held).map(named) };
}
