/** What a set is called by. */
interface Titled {
	/** Null: by its skills. */
	name: string | null;
	isOwnStep?: boolean;
}

/**
 * What a set is called: by its name, or by its skills.
 *
 * @param skills short names, in their order
 */
export function setTitle({ name, isOwnStep = false }: Titled, skills: string[]): string {
	if (name) return name;
	if (isOwnStep && skills.length > 1) return 'Each their own next step';
	const [first, second, ...more] = skills;
	if (more.length) return `${first} and ${more.length + 1} more skills`;
	return second ? `${first} and ${second}` : first;
}
