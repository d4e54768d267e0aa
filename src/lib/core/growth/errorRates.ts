import table from './errorRates.json' with { type: 'json' };

/** How often the rules are wrong in a case like the one at hand, by simulation (shares of 1). */
export interface ErrorRates {
	/** Of those exactly on the way to the goal, told to adjust or intensify. */
	onTrackToldToChange: number;
	/** Of those who do not grow at all, told to continue. */
	flatToldToContinue: number;
	/** Of those with a share of 75%, told to exit by now, looked at after every probe. */
	exitUnder75: number;
}

/** What the error rates of a series go by. */
export interface DecisionCase {
	/** Weeks with a probe. */
	probes: number;
	/** Questions a week. */
	questions: number;
	/** Share of usual questions right at its start. */
	start: number;
	/** From the first probe to the goal. */
	weeks: number;
}

/** The cases that are simulated; others go by the nearest. */
export const SIMULATED = { questions: [8, 16], starts: [0.15, 0.3, 0.45, 0.6], weeks: [6, 9, 12, 16] };

/** A rule may speak that is wrong for at most one in ten. */
const TOLERATED = 0.1;

/** By questions, start and weeks (places in `SIMULATED`), after 1, 2, … probes; made by `npm run simulate:decisions -- --write`. */
interface RateTable {
	onTrackToldToChange: number[][][][];
	flatToldToContinue: number[][][][];
	/** The same of a rule that speaks only where it is 90% sure. */
	surely: { onTrackToldToChange: number[][][][]; flatToldToContinue: number[][][][] };
	/** By questions alone. */
	exitUnder75: number[][];
}

const nearest = (values: number[], value: number): number =>
	values.reduce((best, one, i) => (Math.abs(one - value) < Math.abs(values[best] - value) ? i : best), 0);

/**
 * The rates of a case.
 *
 * @param isSure of a rule that speaks only where it is 90% sure (`SURELY` in `advise`)
 */
export function errorRates(
	{ probes, questions, start, weeks }: DecisionCase,
	isSure = false,
	rates: RateTable = table
): ErrorRates {
	const place = [
		nearest(SIMULATED.questions, questions),
		nearest(SIMULATED.starts, start),
		nearest(SIMULATED.weeks, weeks)
	];
	const after = (list: number[]) => list[Math.min(list.length, Math.max(1, probes)) - 1];
	const { onTrackToldToChange, flatToldToContinue } = isSure ? rates.surely : rates;
	return {
		onTrackToldToChange: after(onTrackToldToChange[place[0]][place[1]][place[2]]),
		flatToldToContinue: after(flatToldToContinue[place[0]][place[1]][place[2]]),
		exitUnder75: after(rates.exitUnder75[place[0]])
	};
}

/** Whether so many probes can tell growth from none. */
export const canTell = ({ onTrackToldToChange, flatToldToContinue }: ErrorRates): boolean =>
	onTrackToldToChange <= TOLERATED && flatToldToContinue <= TOLERATED;

/** How many probes it takes until growth can be told from none, one a week; null where the goal comes before. */
export function probesToTell(one: Omit<DecisionCase, 'probes'>, rates: RateTable = table): number | null {
	for (let probes = 1; probes <= one.weeks + 1; probes++)
		if (canTell(errorRates({ ...one, probes }, false, rates))) return probes;
	return null;
}
