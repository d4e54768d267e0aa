/** What students are commended for: effort and growth, each measured by nothing but the student's own weeks before. */

/** What a commendation is for. */
export const COMMENDATION_KINDS = ['effort', 'growth'] as const;
export type CommendationKind = (typeof COMMENDATION_KINDS)[number];

/** Counts of questions right, 80%. */
interface Range {
	lower: number;
	upper: number;
}

/** Why a commendation is proposed. */
export type Proposal =
	| {
			kind: 'effort';
			is: 'active minutes';
			minutes: number;
			/** Of the four weeks before, on the median. */ usual: number;
	  }
	| { kind: 'effort'; is: 'in a row'; sessions: number; /** Missed in the sessions before those. */ missed: number }
	| { kind: 'growth'; is: 'secure'; skillIds: number[] }
	| { kind: 'growth'; is: 'risen'; skillId: number; of: number; from: Range; to: Range };

/** What is known of a student's week and of those before it. */
export interface WeekFacts {
	/** Of active practice this week. */
	minutes: number;
	/** Of each of the four weeks before. */
	minutesBefore: number[];
	/** Sessions of each of their groups in time, those that were not held left out. */
	sessions: { attended: boolean }[][];
	/** Skills secure now that were not when the cycle began, answered this week, and not commended for yet. */
	secure: number[];
	/** Running series: the level after the first probe and after the last, in questions right. */
	series: { skillId: number; probes: number; of: number; first: Range; last: Range }[];
	/** Skills whose series were commended for since they began. */
	risenBefore: number[];
}

/** Under so many minutes a week's work is not told of. */
const LEAST_MINUTES = 20;
/** So many times the usual week. */
const MORE = 1.5;
/** Sessions in a row, after so many missed in as many before them. */
const [IN_A_ROW, MISSED] = [4, 2];
/** Probes from which a series is told of. */
const LEAST_PROBES = 4;

function median(values: number[]): number {
	const inOrder = [...values].sort((a, b) => a - b);
	const half = Math.floor(inOrder.length / 2);
	return inOrder.length % 2 ? inOrder[half] : (inOrder[half - 1] + inOrder[half]) / 2;
}

/**
 * What a student may be commended for this week, effort first: never by comparing with others.
 * - *active minutes*: at least 20, and half as many again as in the usual one of the four weeks before, in which they worked in two;
 * - *in a row*: the last four sessions of a group attended, after two of the four before were missed;
 * - *secure*: skills made secure since the cycle began;
 * - *risen*: the level of a series of four probes or more lies over its band at the first one, neither 80% band touching the other.
 */
export function propose(facts: WeekFacts): Proposal[] {
	const found: Proposal[] = [];
	const { minutes, minutesBefore } = facts;
	const usual = minutesBefore.length ? median(minutesBefore) : 0;
	if (minutes >= LEAST_MINUTES && minutesBefore.filter((one) => one > 0).length >= 2 && minutes >= MORE * usual)
		found.push({ kind: 'effort', is: 'active minutes', minutes, usual });
	for (const own of facts.sessions) {
		const since = own.slice(-IN_A_ROW);
		const before = own.slice(-2 * IN_A_ROW, -IN_A_ROW);
		const missed = before.filter(({ attended }) => !attended).length;
		if (since.length === IN_A_ROW && since.every(({ attended }) => attended) && missed >= MISSED)
			found.push({ kind: 'effort', is: 'in a row', sessions: IN_A_ROW, missed });
	}
	if (facts.secure.length) found.push({ kind: 'growth', is: 'secure', skillIds: facts.secure });
	for (const { skillId, probes, of, first, last } of facts.series)
		if (probes >= LEAST_PROBES && last.lower > first.upper && !facts.risenBefore.includes(skillId))
			found.push({ kind: 'growth', is: 'risen', skillId, of, from: first, to: last });
	return found;
}
