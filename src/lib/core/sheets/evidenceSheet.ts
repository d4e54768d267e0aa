import { addDays, sayDate, sayDay, type SchoolDate } from '../calendar';
import {
	type Advice,
	type Recommendation,
	type Phase,
	sayErrorRates,
	sayPhases,
	sayReason,
	saySeries,
	type SeriesReading,
	type Verdict
} from '../growth';
import { sayStanding, type StandingNow } from '../mastery';
import { saySessions, type Sessions } from '../timetable';
import { plural } from '../words';
import type { Sheet, SheetPart } from './sheet';

/** Who a sheet is about. */
export interface SheetStudent {
	fullName: string;
	givenName: string;
	className: string;
	grade: number;
	tier: number;
}

/** The series of weekly probes that a sheet tells. */
export interface SheetSeries {
	skill: string;
	/** Null before the first probe. */
	reading: SeriesReading | null;
	questions: number;
	ofFocus: number;
	/** Probes a week. */
	aWeek: number;
	goal: { right: number; week: number };
	goalOn: SchoolDate;
	phases: Phase[];
	/** Minutes of practice since it began. */
	practiced: number;
}

export interface SheetLevel {
	domain: string;
	points: number;
	error: number;
	/** Of the student's grade in that term. */
	cut: number;
	window: string;
	takenOn: SchoolDate;
}

/** What is known of a student and their support. */
export interface EvidenceFacts {
	student: SheetStudent;
	school: string;
	on: SchoolDate;
	tiers: { tier: number; fromOn: SchoolDate; untilOn: SchoolDate | null }[];
	groups: { name: string; focus: string; fromOn: SchoolDate; untilOn: SchoolDate | null; sessions: Sessions | null }[];
	series: SheetSeries | null;
	/** What each measure says that an adult gives week by week, in sentences. */
	measures: string[][];
	sessions: Sessions | null;
	focus: {
		name: string;
		now: StandingNow | null;
		lacking: string[];
		builtOn: { name: string; isReady: boolean; now: StandingNow | null }[];
	} | null;
	levels: SheetLevel[];
	recommendation: Recommendation;
	decisions: {
		effectiveOn: SchoolDate | null;
		verdict: Verdict | null;
		newTier: number | null;
		advice: Advice | null;
		against: string;
		change: string;
		note: string;
	}[];
	notes: { on: SchoolDate; by: string; text: string }[];
	skillName: (id: number) => string;
}

export const EVIDENCE_PARTS = ['support', 'growth', 'standing', 'levels', 'advice', 'decisions', 'notes'] as const;
export type EvidencePart = (typeof EVIDENCE_PARTS)[number];

const until = (day: SchoolDate | null) => (day ? sayDay(addDays(day, -1)) : 'now');

/** Scores by domain against the cut, as a table. */
export const levelTable = (levels: SheetLevel[]): SheetPart['table'] => ({
	columns: ['Domain', 'Points', 'Cut', 'When'],
	rows: levels.map(({ domain, points, error, cut, window, takenOn }) => [
		domain,
		`${points}, give or take ${error}`,
		String(cut),
		`${window}, ${sayDay(takenOn)}`
	])
});

function growthPart({ series, measures, sessions, skillName }: EvidenceFacts): SheetPart<EvidencePart> {
	const head = { key: 'growth' as const, heading: 'Growth and what was delivered' };
	const delivered = sessions ? [saySessions(sessions)] : ['No sessions were planned.'];
	const told = measures.flat();
	if (!series) {
		const none = told.length ? 'No weekly probes run.' : 'No weekly probes run, so growth cannot be told.';
		return { ...head, lines: [none, ...told, ...delivered] };
	}
	const { reading, questions, goal, goalOn, phases, practiced, skill } = series;
	const lines = [
		`Weekly probes on ${skill}, ${questions} questions each.`,
		...(reading ? saySeries(reading, { questions, right: goal.right, goalOn }) : ['None was taken yet.']),
		...told,
		...delivered,
		`${plural(practiced, 'minute')} of practice since they began.`,
		...sayPhases(phases, skillName)
	];
	const drawn = reading && { reading, questions, goal: goal.right, weeks: goal.week };
	return { ...head, lines, ...(drawn ? { series: drawn } : {}) };
}

function standingPart({ focus, on }: EvidenceFacts): SheetPart<EvidencePart> {
	const head = { key: 'standing' as const, heading: 'Where the student stands' };
	if (!focus) return { ...head, lines: ['There is no focus to look at.'] };
	const { name, now, lacking, builtOn } = focus;
	return {
		...head,
		lines: [
			`${name}: ${sayStanding(now ?? undefined, on)}.`,
			lacking.length ? `Lacking underneath: ${lacking.join(', ')}.` : 'Nothing is known to be lacking underneath.',
			...(builtOn.length
				? [
						`Builds on it: ${builtOn.map((one) => `${one.name} (${one.isReady ? 'ready next' : (one.now?.standing ?? 'unseen')})`).join(', ')}.`
					]
				: [])
		]
	};
}

/** The evidence on one student for a meeting: support so far, growth, standing, scores, advice, decisions, notes. */
export function evidenceSheet(facts: EvidenceFacts): Sheet<EvidencePart> {
	const { student, school, on, tiers, groups, levels, recommendation, decisions, notes } = facts;
	const rates = sayErrorRates(recommendation);
	const orElse = (lines: string[], none: string) => (lines.length ? lines : [none]);
	return {
		title: `Evidence: ${student.fullName}`,
		about: `${student.className}, grade ${student.grade}, tier ${student.tier} · ${school}`,
		printed: sayDate(on),
		language: 'en-US',
		parts: [
			{
				key: 'support',
				heading: 'Support so far',
				lines: orElse(
					[
						...tiers.map(({ tier, fromOn, untilOn }) => `Tier ${tier}: ${sayDay(fromOn)} to ${until(untilOn)}.`),
						...groups.map(({ name, focus, fromOn, untilOn, sessions }) =>
							`${name}, on ${focus}: ${sayDay(fromOn)} to ${until(untilOn)}. ${sessions ? saySessions(sessions) : ''}`.trim()
						)
					],
					'No support beyond the class yet.'
				)
			},
			growthPart(facts),
			standingPart(facts),
			{
				key: 'levels',
				heading: 'Scores',
				lines: levels.length ? [] : ['There is no score yet.'],
				...(levels.length ? { table: levelTable(levels) } : {})
			},
			{
				key: 'advice',
				heading: `The rules advise: ${recommendation.advice}`,
				lines: [...recommendation.reasons.map(sayReason), ...(rates ? [rates] : [])]
			},
			{
				key: 'decisions',
				heading: 'Decisions',
				lines: orElse(
					decisions.map(({ effectiveOn, verdict, newTier, advice, against, change, note }) =>
						[
							`${effectiveOn ? sayDay(effectiveOn) : ''}: ${verdict}, tier ${newTier}${change ? `, ${change}` : ''}`,
							against && `Advised was ${advice}; but: ${against}`,
							note
						]
							.filter(Boolean)
							.map((part) => (part as string).replace(/\.$/, ''))
							.join('. ')
							.concat('.')
					),
					'Nothing was decided yet.'
				)
			},
			{
				key: 'notes',
				heading: 'Notes',
				lines: orElse(
					notes.map(({ on: day, by, text }) => `${sayDay(day)}, ${by}: ${text}`),
					'No notes.'
				)
			}
		],
		foot: 'Bands hold in 8 of 10 cases. Points and cut scores are those of the school here; the norms they come from are made up.'
	};
}
