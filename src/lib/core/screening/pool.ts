import { extraDigits, familiesFor, familyFormat, itemFrom } from '../items';
import { startingParameters, type GradeTerm, type ItemParameters, type PoolItem } from '../measurement';

/** A skill as far as its questions' parameters depend on it. */
export interface SkillLevel extends GradeTerm {
	code: string;
	domainId: number;
}

/** Parameters of one question: its family's, harder by the digits its numbers have more than usual. */
export function itemParameters(familyId: string, seed: number, skill: SkillLevel): ItemParameters {
	return startingParameters(skill, familyFormat(familyId), extraDigits(itemFrom(familyId, seed)));
}

/** All questions that an adaptive sitting on these skills can draw from. */
export function itemPool(skills: SkillLevel[]): PoolItem<number>[] {
	return skills.flatMap((skill) =>
		familiesFor(skill.code).map(({ id }) => ({
			familyId: id,
			skillCode: skill.code,
			domainId: skill.domainId,
			parameters: startingParameters(skill, familyFormat(id))
		}))
	);
}
