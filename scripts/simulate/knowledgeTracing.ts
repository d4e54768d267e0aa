/** Knowledge tracing (Corbett & Anderson 1994): what the field is compared with. */
import { daysBetween, type SchoolDate } from '../../src/lib/core/calendar';
import {
	type AbilityEstimate,
	expectedTheta,
	type GradeTerm,
	guessingChance,
	type ResponseFormat,
	type SittingKind
} from '../../src/lib/core/measurement';

/** One first-try answer to an item of the skill. `sittingId` tells answers given in one go. */
export interface Evidence {
	correct: boolean;
	on: SchoolDate;
	format: ResponseFormat;
	/** Whether the student said that it is not known yet, and tried no luck. */
	notYet?: boolean;
	source: SittingKind;
	sittingId: number;
}

/** What the answers so far say of one student and one skill, as of the last answer. */
export interface Trace {
	/** P(known) right after the last answer. */
	probability: number;
	lastOn: SchoolDate | null;
	answers: number;
	correct: number;
	/** Different days with an answer, since the last wrong answer that left the skill a Gap. */
	days: number;
	lastSittingId: number | null;
	/** Answers on the skill in a row in the last sitting, since then. */
	inLastSitting: number;
	/** Most answers on the skill in a row in one sitting, since then. */
	largestSitting: number;
	/** Whether a sitting before the last one ended with the skill Secure. */
	onceSecure: boolean;
}

/** Chance of a wrong answer by a student who knows the skill. */
export const SLIP = 0.08;
/** Chance that a practice item, with its feedback, turns not knowing into knowing. */
const LEARN = 0.1;
/** Chance of a right answer by a student who does not know the skill as a whole: luck or half an idea, whichever is more. */
export function guess(format: ResponseFormat): number {
	return Math.max(0.1, guessingChance(format));
}
/** Chance that what was known in one sitting is not kept to the next day. */
const FORGET_OVERNIGHT = 0.03;
/** Chance a day that a known skill is forgotten, while it is not met. */
const FORGET_PER_DAY = 0.0015;
/** As sure as answers can make us: exactly 1 would be a number that no later answer could change. */
const ALMOST_SURE = 1 - 1e-9;
/** P(known) from which a skill is Secure, if there is evidence enough. */
const SECURE_LINE = 0.85;
/** Under this P(known) a skill is a Gap. */
const GAP_LINE = 0.35;

/** P(known) after days without an answer: something is lost overnight, then known skills fade at a constant daily rate. */
function afterDays(probability: number, days: number): number {
	return days <= 0 ? probability : probability * (1 - FORGET_OVERNIGHT) * (1 - FORGET_PER_DAY) ** days;
}

/**
 * P(known) once an answer is seen, by Bayes' rule, then the chance of having learned from it: knowledge tracing
 * (Corbett & Anderson 1994) with guessing by response format.
 */
function afterAnswer(
	probability: number,
	{ correct, format, notYet, source }: Omit<Evidence, 'on' | 'sittingId'>
): number {
	const lucky = notYet ? 0 : guess(format);
	const known = probability * (correct ? 1 - SLIP : SLIP);
	const unknown = (1 - probability) * (correct ? lucky : 1 - lucky);
	const posterior = Math.min(ALMOST_SURE, known / (known + unknown));
	return source === 'practice' ? posterior + (1 - posterior) * LEARN : posterior;
}

/**
 * Whether a skill is Secure at a P(known), by default that right after the last answer. The evidence must be enough: 4
 * answers on 2 days, or 5 in one sitting. Days and sitting are those since the last wrong answer that left a Gap, since
 * what speaks against a skill is no evidence for it: three right in a row after forty wrong are luck more often than they
 * are learning.
 */
export function isSecure(trace: Trace, probability = trace.probability): boolean {
	return probability >= SECURE_LINE && ((trace.answers >= 4 && trace.days >= 2) || trace.largestSitting >= 5);
}

/** Where a trace begins. @param prior P(known) before any answer, see `priorKnown` */
function begin(prior: number): Trace {
	return {
		probability: prior,
		lastOn: null,
		lastSittingId: null,
		inLastSitting: 0,
		answers: 0,
		correct: 0,
		days: 0,
		largestSitting: 0,
		onceSecure: false
	};
}

/** The trace after one more answer, which must not be older than those before it. */
function advance(before: Trace, answer: Evidence): Trace {
	const newDay = before.lastOn !== answer.on;
	const kept =
		newDay && before.lastOn ? afterDays(before.probability, daysBetween(before.lastOn, answer.on)) : before.probability;
	const probability = afterAnswer(kept, answer);
	const leftGap = !answer.correct && probability < GAP_LINE;
	const inLastSitting = leftGap ? 0 : before.lastSittingId === answer.sittingId ? before.inLastSitting + 1 : 1;
	return {
		probability,
		lastOn: answer.on,
		lastSittingId: answer.sittingId,
		inLastSitting,
		answers: before.answers + 1,
		correct: before.correct + Number(answer.correct),
		days: leftGap ? 0 : before.days + Number(newDay || before.days === 0),
		largestSitting: leftGap ? 0 : Math.max(before.largestSitting, inLastSitting),
		onceSecure: before.onceSecure || (before.lastSittingId !== answer.sittingId && isSecure(before))
	};
}

/**
 * Follows one student on one skill through all first-try answers.
 *
 * @param evidence in the order the answers were given
 * @param prior P(known) before any answer, see `priorKnown`
 */
export function trace(evidence: Evidence[], prior: number): Trace {
	return evidence.reduce(advance, begin(prior));
}

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
