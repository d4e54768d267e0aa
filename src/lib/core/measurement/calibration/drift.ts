import { logChances, logWeights, personPosterior } from './expectation';
import { abilityNodes, chanceAt, type CalibrationProblem, type Line } from './problem';

/** How an item behaved among some of the persons, against the others. */
export interface Drift {
	/** How much harder (logits) it was for them; negative for easier. */
	shift: number;
	/** The shift over its standard error. */
	z: number;
}

/**
 * Drift of each item among some persons against the others: what each side's right answers, beyond those that the fitted
 * parameters and all of the person's answers lead to expect, say of its difficulty there (one step of Newton's method).
 * The ability of each is summed over, with their own answers counted in, so that shifts look a little smaller than they are.
 *
 * Source: residuals of an item response model at posterior ability (Glas 1988, first-order statistics).
 *
 * @param lines fitted, one an item
 * @param among whether a person (by place) is one of them
 * @returns null for items that one of the sides did not answer
 */
export function driftOf(
	problem: CalibrationProblem,
	lines: Line[],
	among: (person: number) => boolean
): (Drift | null)[] {
	const nodes = abilityNodes(problem.groups);
	const logs = logChances(problem, lines, nodes);
	const weights = logWeights(problem.groups, nodes);
	const chances = problem.items.map((item, i) => chanceAt(nodes, item, lines[i]));
	const posterior = new Float64Array(nodes.length);
	const none = () => problem.items.map(() => ({ answers: 0, beyond: 0, spread: 0, slope: 0 }));
	const sides = { among: none(), others: none() };
	problem.persons.forEach((person, n) => {
		if (person.items.length === 0) return;
		const sums = among(n) ? sides.among : sides.others;
		personPosterior(person, logs, weights, posterior);
		person.items.forEach((i, a) => {
			const { guessing } = problem.items[i];
			let expected = 0;
			let slope = 0;
			for (let k = 0; k < nodes.length; k++) {
				const chance = chances[i][k];
				expected += posterior[k] * chance;
				slope += (posterior[k] * lines[i].slope * (chance - guessing) * (1 - chance)) / (1 - guessing);
			}
			const sum = sums[i];
			sum.answers++;
			sum.beyond += (person.correct[a] ? 1 : 0) - expected;
			sum.spread += expected * (1 - expected);
			sum.slope += slope;
		});
	});
	return problem.items.map((_, i) => {
		const [here, there] = [sides.among[i], sides.others[i]];
		if (here.answers === 0 || there.answers === 0) return null;
		const shift = there.beyond / there.slope - here.beyond / here.slope;
		return { shift, z: shift / Math.hypot(Math.sqrt(here.spread) / here.slope, Math.sqrt(there.spread) / there.slope) };
	});
}
