import { itemFrom, itemsForSkill, SAMPLE_SEED } from '../../core/items';
import { SET_LENGTHS, usualMinutes } from '../../core/practice';

/** Questions by which it is told how long a skill's questions take. */
const LOOKED_AT = 12;

/** How long a set on a skill can be: questions, and the minutes that they usually take. */
export function setLengths(skillCode: string) {
	const stems = itemsForSkill(skillCode, LOOKED_AT, SAMPLE_SEED).map(
		({ familyId, seed }) => itemFrom(familyId, seed).stem
	);
	return SET_LENGTHS.map((questions) => ({ questions, minutes: usualMinutes(stems, questions) }));
}
