import { sayDate, type SchoolDate } from '../calendar';
import { plural } from '../words';
import type { Verdict } from './advise';

/** All that a verdict will do, as it is said before and after. */
export interface DecisionSaid {
	/** Of the student. */
	name: string;
	verdict: Verdict;
	effectiveOn: SchoolDate;
	tier: { now: number; then: number };
	/** The group that the review is about; null for none. */
	group: string | null;
	leaves: boolean;
	/** The group that the student joins. */
	joins: string | null;
	/** Done in another way from then on; empty where that is not said. */
	change: string;
	/** What the group works on from then on; null where that stays. */
	focus: string | null;
	/** Questions right of a probe, by a day; null where it stays. */
	goal: { right: number; on: SchoolDate } | null;
	nextReviewOn: SchoolDate | null;
	tasks: number;
	tellsFamily: boolean;
}

const WITHOUT_MOVE: Record<Verdict, string> = {
	continue: 'goes on as planned',
	adjust: 'goes on in another way',
	intensify: 'gets more',
	fade: 'gets less',
	exit: 'needs no group any more'
};

/** A verdict as one sentence: what will happen, from when. */
export function sayDecision(said: DecisionSaid): string {
	const { name, verdict, effectiveOn, tier, group, leaves, joins, change, focus, goal, nextReviewOn, tasks } = said;
	const does =
		tier.then === tier.now
			? `${WITHOUT_MOVE[verdict]} from ${sayDate(effectiveOn)}, tier ${tier.then}`
			: `moves to tier ${tier.then} on ${sayDate(effectiveOn)}`;
	const parts = [
		group && (leaves ? `leaves ${group}` : verdict !== 'exit' && `stays in ${group}`),
		joins && `joins ${joins}`,
		change,
		focus && `${group ?? 'the group'} works on ${focus}`,
		goal && `goal ${goal.right} right by ${sayDate(goal.on)}`,
		verdict === 'exit' && leaves && 'watched for eight weeks',
		tasks > 0 && plural(tasks, 'task'),
		said.tellsFamily && 'the family is told',
		nextReviewOn && `looked at again ${sayDate(nextReviewOn)}`
	].filter(Boolean);
	return `${name} ${does}${parts.length ? `: ${parts.join(', ')}` : ''}.`;
}
