import type { AbilityEstimate, AbilityPrior } from './ability';
import { probabilityCorrect, type ScoredResponse } from './itemResponse';

/** How closely abilities in two domains of a subject go together, before any answer. */
export const DOMAIN_CORRELATION = 0.8;

/** Ability in each domain of a subject, and overall: their mean. Logits. */
export interface Profile<Domain> {
	overall: AbilityEstimate;
	domains: Map<Domain, AbilityEstimate>;
}

const NODES = 61;
const EDGE = 6;
const SPACING = (2 * EDGE) / (NODES - 1);
/** Places of the nodes around the prior's mean, in logits. */
const offsets = Float64Array.from({ length: NODES }, (_, i) => -EDGE + SPACING * i);
const squares = offsets.map((offset) => offset * offset);

/** A normal density at each difference of two nodes, times their distance: row and column give the difference. */
function spread(sd: number): Float64Array {
	const weights = new Float64Array(2 * NODES - 1);
	for (let i = 0; i < weights.length; i++) {
		const distance = (i - (NODES - 1)) * SPACING;
		weights[i] = (SPACING * Math.exp(-0.5 * (distance / sd) ** 2)) / (sd * Math.sqrt(2 * Math.PI));
	}
	return weights;
}

/** Likelihood of answers at each node, scaled so that its highest value is 1. */
function likelihood(responses: ScoredResponse[], mean: number): Float64Array {
	const logs = offsets.map((offset) => {
		let sum = 0;
		for (const { item, correct } of responses) {
			const p = probabilityCorrect(mean + offset, item);
			sum += Math.log(correct ? p : 1 - p);
		}
		return sum;
	});
	const highest = Math.max(...logs);
	return logs.map((log) => Math.exp(log - highest));
}

/**
 * An ability for each domain of a subject, each drawing on the answers in the others, and the overall ability, which is
 * their mean. Expected a posteriori with standard deviations.
 *
 * Abilities are multivariate normal with one mean, one spread and equal correlations ρ. That is the same as a common
 * part g ~ N(0, ρσ²) and a part of each domain's own ~ N(0, (1 − ρ)σ²) (Spearman's single factor; de la Torre & Patz
 * 2005 on borrowing across domains). Given g the domains are independent, so the posterior is summed exactly over 61
 * nodes of g times 61 of each domain, from 6 logits under the mean to 6 over it.
 *
 * @param responses answers by domain, an empty list for a domain that was not asked
 * @param prior of the ability in any one domain
 * @throws RangeError without domains
 */
export function estimateProfile<Domain>(
	responses: Map<Domain, ScoredResponse[]>,
	prior: AbilityPrior
): Profile<Domain> {
	if (responses.size === 0) throw new RangeError('a profile needs at least one domain');
	const common = Math.sqrt(DOMAIN_CORRELATION) * prior.sd;
	const own = spread(Math.sqrt(1 - DOMAIN_CORRELATION) * prior.sd);
	const posterior = Float64Array.from(offsets, (g) => Math.exp(-0.5 * (g / common) ** 2));
	// Of each domain, given the common part: mean and variance.
	const means: Float64Array[] = [];
	const variances: Float64Array[] = [];
	for (const answers of responses.values()) {
		const likely = likelihood(answers, prior.mean);
		const mean = new Float64Array(NODES);
		const variance = new Float64Array(NODES);
		for (let g = 0; g < NODES; g++) {
			let total = 0;
			let first = 0;
			let second = 0;
			for (let node = 0; node < NODES; node++) {
				const weight = likely[node] * own[node - g + NODES - 1];
				total += weight;
				first += weight * offsets[node];
				second += weight * squares[node];
			}
			posterior[g] *= total;
			mean[g] = first / total;
			variance[g] = second / total - mean[g] ** 2;
		}
		means.push(mean);
		variances.push(variance);
	}
	const mass = posterior.reduce((sum, weight) => sum + weight, 0);
	/** Mean and spread of what has this mean and variance given the common part. */
	const estimate = (meanAt: (g: number) => number, varianceAt: (g: number) => number): AbilityEstimate => {
		let first = 0;
		let second = 0;
		for (let g = 0; g < NODES; g++) {
			const weight = posterior[g] / mass;
			if (weight === 0) continue;
			first += weight * meanAt(g);
			second += weight * (varianceAt(g) + meanAt(g) ** 2);
		}
		return { theta: prior.mean + first, standardError: Math.sqrt(Math.max(0, second - first * first)) };
	};
	const count = means.length;
	const sumAt = (lists: Float64Array[], g: number) => lists.reduce((sum, list) => sum + list[g], 0);
	return {
		overall: estimate(
			(g) => sumAt(means, g) / count,
			(g) => sumAt(variances, g) / count ** 2
		),
		domains: new Map(
			[...responses.keys()].map((domain, d) => [
				domain,
				estimate(
					(g) => means[d][g],
					(g) => variances[d][g]
				)
			])
		)
	};
}
