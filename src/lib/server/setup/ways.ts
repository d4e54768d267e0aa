import Type from 'typebox';
import type { Way } from '../people';
import { id, jsonCheck, jsonIn } from '../request';

/** Students whose moves can be taken back at once. */
const MOST = 2_000;
/** A membership with its end. */
const membership = Type.Object({ id, untilOn: Type.Union([Type.String({ format: 'date' }), Type.Null()]) });
const waysCheck = jsonCheck(
	Type.Array(
		Type.Object({
			studentId: id,
			ended: Type.Array(membership, { maxItems: 20 }),
			begun: Type.Union([membership, Type.Null()])
		}),
		{ maxItems: MOST }
	)
);

/** Students' ways between classes as a hidden field carries them; null for what is none. */
export function waysIn(text: string): Way[] | null {
	const ways = waysCheck(jsonIn(text));
	return 'problem' in ways ? null : ways.value;
}
