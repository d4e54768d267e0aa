import { probabilityCorrect, type ScoredResponse } from './itemResponse';

/** What is believed of an ability before or after answers: logits. */
export interface AbilityPrior {
	mean: number;
	sd: number;
}

export interface AbilityEstimate {
	theta: number;
	standardError: number;
}

const NODES = 121;
const EDGE = 6;
const nodes = Array.from({ length: NODES }, (_, i) => -EDGE + (2 * EDGE * i) / (NODES - 1));

/**
 * Ability from answers: mean and standard deviation of the posterior (expected a posteriori, Bock & Mislevy 1982),
 * by quadrature over 121 nodes on −6…6 logits.
 *
 * Without answers it returns the prior.
 */
export function estimateEap(responses: ScoredResponse[], prior: AbilityPrior = { mean: 0, sd: 1 }): AbilityEstimate {
	if (responses.length === 0) return { theta: prior.mean, standardError: prior.sd };
	const logWeights = nodes.map((node) => {
		let sum = -0.5 * ((node - prior.mean) / prior.sd) ** 2;
		for (const { item, correct } of responses) {
			const p = probabilityCorrect(node, item);
			sum += Math.log(correct ? p : 1 - p);
		}
		return sum;
	});
	const highest = Math.max(...logWeights);
	let total = 0;
	let first = 0;
	let second = 0;
	nodes.forEach((node, i) => {
		const weight = Math.exp(logWeights[i] - highest);
		total += weight;
		first += weight * node;
		second += weight * node * node;
	});
	const theta = first / total;
	return { theta, standardError: Math.sqrt(Math.max(0, second / total - theta * theta)) };
}

/** How closely abilities in two domains of a subject go together, before any answer. */
export const DOMAIN_CORRELATION = 0.8;

/**
 * An ability for each domain, each drawing on the answers in the others.
 *
 * The prior of a domain is what its correlation with the rest of the test says: for correlation ρ and the estimate
 * (θ, s) from the other domains, mean μ + ρ(θ − μ) and variance σ²(1 − ρ²) + ρ²s² (bivariate normal regression with
 * the error of the regressor carried over; cf. Wang, Chen & Cheng 2004 on borrowing across subtests).
 *
 * @param responses answers by domain; a domain with no answers is returned with what the others say of it
 */
export function estimateDomains<Domain extends string | number>(
	responses: Map<Domain, ScoredResponse[]>,
	prior: AbilityPrior
): Map<Domain, AbilityEstimate> {
	const estimates = new Map<Domain, AbilityEstimate>();
	for (const [domain, own] of responses) {
		const others = [...responses].filter(([other]) => other !== domain).flatMap(([, list]) => list);
		if (others.length === 0) {
			estimates.set(domain, estimateEap(own, prior));
			continue;
		}
		const rest = estimateEap(others, prior);
		const mean = prior.mean + DOMAIN_CORRELATION * (rest.theta - prior.mean);
		const variance = prior.sd ** 2 * (1 - DOMAIN_CORRELATION ** 2) + (DOMAIN_CORRELATION * rest.standardError) ** 2;
		estimates.set(domain, estimateEap(own, { mean, sd: Math.sqrt(variance) }));
	}
	return estimates;
}
