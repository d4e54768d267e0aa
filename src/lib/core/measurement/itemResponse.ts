/** An item on the logistic metric, D = 1. Difficulty is in logits; guessing is the chance of a right answer by luck. */
export interface ItemParameters {
	discrimination: number;
	difficulty: number;
	guessing?: number;
}

/** One scored answer. `milliseconds` is the time from showing the item to answering it. */
export interface ScoredResponse {
	item: ItemParameters;
	correct: boolean;
	milliseconds?: number;
}

/**
 * Chance that a student of ability `theta` (logits) answers the item correctly.
 *
 * Three-parameter logistic model, Birnbaum 1968: c + (1 − c) / (1 + exp(−a(θ − b))).
 */
export function probabilityCorrect(theta: number, item: ItemParameters): number {
	const guessing = item.guessing ?? 0;
	return guessing + (1 - guessing) / (1 + Math.exp(-item.discrimination * (theta - item.difficulty)));
}

/**
 * Fisher information of one answer to the item at ability `theta`, in 1/logit².
 *
 * Birnbaum 1968: a² (Q/P) ((P − c)/(1 − c))².
 */
export function itemInformation(theta: number, item: ItemParameters): number {
	const guessing = item.guessing ?? 0;
	const p = probabilityCorrect(theta, item);
	return item.discrimination ** 2 * ((1 - p) / p) * ((p - guessing) / (1 - guessing)) ** 2;
}
