import { daysBetween, type SchoolDate } from '../calendar';
import type { AbilityEstimate, GradeTerm } from '../measurement';
import { expectedTheta } from '../measurement';
import { afterDays, GAP_LINE, isSecure, SECURE_LINE, type Trace } from './trace';

/** What the evidence says of a student on a skill. */
export type Standing = 'gap' | 'forming' | 'secure' | 'slipping' | 'unseen';

/** A standing with what it rests on. `inferred` tells what the rest of the picture suggests where answers are missing. */
export interface StandingNow {
	standing: Standing;
	/** P(known) today. */
	probability: number;
	answers: number;
	/** For Unseen skills only: what domain ability suggests. Never evidence. */
	inferred: 'gap' | 'forming' | 'secure' | null;
	/** Day of the last answer; absent or null without any. */
	lastOn?: SchoolDate | null;
}

/** A once secure skill under this P(known) is Slipping. */
const SLIPPING_LINE = 0.7;
/** Answers below which nothing is said of a skill. */
const MINIMUM_ANSWERS = 2;

/** How steeply knowing a skill goes with ability: the usual bridge from logistic to normal metric. */
const LINK_SLOPE = 1.7;

/**
 * P(known) of a skill before any answer to it: the chance that a student of this domain ability has reached the
 * median of the skill's term, with the uncertainty of the ability flattening the curve
 * (logistic–normal approximation, MacKay 1992), kept within 0.05…0.9 so that answers can always overrule it.
 *
 * @param ability of the skill's domain; null where nothing is known of the student, giving 0.5
 */
export function priorKnown(ability: AbilityEstimate | null, level: GradeTerm): number {
	if (!ability) return 0.5;
	const flattening = Math.sqrt(1 + (Math.PI / 8) * (LINK_SLOPE * ability.standardError) ** 2);
	const logit = (LINK_SLOPE * (ability.theta - expectedTheta(level))) / flattening;
	return Math.min(0.9, Math.max(0.05, 1 / (1 + Math.exp(-logit))));
}

/**
 * The standing today. Unseen under 2 answers; Secure at P ≥ 0.85 with evidence enough; Gap at P < 0.35; Slipping when
 * once Secure at the end of a sitting and P < 0.70; Forming otherwise.
 */
export function standingOn(today: SchoolDate, trace: Trace): StandingNow {
	const probability = trace.lastOn ? afterDays(trace.probability, daysBetween(trace.lastOn, today)) : trace.probability;
	const { answers } = trace;
	if (answers < MINIMUM_ANSWERS) {
		const inferred = probability >= SECURE_LINE ? 'secure' : probability < GAP_LINE ? 'gap' : 'forming';
		return { standing: 'unseen', probability, answers, inferred, lastOn: trace.lastOn };
	}
	const standing: Standing = isSecure(trace, probability)
		? 'secure'
		: (trace.onceSecure || isSecure(trace)) && probability < SLIPPING_LINE
			? 'slipping'
			: probability < GAP_LINE
				? 'gap'
				: 'forming';
	return { standing, probability, answers, inferred: null, lastOn: trace.lastOn };
}

/** The standing by the student's own answers, or, where there are too few, what is inferred. */
export function ownOrInferred(now: StandingNow): Exclude<Standing, 'unseen'> | 'unseen' {
	return now.inferred ?? now.standing;
}
