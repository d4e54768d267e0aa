import Type from 'typebox';
import type { SaidOf } from '../people';
import { id, jsonCheck, jsonIn } from '../request';

/** Students of whom something can be said at once. */
const MOST = 2_000;
/** Characters of what is said. */
export const LONGEST_SAID = 120;
const saidCheck = jsonCheck(
	Type.Array(Type.Object({ student: id, value: Type.Union([Type.String({ maxLength: LONGEST_SAID }), Type.Null()]) }), {
		maxItems: MOST
	})
);

/** What was said of students as a hidden field carries it; null for what is none. */
export function saidIn(text: string): SaidOf[] | null {
	const said = saidCheck(jsonIn(text));
	return 'problem' in said ? null : said.value;
}
