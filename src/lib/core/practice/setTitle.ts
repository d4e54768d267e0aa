/** What a set is called by. */
interface Titled {
	/** Null: by its skills. */
	name: string | null;
	isOwnStep?: boolean;
	/** In their order. */
	skillIds: number[];
}

/**
 * What a set is called: by its name, or by its skills.
 *
 * @param nameOf short name of a skill
 */
export function setTitle({ name, isOwnStep = false, skillIds }: Titled, nameOf: (skillId: number) => string): string {
	if (name) return name;
	const [first, second, ...more] = skillIds;
	if (isOwnStep && second !== undefined) return 'Each their own next step';
	if (more.length) return `${nameOf(first)} and ${more.length + 1} more skills`;
	return second === undefined ? nameOf(first) : `${nameOf(first)} and ${nameOf(second)}`;
}
