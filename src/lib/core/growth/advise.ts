import { reliableChange } from '../measurement';
import { canTell, errorRates, probesToTell, type DecisionCase, type ErrorRates } from './errorRates';
import { growthSoFar, type Goal, type GrowthSoFar } from './growthSoFar';
import type { ProbeAnswers } from './series';
import { shareReached } from './shareReached';

export type Verdict = 'continue' | 'adjust' | 'intensify' | 'fade' | 'exit';
export type Advice = Verdict | 'deliver first' | 'not enough yet';

/** The share on the focus's usual question with which a student can do without the group. */
export const EXIT_SHARE = 0.85;
/** How sure that must be after each of two probes in a row, to exit and to fade. */
const SURE = { exit: 0.8, fade: 0.6 };
/** Under this share of planned sessions the plan has not been tried; from the other on it has. */
export const DELIVERED = { first: 0.6, tried: 0.8 };
/** How sure it must be that growth is under half of what the goal asks. */
const UNDER_HALF = { adjust: 0.5, intensify: 0.8 };
/** While so many probes tell too little in general, a student whose own are so sure is told all the same. */
export const SURELY = 0.9;
/** Weeks with a probe below which nobody is told anything of growth. */
const FEWEST = 4;

/** A score with its error, in any one unit. */
interface LevelCheck {
	score: number;
	standardError: number;
}

/** What a review looks at beside the series. */
export interface Circumstances {
	sessions: { planned: number; attended: number };
	/** Changes of the plan since the series began: of focus, minutes, group. */
	adjustmentsTried: number;
	/** Of the focus's domain, oldest first. */
	levelChecks: LevelCheck[];
}

/** All that a review looks at. */
export interface ReviewEvidence extends Circumstances {
	/** In the order of its weeks. */
	series: ProbeAnswers[];
	goal: Goal;
	/** Of the focus's usual question (logits). */
	focusDifficulty: number;
}

/** A fact that advice rests on. Chances and shares of 1. */
export type Reason =
	| { is: 'share reached'; /** After the last two probes, the earlier first. */ chances: [number, number] }
	| { is: 'level fell'; from: LevelCheck; to: LevelCheck }
	| ({ is: 'growth' } & Pick<GrowthSoFar, 'risen' | 'asked' | 'underHalf'>)
	| { is: 'delivered'; planned: number; attended: number }
	| { is: 'adjusted'; times: number }
	| { is: 'too early'; probes: number; /** Null where the goal comes before it can be told. */ needed: number | null };

export interface Recommendation {
	advice: Advice;
	/** The deciding one first. */
	reasons: Reason[];
	/** Null before the first probe. */
	errorRates: ErrorRates | null;
}

/** What the rules look at in a series. */
export interface SeriesLook {
	soFar: GrowthSoFar;
	/** After the last two probes, the earlier first, the chance that the share of the focus is enough to exit; 0 before the second. */
	reached: [number, number];
	about: DecisionCase;
}

/** What the rules look at in a series. @throws RangeError without probes */
export function lookAtSeries(series: ProbeAnswers[], goal: Goal, focusDifficulty: number): SeriesLook {
	const soFar = growthSoFar(series, goal);
	const chances = shareReached(series, focusDifficulty, [EXIT_SHARE]).map(([chance]) => chance);
	const weeks = new Set(series.map(({ week }) => Math.floor(week))).size;
	const answers = series.reduce((sum, one) => sum + one.answers.length, 0);
	return {
		soFar,
		reached: [chances[chances.length - 2] ?? 0, chances[chances.length - 1]],
		about: {
			probes: weeks,
			questions: answers / weeks,
			start: soFar.start.value,
			weeks: goal.week - series[0].week
		}
	};
}

