/** A line of what was done: a thing with its value, or what changed of it from `before` to `value`. */
export interface DetailLine {
	name: string;
	before?: string;
	value: string;
}

/** Items of a list that are told; the others are counted. */
const TOLD = 6;

const isFields = (value: unknown): value is Record<string, unknown> =>
	typeof value === 'object' && value !== null && !Array.isArray(value);

/** `preferredName` as people read it: `preferred name`. */
const words = (name: string) => name.replace(/([a-z])([A-Z])/g, '$1 $2').toLowerCase();

function say(value: unknown): string {
	if (value === null || value === undefined || value === '') return 'nothing';
	if (Array.isArray(value)) {
		const told = value.slice(0, TOLD).map(say).join(', ') || 'none';
		return value.length > TOLD ? `${told} and ${value.length - TOLD} more` : told;
	}
	if (isFields(value))
		return Object.entries(value)
			.map(([name, one]) => `${words(name)} ${say(one)}`)
			.join(', ');
	return String(value);
}

/**
 * What an entry of the log holds, line by line: of `before` and `after` only the fields that differ. Who it is about
 * (`student`, `students`, `studentIds`) is told elsewhere.
 *
 * @param names of things by their ids, for fields that hold ids: those of `skill` for `skill`, and for a list of `skills`
 */
export function detailLines(detail: unknown, names: Record<string, Map<number, string>> = {}): DetailLine[] {
	if (!isFields(detail)) return [];
	const { before, after, student: _student, students: _students, studentIds: _ids, ...rest } = detail;
	const changes =
		isFields(before) || isFields(after)
			? changesBetween(isFields(before) ? before : {}, isFields(after) ? after : {})
			: before !== undefined || after !== undefined
				? [{ name: 'is', before: say(before), value: say(after) }]
				: [];
	const lines = Object.entries(rest).map(([name, value]) => {
		// A number under `skills` is how many; a list says which.
		const known = names[Array.isArray(value) ? name.replace(/s$/, '') : name];
		return { name: words(name), value: say(known ? named(value, known) : value) };
	});
	return [...lines, ...changes];
}

/** An id, or a list of them, by name where that is known. */
function named(value: unknown, known: Map<number, string>): unknown {
	if (Array.isArray(value)) return value.map((one) => named(one, known));
	return typeof value === 'number' ? (known.get(value) ?? value) : value;
}

function changesBetween(before: Record<string, unknown>, after: Record<string, unknown>): DetailLine[] {
	// What was changed; of what was taken away, all.
	const names = Object.keys(after).length ? Object.keys(after) : Object.keys(before);
	return names.flatMap((name) => {
		const [was, is] = [say(before[name]), say(after[name])];
		return was === is ? [] : [{ name: words(name), before: was, value: is }];
	});
}
