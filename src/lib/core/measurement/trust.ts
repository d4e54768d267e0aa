import { number } from '../words';
import type { AbilityEstimate } from './ability';
import type { ScoredResponse } from './itemResponse';
import { profileFit } from './personFit';
import type { Profile } from './profile';
import { POINTS_PER_LOGIT } from './scale';

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

/** A threshold is this share of the median time (Wise & Ma 2012), and never more than the most. */
const RAPID_SHARE = 0.1;
const RAPID_MOST_MS = 10_000;
/** Median time of a question until its own is known: for thinking, and for each word at 150 words a minute. */
const THINKING_MS = 14_000;
const WORD_MS = 400;

/** Time (ms) that a question takes in the middle, by its words where no answers have told it yet. */
export const usualMs = ({ words, medianMs }: { words: number; medianMs?: number }): number =>
	medianMs ?? THINKING_MS + WORD_MS * words;

/**
 * Time (ms) under which an answer was given without reading the question.
 *
 * @param question its words, and the median time of earlier answers where there are enough of them
 */
export function rapidThreshold(question: { words: number; medianMs?: number }): number {
	return Math.min(RAPID_MOST_MS, RAPID_SHARE * usualMs(question));
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

/** A doubt about a sitting, in words. `domainIds` are the domains it is about, when not all. */
export interface Doubt<Domain> {
	flag: TrustFlag;
	reason: string;
	domainIds: Domain[];
}

/** What a sitting is judged by. */
export interface SittingToJudge<Domain> {
	answers: (ScoredResponse & { domainId: Domain; rapidMs: number })[];
	/** With every domain the sitting should have asked. */
	profile: Profile<Domain>;
	adaptive: boolean;
	/** Overall, of the last sitting before. */
	previous?: AbilityEstimate;
	/** Pauses between two answers within one day, with the domain of the answer after it. */
	pauses: { milliseconds: number; domainId: Domain }[];
	nameOf: (domain: Domain) => string;
}

/** Effort under this share of answers makes a sitting untrustworthy (Wise & Kong 2005 use 0.90). */
const EFFORT_LINE = 0.9;
/**
 * Fit over the domains under this is improbable for a fitting pattern: under 1 in 100 honest sittings. In an adaptive
 * sitting no question is far from the student's level, so the statistic spreads less than a normal one; both lines are
 * found by simulation (`npm run simulate:screening`).
 */
const MISFIT_LINE = { fixed: -2.45, adaptive: -1.75 };
/** A pause longer than this within a day counts as an interruption. */
const INTERRUPTION_MS = 20 * 60_000;
/** Share of rapid answers in a domain from which the doubt is about it. */
const RAPID_DOMAIN = 0.25;

/**
 * Everything about a sitting that a person should look at before its score is used. An empty list means it can be
 * trusted. A drop is a fall of more than two standard errors of the difference since the last sitting.
 */
export function trustFlags<Domain>(sitting: SittingToJudge<Domain>): Doubt<Domain>[] {
	const doubts: Doubt<Domain>[] = [];
	const { answers, profile, previous, nameOf } = sitting;
	const domains = [...profile.domains.keys()];
	const inDomain = (domain: Domain) => answers.filter(({ domainId }) => domainId === domain);
	const effort = (list: typeof answers) =>
		responseTimeEffort(
			list,
			list.map(({ rapidMs }) => rapidMs)
		);
	if (effort(answers) < EFFORT_LINE) {
		const rapid = Math.round((1 - effort(answers)) * answers.length);
		const hasty = domains.filter((domain) => 1 - effort(inDomain(domain)) >= RAPID_DOMAIN);
		doubts.push({
			flag: 'rapid',
			reason: `${rapid} of ${answers.length} answers came faster than the question can be read.`,
			domainIds: hasty.length < domains.length ? hasty : []
		});
	}
	const fit = profileFit(
		domains.map((domain) => ({ responses: inDomain(domain), theta: profile.domains.get(domain)!.theta }))
	);
	if (fit < (sitting.adaptive ? MISFIT_LINE.adaptive : MISFIT_LINE.fixed)) {
		doubts.push({
			flag: 'misfit',
			reason: `Hard questions right and easy ones wrong: the pattern does not fit one level (fit ${number(fit, 1)}).`,
			domainIds: []
		});
	}
	const interruptions = sitting.pauses.filter(({ milliseconds }) => milliseconds > INTERRUPTION_MS);
	if (interruptions.length) {
		const longest = Math.max(...interruptions.map(({ milliseconds }) => milliseconds));
		const inWhich = [...new Set(interruptions.map(({ domainId }) => domainId))];
		doubts.push({
			flag: 'interrupted',
			reason: `A pause of ${Math.round(longest / 60_000)} minutes between two answers, in ${inWhich.map(nameOf).join(', ')}.`,
			domainIds: inWhich
		});
	}
	const missing = domains.filter((domain) => inDomain(domain).length === 0);
	if (missing.length) {
		doubts.push({
			flag: 'domainMissing',
			reason: `No answers in ${missing.map(nameOf).join(', ')}.`,
			domainIds: missing
		});
	}
	if (previous) {
		const error = Math.hypot(previous.standardError, profile.overall.standardError);
		const drop = previous.theta - profile.overall.theta;
		if (drop > 2 * error) {
			doubts.push({
				flag: 'drop',
				reason: `${Math.round(drop * POINTS_PER_LOGIT)} points below the last sitting, more than measurement error explains.`,
				domainIds: []
			});
		}
	}
	return doubts;
}
