import { FAILED_OFTEN, MUCH_WAITING_MINUTES, type PracticeWarning } from '$lib/core/practice';

/** Names that are told one by one; of more the others are counted. */
const NAMED = 3;

/** Some names as part of a sentence: `A, B and 3 more`. */
export function sayNames(names: string[]): string {
	if (names.length <= NAMED) return names.join(', ').replace(/, ([^,]*)$/, ' and $1');
	return `${names.slice(0, NAMED).join(', ')} and ${names.length - NAMED} more`;
}

/** What speaks against giving a set to some, as a sentence with their names. */
export function sayWarning(
	warning: PracticeWarning,
	nameOf: (studentId: number) => string,
	skillName: (skillId: number) => string
): string {
	const who = sayNames(warning.studentIds.map(nameOf));
	const [has, is] = warning.studentIds.length === 1 ? ['has', 'is'] : ['have', 'are'];
	switch (warning.kind) {
		case 'much waiting':
			return `${who} ${has} ${MUCH_WAITING_MINUTES} min or more waiting already.`;
		case 'from elsewhere':
			return `${who} ${is} not among those who are looked at.`;
		case 'waits already':
			return `${who} ${has} ${skillName(warning.skillId)} waiting already.`;
		case 'secure already':
			return `${who} ${is} secure in ${skillName(warning.skillId)}.`;
		case 'failed often':
			return `${who} failed ${skillName(warning.skillId)} in the last ${FAILED_OFTEN} sets: a small group, one to one, or what comes before will do more than the same again.`;
		case 'prerequisite is a gap':
			return `For ${who} ${skillName(warning.prerequisiteId)}, which comes before ${skillName(warning.skillId)}, is a gap.`;
	}
}
