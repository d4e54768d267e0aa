import { sayDay, weeksBetween, type SchoolDate } from '$lib/core/calendar';
import { type Aimline, type Goal, type Phase, sayPhase, type SeriesReading } from '$lib/core/growth';
import type { SessionDay } from '$lib/core/timetable';
import type { SeriesContent } from './seriesChart';

/** A plan of probes with what it says, as pages have it. */
export interface ShownSeries {
	questions: number;
	goal: Goal;
	goalOn: SchoolDate;
	startsOn: SchoolDate;
	reading: SeriesReading | null;
	aimline: Aimline | null;
	phases: Phase[];
	days: SessionDay[];
}

/** What is drawn of a series, and how. */
export const SERIES_KEY =
	'Dots: what was right, by week. Green: the level, 80%. Gray: what may come, 80%. Dashes: to the goal. Dotted: a change. Below: sessions attended (filled), missed (outlined), not held (a line).';

/** What a chart draws of a plan. */
export function seriesContent(plan: ShownSeries, skillName: (id: number) => string): SeriesContent {
	const { questions, goal, goalOn, startsOn, reading, aimline, phases, days } = plan;
	// Whoever began over the goal is to stay there: no line leads down.
	const line = aimline && { ...aimline, from: { ...aimline.from, y: Math.min(aimline.from.y, aimline.to.y) } };
	return {
		...{ questions, goal, reading, aimline: line },
		goalOn: sayDay(goalOn),
		phases: phaseMarks(phases, startsOn, skillName),
		sessions: days.map(({ on, is }) => ({ at: weeksBetween(startsOn, on), is }))
	};
}

/** A series in a sentence, for those who hear the page. */
export function sayChart({ reading, questions, goal, goalOn }: ShownSeries): string {
	if (!reading) return 'No probe was taken yet.';
	return `Probes: ${reading.probes.map(({ right }) => right).join(', ')} of ${questions}; goal ${goal.right} by ${sayDay(goalOn)}.`;
}

/** Phases of one day with their words, each where it stands among a series' weeks. */
export function phaseMarks(
	phases: Phase[],
	startsOn: SchoolDate,
	skillName: (id: number) => string
): SeriesContent['phases'] {
	const byDay = new Map<SchoolDate, string[]>();
	for (const phase of phases) byDay.set(phase.on, [...(byDay.get(phase.on) ?? []), sayPhase(phase, skillName)]);
	return [...byDay].map(([on, says]) => ({
		at: weeksBetween(startsOn, on),
		says: `${[...new Set(says)].join(', ')}, ${sayDay(on)}`
	}));
}
