import { formatOf, type Item } from '../items';
import { extraDigits, familiesFor, familyFormat } from '../items/bank';
import {
	DIFFICULTY_A_DIGIT,
	expectedTheta,
	startingParameters,
	type GradeTerm,
	type ItemParameters,
	type PoolItem,
	type ResponseFormat
} from '../measurement';

/** A skill as far as its questions' parameters depend on it. */
export interface SkillLevel extends GradeTerm {
	code: string;
	domainId: number;
}

/** What calibration has found of a family of questions, for its usual number of digits. */
export interface FamilyParameters {
	discrimination: number;
	/** Logits. */
	difficulty: number;
	/** Middle time of its answers. */
	medianMs: number;
}

/** Parameters of a family's questions of usual numbers: as calibrated, else as questions start. */
export function familyParameters(
	familyId: string,
	skill: SkillLevel,
	calibrated?: ReadonlyMap<string, FamilyParameters>
): ItemParameters {
	return parametersFor(familyId, familyFormat(familyId), skill, calibrated);
}

function parametersFor(
	familyId: string,
	format: ResponseFormat,
	skill: SkillLevel,
	calibrated: ReadonlyMap<string, FamilyParameters> = new Map()
): ItemParameters {
	const starting = startingParameters(skill, format);
	const found = calibrated.get(familyId);
	return found
		? { discrimination: found.discrimination, difficulty: found.difficulty, guessing: starting.guessing }
		: starting;
}

/**
 * Difficulty of a skill's usual question, in logits: that of a typed one at the median of the skill's term, moved by as
 * much as calibration has moved its families.
 */
export function usualDifficulty(skill: SkillLevel, calibrated?: ReadonlyMap<string, FamilyParameters>): number {
	const moved = familiesFor(skill.code).flatMap(({ id }) => {
		const found = calibrated?.get(id);
		return found ? [found.difficulty - familyParameters(id, skill).difficulty] : [];
	});
	const shift = moved.length ? moved.reduce((sum, one) => sum + one, 0) / moved.length : 0;
	return expectedTheta(skill) + shift;
}

/** Parameters of a question that was asked, as it is kept: how it is answered, and its digits more than usual. */
export function askedParameters(
	{ familyId, format, digits }: { familyId: string; format: ResponseFormat; digits: number },
	skill: SkillLevel,
	calibrated?: ReadonlyMap<string, FamilyParameters>
): ItemParameters {
	const usual = parametersFor(familyId, format, skill, calibrated);
	return { ...usual, difficulty: usual.difficulty + DIFFICULTY_A_DIGIT * digits };
}

/** Parameters of one question: its family's, harder by the digits its numbers have more than usual. */
export function itemParameters(
	item: Item,
	skill: SkillLevel,
	calibrated?: ReadonlyMap<string, FamilyParameters>
): ItemParameters {
	const { familyId, response } = item;
	return askedParameters({ familyId, format: formatOf(response), digits: extraDigits(item) }, skill, calibrated);
}

/** All questions that an adaptive sitting on these skills can draw from. */
export function itemPool(skills: SkillLevel[], calibrated?: ReadonlyMap<string, FamilyParameters>): PoolItem<number>[] {
	return skills.flatMap((skill) =>
		familiesFor(skill.code).map(({ id }) => ({
			familyId: id,
			skillCode: skill.code,
			domainId: skill.domainId,
			parameters: familyParameters(id, skill, calibrated)
		}))
	);
}
