/** What the program sees that a person should know: one rule a file. */
import { classesAlone } from './rules/classesAlone';
import { cycleEnds } from './rules/cycleEnds';
import { goalsUnlikely } from './rules/goalsUnlikely';
import { keptLongEnough } from './rules/keptLongEnough';
import { leftBehind } from './rules/leftBehind';
import { mailNotSent } from './rules/mailNotSent';
import { nobodyResponsible } from './rules/nobodyResponsible';
import { notDelivered } from './rules/notDelivered';
import { notInvited } from './rules/notInvited';
import { reviewsOverdue } from './rules/reviewsOverdue';
import { rosterWaits } from './rules/rosterWaits';
import { slippingAfterExit } from './rules/slippingAfterExit';
import { syncTrouble } from './rules/syncTrouble';
import { tasksLate } from './rules/tasksLate';
import { unexpectedAnswersGiven } from './rules/unexpectedAnswersGiven';
import { windowCloses } from './rules/windowCloses';
import { withoutPin } from './rules/withoutPin';
import { yearEnds } from './rules/yearEnds';
import type { Notice, NoticeAudience, NoticeRule, SchoolFacts } from './notice';

export type { Notice, NoticeAudience, SchoolFacts } from './notice';
export { sayDigest } from './sayDigest';

/** All rules; their names are kept with what they found. */
const RULES: Record<string, NoticeRule> = {
	windowCloses,
	slippingAfterExit,
	reviewsOverdue,
	goalsUnlikely,
	notDelivered,
	tasksLate,
	nobodyResponsible,
	withoutPin,
	yearEnds,
	cycleEnds,
	rosterWaits,
	syncTrouble,
	leftBehind,
	classesAlone,
	notInvited,
	mailNotSent,
	keptLongEnough,
	unexpectedAnswersGiven
};

/** A notice with the rule that found it, who is told, and where it belongs. */
export interface FoundNotice extends Notice {
	rule: string;
	audience: NoticeAudience;
	place: string;
}

/** Everything that there is to be told of a school on a day. */
export const findNotices = (facts: SchoolFacts): FoundNotice[] =>
	Object.entries(RULES).flatMap(([rule, { audience, place, find }]) =>
		find(facts).map((notice) => ({ ...notice, rule, audience, place }))
	);
