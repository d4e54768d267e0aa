import { sayDate, sayDay, type SchoolDate } from '../calendar';
import { number, plural, sayChance, sayShareBand } from '../words';
import type { Reason, Recommendation, Verdict } from './advise';
import type { Phase } from './phases';
import type { SeriesReading } from './readSeries';

const VERDICT_DONE: Record<Verdict, string> = {
	adjust: 'adjusted',
	intensify: 'intensified',
	fade: 'fading',
	continue: 'continued',
	exit: 'exit'
};

/** A change of the plan, in words. */
export function sayPhase(phase: Phase, skillName: (id: number) => string): string {
	switch (phase.is) {
		case 'group':
			return 'group begins';
		case 'focus':
			return `focus: ${skillName(phase.skillId)}`;
		case 'tier':
			return `tier ${phase.tier}`;
		case 'verdict':
			return phase.change || VERDICT_DONE[phase.verdict];
	}
}

/** What was changed in the time of a series, as sentences; none where nothing was. */
export const sayPhases = (phases: Phase[], skillName: (id: number) => string): string[] =>
	phases.length
		? [`Changed: ${phases.map((phase) => `${sayPhase(phase, skillName)}, ${sayDay(phase.on)}`).join('; ')}.`]
		: [];

/** A count of questions, to a tenth where it is no whole one. */
const count = (value: number) => number(value, Number.isInteger(Math.round(value * 10) / 10) ? 0 : 1);

/** Level, share and outlook of a series in sentences. */
export function saySeries(
	{ probes, levels, share, ahead, chanceOfGoal }: SeriesReading,
	{ questions, right, goalOn }: { questions: number; right: number; goalOn: SchoolDate }
): string[] {
	const now = levels[levels.length - 1];
	const end = ahead[ahead.length - 1];
	const all = probes[probes.length - 1].of;
	return [
		`Now about ${count(now.value)} of ${all} right, between ${count(now.lower)} and ${count(now.upper)} (80%); on the focus itself ${sayShareBand(share)}.`,
		`A probe on ${sayDate(goalOn)} may have ${end.lower} to ${end.upper} right (80%); ${sayChance(chanceOfGoal)} likely to reach ${right} of ${questions}.`
	];
}

const percent = (share: number) => `${Math.round(100 * share)}%`;

/** A reason of the rules as a sentence. */
export function sayReason(reason: Reason): string {
	switch (reason.is) {
		case 'share reached':
			return `At least 85% of the focus’s usual questions right is ${sayChance(reason.chances[0])} and ${sayChance(reason.chances[1])} sure after the last two probes.`;
		case 'level fell':
			return `The level check fell from ${number(reason.from.score)} to ${number(reason.to.score)} points, more than its error explains.`;
		case 'growth':
			return `The share right has risen by ${points(reason.risen.value)} (80%: ${points(reason.risen.lower)} to ${points(reason.risen.upper)}); the goal asks for ${points(reason.asked)} by now. Under half of that is ${sayChance(reason.underHalf)} likely.`;
		case 'delivered':
			return reason.planned
				? `${reason.attended} of ${plural(reason.planned, 'planned session')} attended.`
				: 'No sessions were planned, so dosage is not known.';
		case 'adjusted':
			return reason.times
				? `The plan was changed ${reason.times === 1 ? 'once' : `${reason.times} times`} since the series began.`
				: 'The plan was not changed yet.';
		case 'too early':
			if (reason.probes === 0) return 'No probe was taken yet.';
			return reason.needed
				? `${plural(reason.probes, 'week')} with a probe cannot tell growth from none in this case; ${reason.needed} can.`
				: `${plural(reason.probes, 'week')} with a probe cannot tell growth from none in this case, nor can all up to the goal’s day: the goal asks for too little more than the start.`;
	}
}

/** A rise of a share in hundredths, with its sign where it falls. */
const points = (share: number) => `${number(100 * share)} in 100`;

/** How often the rules are wrong in a case like this one. */
export function sayErrorRates({ advice, errorRates }: Pick<Recommendation, 'advice' | 'errorRates'>): string | null {
	if (!errorRates) return null;
	const { onTrackToldToChange, flatToldToContinue, exitUnder75 } = errorRates;
	if (advice === 'exit' || advice === 'fade')
		return `By simulation, with so many probes: of those with a share of 75% ${atMost(exitUnder75)} are told to exit.`;
	return `By simulation, with so many probes: of those exactly on track ${atMost(onTrackToldToChange)} are told to change, of those who do not grow ${atMost(flatToldToContinue)} to continue.`;
}

const atMost = (share: number) => (share < 0.005 ? 'under 1%' : percent(share));
