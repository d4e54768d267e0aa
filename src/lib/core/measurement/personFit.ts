import { probabilityCorrect, type ScoredResponse } from './itemResponse';

/** What one ability's answers add to the statistic: how far they are from what fits, and how far chance alone takes them. */
function misfit(responses: ScoredResponse[], theta: number): { deviation: number; variance: number } {
	const terms = responses.map(({ item, correct }) => {
		const p = probabilityCorrect(theta, item);
		const guessing = item.guessing ?? 0;
		const logistic = (p - guessing) / (1 - guessing);
		const slope = item.discrimination * (1 - guessing) * logistic * (1 - logistic);
		return { p, correct, weight: Math.log(p / (1 - p)), slope, score: slope / (p * (1 - p)) };
	});
	const sum = (of: (term: (typeof terms)[number]) => number) => terms.reduce((total, term) => total + of(term), 0);
	const information = sum((t) => t.slope * t.score);
	const correction = information > 0 ? sum((t) => t.slope * t.weight) / information : 0;
	const corrected = (t: (typeof terms)[number]) => t.weight - correction * t.score;
	return {
		deviation: sum((t) => (Number(t.correct) - t.p) * corrected(t)),
		variance: sum((t) => corrected(t) ** 2 * t.p * (1 - t.p))
	};
}

/**
 * Person fit lz* : the standardized log-likelihood of the answer pattern, corrected for ability having been estimated
 * from the same answers (Snijders 2001; weighted for a maximum-likelihood estimate, r₀ = 0). About standard normal for
 * a fitting pattern; far below 0 when hard items were right and easy ones wrong. 0 for fewer than two answers.
 *
 * @param theta ability in logits at which to judge
 */
export function personFit(responses: ScoredResponse[], theta: number): number {
	return profileFit([{ responses, theta }]);
}

/**
 * Person fit over several domains, each judged at its own ability: a student who is strong in one domain and weak in
 * another fits. The domains' parts of lz* are added, with their variances.
 */
export function profileFit(domains: { responses: ScoredResponse[]; theta: number }[]): number {
	if (domains.reduce((count, { responses }) => count + responses.length, 0) < 2) return 0;
	const parts = domains.map(({ responses, theta }) => misfit(responses, theta));
	const variance = parts.reduce((sum, part) => sum + part.variance, 0);
	return variance > 1e-9 ? parts.reduce((sum, part) => sum + part.deviation, 0) / Math.sqrt(variance) : 0;
}
