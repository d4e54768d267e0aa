import { extraDigits, familiesFor, familyFormat, itemFrom } from '../items';
import {
	DIFFICULTY_A_DIGIT,
	startingParameters,
	type GradeTerm,
	type ItemParameters,
	type PoolItem
} from '../measurement';

/** A skill as far as its questions' parameters depend on it. */
export interface SkillLevel extends GradeTerm {
	code: string;
	domainId: number;
}

/** What calibration has found, by family; families that are not in it start by the stated rule. */
export type CalibratedFamilies = Map<string, Pick<ItemParameters, 'discrimination' | 'difficulty'>>;

/** Parameters of a family's questions with numbers of the usual size. @throws RangeError for an unknown family */
export function familyParameters(
	familyId: string,
	skill: SkillLevel,
	calibrated: CalibratedFamilies = new Map()
): ItemParameters {
	return { ...startingParameters(skill, familyFormat(familyId)), ...calibrated.get(familyId) };
}

/** Parameters of one question: its family's, harder by the digits its numbers have more than usual. */
export function itemParameters(
	familyId: string,
	seed: number,
	skill: SkillLevel,
	calibrated?: CalibratedFamilies
): ItemParameters {
	const usual = familyParameters(familyId, skill, calibrated);
	return { ...usual, difficulty: usual.difficulty + DIFFICULTY_A_DIGIT * extraDigits(itemFrom(familyId, seed)) };
}

/** All questions that an adaptive sitting on these skills can draw from. */
export function itemPool(skills: SkillLevel[], calibrated?: CalibratedFamilies): PoolItem<number>[] {
	return skills.flatMap((skill) =>
		familiesFor(skill.code).map(({ id }) => ({
			familyId: id,
			skillCode: skill.code,
			domainId: skill.domainId,
			parameters: familyParameters(id, skill, calibrated)
		}))
	);
}
