/** A question to be calibrated. Difficulty is estimated as a distance from `around`, so that a prior can hold it there. */
export interface CalibrationItem {
	/** Chance of a right answer by luck; known, not estimated. */
	guessing: number;
	/** Where estimation starts: discrimination, and difficulty in logits. */
	discrimination: number;
	around: number;
	/** What is believed before any answer: spreads of the discrimination and of the distance from `around` (logits). */
	prior?: { discrimination: number; difficulty: number };
}

/** One person's answers; `group` tells whose mean and spread of ability apply. */
export interface CalibrationPerson {
	group: number;
	items: number[];
	correct: boolean[];
}

export interface CalibrationProblem {
	items: CalibrationItem[];
	persons: CalibrationPerson[];
	/** Ability in each group: N(mean, sd), logits. */
	groups: { mean: number; sd: number }[];
	/** Whether the groups' means and spreads are estimated too. Priors on the items must then hold the scale in place. */
	estimateGroups?: boolean;
}

export interface CalibrationOptions {
	/** Ends when no parameter moves by more in an iteration. */
	tolerance?: number;
	maximumIterations?: number;
	/** Goes on from here instead of from the items' starting parameters. Of another number of items, it is left aside. */
	from?: CalibrationState;
}

/** Of an item, as its logistic says it: slope · (θ − around) + intercept. */
export interface Line {
	slope: number;
	intercept: number;
}

/** How far a calibration is: plain values, so that it can be kept and gone on from. */
export interface CalibrationState {
	iteration: number;
	logLikelihood: number;
	/** Of the items that have something to estimate, in order. */
	lines: Line[];
	groups: CalibrationProblem['groups'];
}

/** Distance of the quadrature's nodes (logits), and how many spreads of a group they reach beyond its mean. */
const SPACING = 0.2;
const REACH = 6;

/** Nodes over which abilities are summed: 61 from −6 to 6 for one standard normal group. */
export function abilityNodes(groups: CalibrationProblem['groups']): Float64Array {
	const low = Math.min(...groups.map(({ mean, sd }) => mean - REACH * sd));
	const high = Math.max(...groups.map(({ mean, sd }) => mean + REACH * sd));
	const count = Math.round((high - low) / SPACING) + 1;
	return Float64Array.from({ length: count }, (_, i) => low + i * SPACING);
}

/** Chance of a right answer at each node. */
export function chanceAt(nodes: Float64Array, item: CalibrationItem, line: Line): Float64Array {
	return nodes.map(
		(theta) =>
			item.guessing + (1 - item.guessing) / (1 + Math.exp(-(line.slope * (theta - item.around) + line.intercept)))
	);
}
