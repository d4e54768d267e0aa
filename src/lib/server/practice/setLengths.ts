import { SAMPLE_SEED } from '../../core/items';
import { itemFrom, itemsForSkill } from '../../core/items/bank';
import { meanQuestionMs } from '../../core/practice';

/** Questions by which it is told how long a skill's questions take. */
const LOOKED_AT = 12;

/** Questions of a skill never change while the server runs. */
const known = new Map<string, number>();

/** Time (ms) that a question of a skill usually takes. @throws RangeError for a skill without questions */
export function questionMs(skillCode: string): number {
	let ms = known.get(skillCode);
	if (ms === undefined) {
		const stems = itemsForSkill(skillCode, LOOKED_AT, SAMPLE_SEED).map(
			({ familyId, seed }) => itemFrom(familyId, seed).stem
		);
		known.set(skillCode, (ms = meanQuestionMs(stems)));
	}
	return ms;
}
