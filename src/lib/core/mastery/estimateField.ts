import { invertSymmetric } from '../measurement';
import type { FieldAnswer } from './changes';
import type { SkillField } from './field';
import { add, covarianceOf, fieldSites, propagate, type FieldPrior, type Posterior, type Site } from './fieldSites';
import type { Level } from './levelGrid';

/** What is believed of a student on every skill, in logits, in the order of the field's skills. */
export interface FieldEstimate {
	mean: Float64Array;
	standardError: Float64Array;
	/** Of each skill with answers, what all else says of it: its level were they left out. */
	cavities: Map<string, Level>;
	/** How the levels of two skills go together, given all answers, in logits². @throws RangeError for no skill of the field */
	together(one: string, other: string): number;
}

/**
 * Levels of all skills of a student by expectation propagation (Minka 2001): what the answers on a skill say, changes
 * among them, is matched by a normal distribution, one skill at a time, until all of them agree; the levels of all other
 * skills follow by conditioning.
 *
 * @param answers first tries, of each skill in the order they were given; how skills come between each other is the same
 * @throws RangeError for an answer on a skill that the field does not have
 */
export function estimateField(field: SkillField, answers: FieldAnswer[], prior: FieldPrior): FieldEstimate {
	const sites = fieldSites(field, answers, prior);
	const before = sites.map((one) => Float64Array.from(sites, (other) => covarianceOf(field, one, other)));
	const posterior = propagate(sites, before);
	const cavities = new Map<string, Level>();
	for (const [i, { skill }] of sites.entries()) {
		if (skill === null) continue;
		const { mean, standardError } = posterior.cavity(i);
		cavities.set(field.skills[skill].code, { mean: prior.mean + mean, standardError });
	}
	const told = toldBy(before, posterior);
	const placeIn = (code: string) => {
		const place = field.placeOf.get(code);
		if (place === undefined) throw new RangeError(`the field has no skill ${code}`);
		return place;
	};
	const together = (one: string, other: string) => {
		const [first, second] = [placeIn(one), placeIn(other)];
		let covariance = field.covariance[first][second];
		for (const [i, { row }] of sites.entries())
			for (const [j, site] of sites.entries()) covariance -= told[i][j] * row[first] * site.row[second];
		return covariance;
	};
	return { ...conditioned(field, prior.mean, sites, { before, posterior, told }), cavities, together };
}

/** How much the sites' levels together are surer than before, by their precision before: what is taken from any two skills' covariance. */
function toldBy(before: Float64Array[], { covariance }: Posterior): Float64Array[] {
	if (before.length === 0) return [];
	const inverse = invertSymmetric(before)!;
	const lost = before.map((row, i) => row.map((value, j) => value - covariance[i][j]));
	return multiply(multiply(inverse, lost), inverse);
}

/** Levels of all skills, given those of the sites: how each goes with them, times what they have learned. */
function conditioned(
	{ skills, covariance }: SkillField,
	middle: number,
	sites: Site[],
	{ before, posterior, told }: { before: Float64Array[]; posterior: Posterior; told: Float64Array[] }
): Pick<FieldEstimate, 'mean' | 'standardError'> {
	const mean = new Float64Array(skills.length).fill(middle);
	const variance = Float64Array.from(covariance, (row, k) => row[k]);
	if (sites.length > 0) {
		const inverse = invertSymmetric(before)!;
		const along = new Float64Array(skills.length);
		for (const [i, { row }] of sites.entries()) {
			add(mean, dot(inverse[i], posterior.mean), row);
			// What all sites before and this one tell together.
			along.fill(0);
			for (let j = 0; j <= i; j++) add(along, (i === j ? 1 : 2) * told[i][j], sites[j].row);
			for (let k = 0; k < along.length; k++) variance[k] -= row[k] * along[k];
		}
	}
	return { mean, standardError: variance.map((one) => Math.sqrt(Math.max(LEAST_VARIANCE, one))) };
}

/** Levels are never surer than this, in logits²: what is taken from a variance is not exact. */
const LEAST_VARIANCE = 1e-6;

function dot(one: Float64Array, other: Float64Array): number {
	let sum = 0;
	for (let i = 0; i < one.length; i++) sum += one[i] * other[i];
	return sum;
}

/** The product of two matrices, the second one symmetric. */
function multiply(one: Float64Array[], other: Float64Array[]): Float64Array[] {
	return one.map((row) => Float64Array.from(other, (column) => dot(row, column)));
}
