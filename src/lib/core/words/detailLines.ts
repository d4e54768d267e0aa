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
 */
export function detailLines(detail: unknown): DetailLine[] {
	if (!isFields(detail)) return [];
	const { before, after, student: _student, students: _students, studentIds: _ids, ...rest } = detail;
	const changes =
		isFields(before) || isFields(after)
			? changesBetween(isFields(before) ? before : {}, isFields(after) ? after : {})
			: before !== undefined || after !== undefined
				? [{ name: 'is', before: say(before), value: say(after) }]
				: [];
	return [...Object.entries(rest).map(([name, value]) => ({ name: words(name), value: say(value) })), ...changes];
}

function changesBetween(before: Record<string, unknown>, after: Record<string, unknown>): DetailLine[] {
	// What was changed; of what was taken away, all.
	const names = Object.keys(after).length ? Object.keys(after) : Object.keys(before);
	return names.flatMap((name) => {
		const [was, is] = [say(before[name]), say(after[name])];
		return was === is ? [] : [{ name: words(name), before: was, value: is }];
	});
}
