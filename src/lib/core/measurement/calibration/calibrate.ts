import { expectationStep } from './expectation';
import { climb } from './maximization';
import {
	abilityNodes,
	chanceAt,
	type CalibrationOptions,
	type CalibrationProblem,
	type CalibrationState,
	type Line
} from './problem';
import { lineVariances } from './standardErrors';

/** What was found of an item. */
export interface CalibratedItem {
	discrimination: number;
	/** Logits. */
	difficulty: number;
	standardErrors: { discrimination: number; difficulty: number };
	answers: number;
	right: number;
	/**
	 * How far the share of right answers is from the model's curve: root of the mean squared distance over the abilities
	 * of those who answered (RMSD item fit, as in the technical reports of large-scale assessments). 0 is perfect.
	 */
	misfit: number;
}

export interface Calibration {
	items: CalibratedItem[];
	groups: { mean: number; sd: number }[];
	/** Marginal log-likelihood of all answers, without priors. */
	logLikelihood: number;
	iterations: number;
	converged: boolean;
}

/** A group's spread never becomes smaller: few persons who answer alike would make it nothing. */
const LEAST_SPREAD = 0.2;

/**
 * Item parameters from answers by marginal maximum likelihood with the EM algorithm (Bock & Aitkin 1981); with priors on
 * the items it is the marginal mode (Mislevy 1986). Missing answers are simply absent.
 *
 * Items that nobody answered, or all alike, have nothing to estimate without a prior: their parameters are NaN.
 */
export function calibrate(problem: CalibrationProblem, options: CalibrationOptions = {}): Calibration {
	const steps = calibrationSteps(problem, options);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}

/**
 * The same one iteration at a time, for long ones: each step tells how far it is. Whoever holds it may stop asking, and
 * go on another day from the state that was told last.
 */
export function* calibrationSteps(
	problem: CalibrationProblem,
	{ tolerance = 1e-5, maximumIterations = 2_000, from }: CalibrationOptions = {}
): Generator<CalibrationState, Calibration> {
	const tally = countAnswers(problem);
	const isOpen = problem.items.map(
		({ prior }, i) => prior !== undefined || (tally[i].right > 0 && tally[i].right < tally[i].answers)
	);
	const open = withoutClosed(problem, isOpen);
	const nodes = abilityNodes(problem.groups);
	let lines: Line[] = open.items.map(({ discrimination }) => ({ slope: discrimination, intercept: 0 }));
	let iteration = 0;
	let converged = false;
	if (from && from.lines.length === lines.length && from.groups.length === open.groups.length)
		({ lines, groups: open.groups, iteration } = from);
	let state = expectationStep(open, lines, nodes);
	while (!converged && iteration < maximumIterations) {
		const next = lines.map((line, i) => climb(open.items[i], line, nodes, state.answers[i], state.right[i]));
		let moved = 0;
		next.forEach((line, i) => {
			moved = Math.max(moved, Math.abs(line.slope - lines[i].slope), Math.abs(line.intercept - lines[i].intercept));
		});
		if (problem.estimateGroups) {
			open.groups = open.groups.map((before, g) => {
				const { persons, first, second } = state.groups[g];
				if (persons < 2) return before;
				const mean = first / persons;
				const sd = Math.max(LEAST_SPREAD, Math.sqrt(second / persons - mean * mean));
				moved = Math.max(moved, Math.abs(mean - before.mean), Math.abs(sd - before.sd));
				return { mean, sd };
			});
		}
		lines = next;
		state = expectationStep(open, lines, nodes);
		iteration++;
		converged = moved < tolerance;
		yield { iteration, logLikelihood: state.logLikelihood, lines, groups: open.groups };
	}
	const variances = lineVariances(open, lines, nodes);
	const found = lines.map(({ slope, intercept }, i): Omit<CalibratedItem, 'answers' | 'right'> => {
		const shift = -intercept / slope;
		const v = variances[i];
		// The delta method on around − intercept / slope.
		const difficulty = (v.intercept + 2 * shift * v.together + shift ** 2 * v.slope) / slope ** 2;
		return {
			discrimination: slope,
			difficulty: open.items[i].around + shift,
			standardErrors: { discrimination: Math.sqrt(v.slope), difficulty: Math.sqrt(difficulty) },
			misfit: misfitOf(state.answers[i], state.right[i], chanceAt(nodes, open.items[i], lines[i]))
		};
	});
	const unknown = {
		discrimination: NaN,
		difficulty: NaN,
		standardErrors: { discrimination: NaN, difficulty: NaN },
		misfit: NaN
	};
	let at = 0;
	return {
		items: problem.items.map((_, i) => ({ ...(isOpen[i] ? found[at++] : unknown), ...tally[i] })),
		groups: open.groups,
		logLikelihood: state.logLikelihood,
		iterations: iteration,
		converged
	};
}

function countAnswers({ items, persons }: CalibrationProblem): { answers: number; right: number }[] {
	const tally = items.map(() => ({ answers: 0, right: 0 }));
	for (const person of persons)
		person.items.forEach((item, a) => {
			tally[item].answers++;
			if (person.correct[a]) tally[item].right++;
		});
	return tally;
}

/** The same problem without the items that have nothing to estimate. They say nothing of anybody's ability either. */
function withoutClosed(problem: CalibrationProblem, isOpen: boolean[]): CalibrationProblem {
	const place = new Map<number, number>();
	isOpen.forEach((open, i) => {
		if (open) place.set(i, place.size);
	});
	return {
		items: problem.items.filter((_, i) => isOpen[i]),
		groups: problem.groups,
		persons: problem.persons.map(({ group, items, correct }) => ({
			group,
			items: items.filter((item) => isOpen[item]).map((item) => place.get(item)!),
			correct: correct.filter((_, a) => isOpen[items[a]])
		}))
	};
}

function misfitOf(answers: Float64Array, right: Float64Array, chances: Float64Array): number {
	let total = 0;
	let sum = 0;
	for (let k = 0; k < answers.length; k++) {
		if (answers[k] < 1e-9) continue;
		total += answers[k];
		sum += answers[k] * (right[k] / answers[k] - chances[k]) ** 2;
	}
	return Math.sqrt(sum / total);
}
