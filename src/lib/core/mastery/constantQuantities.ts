import { POINTS_PER_LOGIT } from '../measurement';
import { skillField, type FieldConstants, type FieldSkill } from './field';
import type { FoundConstants, LearnedConstants } from './fieldConstants';

/** A value and its 95% interval. */
export interface Quantity {
	value: number;
	lower: number;
	upper: number;
}

/** Standard errors on each side of a value that 95% lies within. */
const ERRORS = 1.96;

/**
 * Constants of a field as what can be pictured: `above` in points, variances as standard deviations in points, and the
 * coupling as the correlation of what a skill and one that it builds on have of their own, on average over such pairs.
 *
 * @param errors standard errors, as they are found; absent for constants that are given
 */
export function constantQuantities(
	skills: FieldSkill[],
	constants: FieldConstants,
	errors?: FoundConstants['standardErrors']
): Record<keyof LearnedConstants, Quantity> {
	const above = (by: number) => POINTS_PER_LOGIT * (constants.above + by * (errors?.above ?? 0));
	const at = (name: 'general' | 'domain' | 'skill' | 'coupling', by: number) =>
		constants[name] * Math.exp(by * (errors?.[name] ?? 0));
	const spread = (name: 'general' | 'domain' | 'skill') => (by: number) => POINTS_PER_LOGIT * Math.sqrt(at(name, by));
	const quantity = (of: (by: number) => number): Quantity => ({ value: of(0), lower: of(-ERRORS), upper: of(ERRORS) });
	return {
		above: quantity(above),
		general: quantity(spread('general')),
		domain: quantity(spread('domain')),
		skill: quantity(spread('skill')),
		coupling: quantity((by) => neighborCorrelation(skills, { ...constants, coupling: at('coupling', by) }))
	};
}

function neighborCorrelation(skills: FieldSkill[], constants: FieldConstants): number {
	const { covariance, placeOf } = skillField(skills, { ...constants, general: 0, domain: 0 });
	let [sum, pairs] = [0, 0];
	for (const [k, { prerequisites }] of skills.entries())
		for (const code of prerequisites) {
			const other = placeOf.get(code);
			if (other === undefined) continue;
			sum += covariance[k][other] / Math.sqrt(covariance[k][k] * covariance[other][other]);
			pairs++;
		}
	return pairs ? sum / pairs : 0;
}
