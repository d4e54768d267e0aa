import { extraDigits, familiesFor, familyFormat, formatOf, type Item } from '../items';
import {
	DIFFICULTY_A_DIGIT,
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

/** Parameters of one question: its family's, harder by the digits its numbers have more than usual. */
export function itemParameters(
	item: Item,
	skill: SkillLevel,
	calibrated?: ReadonlyMap<string, FamilyParameters>
): ItemParameters {
	const usual = parametersFor(item.familyId, formatOf(item.response), skill, calibrated);
	return { ...usual, difficulty: usual.difficulty + DIFFICULTY_A_DIGIT * extraDigits(item) };
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
