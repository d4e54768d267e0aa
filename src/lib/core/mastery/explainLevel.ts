import type { FieldAnswer } from './changes';
import { estimateField } from './estimateField';
import type { FieldPrior } from './fieldSites';
import type { SkillField } from './field';
import { shareAt } from './share';

/** Evidence that can be left out: the skill's own answers, those on a neighbor, on the rest of its domain, on other domains. */
export type LeftOut =
	{ of: 'skill itself' } | { of: 'neighbor'; code: string } | { of: 'domain' } | { of: 'other domains' };

/** What a skill's level would be without a part of the evidence. */
export interface Without {
	leftOut: LeftOut;
	/** By how much the level is higher with it, in logits. */
	change: number;
	/** The share of right first tries on the skill's usual question, were it left out. */
	share: number;
}

/** Why a student's level on a skill is what it is. */
export interface LevelExplained {
	/** The share of right first tries on the skill's usual question. */
	share: number;
	/** By grade and term alone, as of a student of whom nothing is known. */
	expected: number;
	/** Without each part of the evidence there is, the greatest change first. */
	without: Without[];
}

/**
 * Takes a level apart: the change when each part of the evidence is left out. Parts speak of the same, so that changes do
 * not add up to the whole.
 *
 * @param code of the skill
 * @throws RangeError for no skill of the field
 */
export function explainLevel(
	field: SkillField,
	answers: FieldAnswer[],
	prior: FieldPrior,
	code: string
): LevelExplained {
	const place = field.placeOf.get(code);
	if (place === undefined) throw new RangeError(`the field has no skill ${code}`);
	const { skills, placeOf } = field;
	const { difficulty, domain, prerequisites } = skills[place];
	const neighbors = new Set([
		...prerequisites,
		...skills.filter((skill) => skill.prerequisites.includes(code)).map((skill) => skill.code)
	]);
	const partOf = (skill: string): LeftOut => {
		if (skill === code) return { of: 'skill itself' };
		if (neighbors.has(skill)) return { of: 'neighbor', code: skill };
		return skills[placeOf.get(skill)!].domain === domain ? { of: 'domain' } : { of: 'other domains' };
	};
	const named = (part: LeftOut) => JSON.stringify(part);
	const parts = new Map(answers.map(({ skill }) => [named(partOf(skill)), partOf(skill)]));
	const levelFrom = (some: FieldAnswer[]) => estimateField(field, some, prior).mean[place];
	const level = levelFrom(answers);
	return {
		share: shareAt(level, difficulty),
		expected: shareAt(prior.mean, difficulty),
		without: [...parts]
			.map(([name, leftOut]) => {
				const left = levelFrom(answers.filter(({ skill }) => named(partOf(skill)) !== name));
				return { leftOut, change: level - left, share: shareAt(left, difficulty) };
			})
			.sort((a, b) => Math.abs(b.change) - Math.abs(a.change))
	};
}
