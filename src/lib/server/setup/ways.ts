import Type from 'typebox';
import type { Way } from '../people';
import { id, jsonCheck, jsonIn } from '../request';

/** Students whose moves can be taken back at once. */
const MOST = 2_000;
const waysCheck = jsonCheck(
	Type.Array(
		Type.Object({
			studentId: id,
			ended: Type.Union([
				Type.Object({ id, untilOn: Type.Union([Type.String({ format: 'date' }), Type.Null()]) }),
				Type.Null()
			]),
			begunId: Type.Union([id, Type.Null()])
		}),
		{ maxItems: MOST }
	)
);

/** Students' ways between classes as a hidden field carries them; null for what is none. */
export function waysIn(text: string): Way[] | null {
	const ways = waysCheck(jsonIn(text));
	return 'problem' in ways ? null : ways.value;
}
