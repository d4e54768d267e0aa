import { probabilityCorrect, type ScoredResponse } from './itemResponse';
import type { AbilityEstimate } from './ability';

/**
 * Share of answers given with effort: at or above the item's time threshold (response time effort,
 * Wise & Kong 2005). Answers without a time count as effortful.
 *
 * @param thresholdsMs one threshold an answer, in milliseconds; customarily 10% of the item's median time
 * @throws RangeError when the lists differ in length
 */
export function responseTimeEffort(responses: Pick<ScoredResponse, 'milliseconds'>[], thresholdsMs: number[]): number {
	if (responses.length !== thresholdsMs.length) {
		throw new RangeError(`${responses.length} answers but ${thresholdsMs.length} thresholds`);
	}
	if (responses.length === 0) return 1;
	const effortful = responses.filter((r, i) => r.milliseconds === undefined || r.milliseconds >= thresholdsMs[i]);
	return effortful.length / responses.length;
}

/**
 * Person fit lz* : the standardized log-likelihood of the answer pattern, corrected for ability having been estimated
 * from the same answers (Snijders 2001; weighted for a maximum-likelihood estimate, r₀ = 0). About standard normal for
 * a fitting pattern; far below 0 when hard items were right and easy ones wrong. 0 for fewer than two answers.
 *
 * @param theta ability in logits at which to judge
 */
export function personFit(responses: ScoredResponse[], theta: number): number {
	if (responses.length < 2) return 0;
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
	const deviation = sum((t) => (Number(t.correct) - t.p) * corrected(t));
	const variance = sum((t) => corrected(t) ** 2 * t.p * (1 - t.p));
	return variance > 1e-9 ? deviation / Math.sqrt(variance) : 0;
}

/**
 * Whether two scores differ beyond their measurement error: index = difference / √(s₁² + s₂²), reliable when its size
 * exceeds 1.645, the two-sided 90% point (Jacobson & Truax 1991). Both scores on one scale.
 */
export function reliableChange(
	before: { score: number; standardError: number },
	after: { score: number; standardError: number }
): { index: number; reliable: boolean } {
	const error = Math.hypot(before.standardError, after.standardError);
	const index =
		error === 0 ? Math.sign(after.score - before.score) * Infinity || 0 : (after.score - before.score) / error;
	return { index, reliable: Math.abs(index) > 1.645 };
}

export type TrustFlag = 'rapid' | 'misfit' | 'interrupted' | 'domainMissing' | 'drop';

/** What a sitting is judged by. `gapsMs` are the pauses between answers within one day. */
export interface SittingToJudge {
	responses: ScoredResponse[];
	thresholdsMs: number[];
	estimate: AbilityEstimate;
	previous?: AbilityEstimate;
	domainsExpected: number;
	domainsAnswered: number;
	longestPauseMs: number;
}

/** Effort under this share of answers makes a sitting untrustworthy (Wise & Kong 2005 use 0.90). */
export const EFFORT_LINE = 0.9;
/** lz* under this is improbable (about 1 in 100) for a fitting pattern. */
export const MISFIT_LINE = -2.33;
/** A pause longer than this within a sitting counts as an interruption. */
export const INTERRUPTION_MS = 20 * 60_000;

/**
 * Everything about a sitting that a person should look at before its score is used. An empty list means it can be
 * trusted. A drop is a fall of more than two standard errors of the difference since the last sitting.
 */
export function trustFlags(sitting: SittingToJudge): { flag: TrustFlag; reason: string }[] {
	const flags: { flag: TrustFlag; reason: string }[] = [];
	const { responses, estimate, previous } = sitting;
	const effort = responseTimeEffort(responses, sitting.thresholdsMs);
	if (effort < EFFORT_LINE) {
		const rapid = Math.round((1 - effort) * responses.length);
		flags.push({
			flag: 'rapid',
			reason: `${rapid} of ${responses.length} answers came faster than the question can be read.`
		});
	}
	const fit = personFit(responses, estimate.theta);
	if (fit < MISFIT_LINE) {
		flags.push({
			flag: 'misfit',
			reason: `Hard questions right and easy ones wrong: the pattern does not fit one level (fit ${fit.toFixed(1)}).`
		});
	}
	if (sitting.longestPauseMs > INTERRUPTION_MS) {
		flags.push({
			flag: 'interrupted',
			reason: `A pause of ${Math.round(sitting.longestPauseMs / 60_000)} minutes between two answers.`
		});
	}
	if (sitting.domainsAnswered < sitting.domainsExpected) {
		flags.push({
			flag: 'domainMissing',
			reason: `${sitting.domainsExpected - sitting.domainsAnswered} of ${sitting.domainsExpected} domains have no answers.`
		});
	}
	if (previous) {
		const error = Math.hypot(previous.standardError, estimate.standardError);
		const drop = previous.theta - estimate.theta;
		if (drop > 2 * error) {
			flags.push({
				flag: 'drop',
				reason: `${Math.round(drop * 25)} points below the last sitting, more than measurement error explains.`
			});
		}
	}
	return flags;
}
