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

/**
 * Ability from answers: mean and standard deviation of the posterior (expected a posteriori, Bock & Mislevy 1982),
 * by quadrature over 121 nodes from 6 logits under the prior's mean to 6 over it.
 *
 * Without answers it returns the prior.
 */
export function estimateEap(responses: ScoredResponse[], prior: AbilityPrior = { mean: 0, sd: 1 }): AbilityEstimate {
	if (responses.length === 0) return { theta: prior.mean, standardError: prior.sd };
	const nodes = Array.from({ length: NODES }, (_, i) => prior.mean - EDGE + (2 * EDGE * i) / (NODES - 1));
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