/**
 * What the numbers advise at a review: by the level now and by growth so far, never by a forecast. In this order:
 * 1. *exit* when a share of 85% on the focus is 80% sure after each of two probes in a row, and no level check has reliably fallen;
 *    *fade* when it is 60% sure, or when a level check has fallen;
 * 2. *deliver first* when growth is more likely than not under half of what the goal asks, or cannot be told yet, and under 60%
 *    of planned sessions were attended;
 * 3. *not enough yet* while, with so many probes of so many questions, the next rules are wrong for more than one in ten, unless
 *    four or more probes of their own are 90% sure that growth is under half, or that it is not;
 * 4. *intensify* when growth is under half of what the goal asks with 80% certainty, at least 80% of sessions were attended
 *    and one adjustment was tried; *adjust* when it is more likely than not under half;
 * 5. *continue*.
 *
 * How often each is wrong is found by `npm run simulate:decisions`.
 */
export function advise({ series, goal, focusDifficulty, ...circumstances }: ReviewEvidence): Recommendation {
	return adviseFrom(series.length ? lookAtSeries(series, goal, focusDifficulty) : null, circumstances);
}

/** The advice of `advise`, from a series that was looked at before; null before its first probe. */
export function adviseFrom(look: SeriesLook | null, circumstances: Circumstances): Recommendation {
	const { sessions, adjustmentsTried, levelChecks } = circumstances;
	const delivered: Reason = { is: 'delivered', ...sessions };
	const dosage = sessions.planned ? sessions.attended / sessions.planned : null;
	const isUndelivered = dosage !== null && dosage < DELIVERED.first;
	if (!look) {
		const none: Reason = { is: 'too early', probes: 0, needed: null };
		return isUndelivered
			? { advice: 'deliver first', reasons: [delivered, none], errorRates: null }
			: { advice: 'not enough yet', reasons: [none, delivered], errorRates: null };
	}
	const { soFar, reached, about } = look;
	const rates = errorRates(about);
	const answer = (advice: Advice, ...reasons: Reason[]): Recommendation => ({ advice, reasons, errorRates: rates });
	const growth: Reason = { is: 'growth', risen: soFar.risen, asked: soFar.asked, underHalf: soFar.underHalf };

	const holds: Reason = { is: 'share reached', chances: reached };
	const sure = Math.min(...reached);
	const fell = lastFall(levelChecks);
	if (sure >= SURE.exit && !fell) return answer('exit', holds, delivered);
	if (sure >= SURE.fade) return answer('fade', ...(fell ? [fell] : []), holds, delivered);

	const { underHalf } = soFar;
	const isSure = about.probes >= FEWEST && (underHalf >= SURELY || underHalf <= 1 - SURELY);
	const tellsAll = canTell(rates);
	const tells = tellsAll || isSure;
	const isSlow = underHalf > UNDER_HALF.adjust;
	if (isUndelivered && (isSlow || !tells)) return answer('deliver first', delivered, growth);
	if (!tells) {
		const early: Reason = { is: 'too early', probes: about.probes, needed: probesToTell(about) };
		return answer('not enough yet', early, growth, delivered);
	}
	// Of a rule that speaks early only where it is sure, how often that is wrong.
	const told = (advice: Advice, ...reasons: Reason[]): Recommendation => ({
		...answer(advice, ...reasons),
		errorRates: tellsAll ? rates : errorRates(about, true)
	});
	const adjusted: Reason = { is: 'adjusted', times: adjustmentsTried };
	const isTried = dosage !== null && dosage >= DELIVERED.tried && adjustmentsTried > 0;
	if (underHalf >= UNDER_HALF.intensify && isTried) return told('intensify', growth, delivered, adjusted);
	if (isSlow) return told('adjust', growth, delivered, adjusted);
	return told('continue', growth, delivered);
}

/** The last level check, where it has reliably fallen from the one before (Jacobson & Truax 1991). */
function lastFall(checks: LevelCheck[]): Reason | null {
	if (checks.length < 2) return null;
	const [from, to] = checks.slice(-2);
	const { reliable } = reliableChange(from, to);
	return reliable && to.score < from.score ? { is: 'level fell', from, to } : null;
}
