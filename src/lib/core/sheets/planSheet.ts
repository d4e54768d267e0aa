import { sayDate, sayDay } from '../calendar';
import { number, plural } from '../words';
import { type EvidenceFacts, levelTable } from './evidenceSheet';
import type { Sheet } from './sheet';

/** What an education plan says beside the evidence. */
export interface PlanFacts extends EvidenceFacts {
	/** The small group now; null for none. */
	group: { name: string; adult: string; when: string; minutes: number; aWeek: number } | null;
	/** In words; empty for none. */
	accommodations: string[];
	nextReviewOn: string | null;
}

export const PLAN_PARTS = ['now', 'goals', 'measured', 'support', 'accommodations'] as const;
export type PlanPart = (typeof PLAN_PARTS)[number];

/** A goal that can be measured, drawn from the weekly probes; null without any. */
function goalOf({ student, series }: PlanFacts): string | null {
	if (!series) return null;
	const { skill, questions, ofFocus, goal, goalOn, reading } = series;
	const now = reading?.levels[reading.levels.length - 1];
	const from = now
		? ` Now it is about ${number(now.value)}, between ${number(now.lower)} and ${number(now.upper)} (80%).`
		: ' It was not measured yet.';
	const rest = questions - ofFocus;
	return `By ${sayDate(goalOn)}, ${student.givenName} answers at least ${goal.right} of ${questions} questions right at first try in two weekly probes in a row: ${ofFocus} questions on ${skill}${rest ? ` and ${rest} on what comes before it` : ''}.${from}`;
}

/** The part of an education plan that mathematics has: levels now, goals, how progress is measured, support, accommodations. */
export function planSheet(facts: PlanFacts): Sheet<PlanPart> {
	const { student, school, on, series, levels, focus, group, accommodations, nextReviewOn } = facts;
	const goal = goalOf(facts);
	return {
		title: `Education plan, mathematics: ${student.fullName}`,
		about: `${student.className}, grade ${student.grade}, tier ${student.tier} · ${school}`,
		printed: sayDate(on),
		language: 'en-US',
		parts: [
			{
				key: 'now',
				heading: 'Levels now',
				lines: [
					...(levels.length ? [] : ['There is no score yet.']),
					...(focus?.lacking.length ? [`Not yet there underneath ${focus.name}: ${focus.lacking.join(', ')}.`] : [])
				],
				...(levels.length ? { table: levelTable(levels) } : {})
			},
			{
				key: 'goals',
				heading: 'Goals',
				lines: [goal ?? 'No weekly probes run, so no goal can be drawn from them: write one here.'],
				editable: true
			},
			{
				key: 'measured',
				heading: 'How progress is measured',
				lines: series
					? [
							`${series.aWeek >= 2 ? 'Two probes a week' : series.aWeek === 1 ? 'A probe a week' : 'A probe every second week'} of ${series.questions} questions that were not met before, of the same kinds each week.`,
							...(nextReviewOn ? [`The team looks at it on ${sayDate(nextReviewOn)}.`] : [])
						]
					: ['Not by weekly probes yet.'],
				editable: true
			},
			{
				key: 'support',
				heading: 'Support',
				lines: group
					? [
							`Small group “${group.name}” with ${group.adult}: ${group.when}, ${group.minutes} minutes, ${plural(group.aWeek, 'time')} a week.`
						]
					: ['No small group now.'],
				editable: true
			},
			{
				key: 'accommodations',
				heading: 'Accommodations',
				lines: accommodations.length ? accommodations : ['None.'],
				editable: true
			}
		],
		foot: `Drawn up from what was measured up to ${sayDay(on)}; points and norms of the school here are made up.`
	};
}
