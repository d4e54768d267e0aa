/** A broken limit as core words it, in the names that people know instead of ids. */
export function sayBroken(
	text: string,
	slotIds: string[],
	nameOf: (studentId: string) => string,
	slotName: (slotId: string) => string
): string {
	let said = text;
	for (const id of slotIds) said = said.replace(new RegExp(`(at |slot )${id}\\b`), `$1${slotName(id)}`);
	return said
		.replace(/^(\d+) (is|does|and)/, (_, id, verb) => `${nameOf(id)} ${verb}`)
		.replace(/and (\d+) must/, (_, id) => `and ${nameOf(id)} must`)
		.replace(/does not need \d+/, 'does not need this focus');
}
