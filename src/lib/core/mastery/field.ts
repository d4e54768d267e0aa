import { invertSymmetric } from '../measurement';
import type { ChangeChances } from './changes';

/** A skill as the field knows it. */
export interface FieldSkill {
	code: string;
	domain: string;
	/** Of its usual question, in logits. */
	difficulty: number;
	/** Codes of its direct prerequisites; those that are not among the skills are left out. */
	prerequisites: string[];
}

/** What is believed of students before any answer; variances are in logits². */
export interface FieldConstants {
	/** How far a school's students are above the expected median of the norms, in logits. */
	above: number;
	/** Of what a student is like in everything. */
	general: number;
	/** Of what is a domain's own. */
	domain: number;
	/** Of what is a skill's own, on average over skills. */
	skill: number;
	/** How much a skill is held to its neighbors along prerequisites, against to nothing. */
	coupling: number;
	change: ChangeChances;
}

/**
 * Which edition of the rule it is that standings follow from answers by. Whoever changes what the same answers come to
 * raises it: what is kept of students is then made anew.
 */
export const FIELD_RULE = 1;

/** General and domain together make the diagnostic's prior: standard deviation 1.1, correlation of domains 0.8. */
export const FIELD_CONSTANTS: FieldConstants = {
	above: 0,
	general: 0.97,
	domain: 0.24,
	skill: 0.49,
	coupling: 1,
	change: { sameDay: 0.01, anotherDay: 0.08, afterLong: 0.2 }
};

/** The prior over all skills of a framework, made once for many students. */
export interface SkillField {
	skills: FieldSkill[];
	/** Place of each skill by its code. */
	placeOf: Map<string, number>;
	/** Covariance of the skills' levels around the mean, in logits²: one row a skill, in their order. */
	covariance: Float64Array[];
	constants: FieldConstants;
}

/**
 * The prior over the levels of all skills: a general part, a part a domain, and a part of each skill that goes with those
 * of its neighbors, a Gaussian Markov random field over the prerequisites (Rue & Held 2005) of precision I + coupling·L,
 * L the graph's Laplacian, scaled to the mean variance of the constants.
 *
 * @throws RangeError when a code comes twice
 */
export function skillField(skills: FieldSkill[], constants = FIELD_CONSTANTS): SkillField {
	const placeOf = new Map(skills.map(({ code }, place) => [code, place]));
	if (placeOf.size < skills.length) throw new RangeError('a skill is there twice');
	const precision = skills.map((_, k) => {
		const row = new Float64Array(skills.length);
		row[k] = 1;
		return row;
	});
	for (const [k, { prerequisites }] of skills.entries())
		for (const code of new Set(prerequisites)) {
			const other = placeOf.get(code);
			if (other === undefined || other === k) continue;
			precision[k][k] += constants.coupling;
			precision[other][other] += constants.coupling;
			precision[k][other] -= constants.coupling;
			precision[other][k] -= constants.coupling;
		}
	// A Laplacian has no negative part, so that the precision is positive definite.
	const own = invertSymmetric(precision)!;
	const scale = (constants.skill * skills.length) / own.reduce((sum, row, k) => sum + row[k], 0);
	const covariance = own.map((row, k) =>
		row.map(
			(value, other) =>
				scale * value + constants.general + (skills[k].domain === skills[other].domain ? constants.domain : 0)
		)
	);
	return { skills, placeOf, covariance, constants };
}
