import { chanceAt, type CalibrationProblem, type Line } from './problem';

/** What a person's answers say of their ability, and what all of them say together. */
interface Expectation {
	logLikelihood: number;
	/** By item, then node: expected number of answers, and of right ones, given at that ability. */
	answers: Float64Array[];
	right: Float64Array[];
	/** By group: number of persons with answers, and sums of their expected abilities and squares. */
	groups: { persons: number; first: number; second: number }[];
}

/** Chances below this are as good as none, and their logarithms must stay finite. */
const LEAST = 1e-300;

/** Logarithms of the chances of a right and of a wrong answer, by item, then node. */
export function logChances(problem: CalibrationProblem, lines: Line[], nodes: Float64Array) {
	const right = problem.items.map((item, i) => chanceAt(nodes, item, lines[i]));
	return {
		right: right.map((list) => list.map((p) => Math.log(Math.max(LEAST, p)))),
		wrong: right.map((list) => list.map((p) => Math.log(Math.max(LEAST, 1 - p))))
	};
}

/** Weights of the nodes in each group, as logarithms. */
export function logWeights(groups: CalibrationProblem['groups'], nodes: Float64Array): Float64Array[] {
	return groups.map(({ mean, sd }) => {
		const weights = nodes.map((theta) => Math.exp(-0.5 * ((theta - mean) / sd) ** 2));
		const total = weights.reduce((sum, weight) => sum + weight, 0);
		return weights.map((weight) => Math.log(Math.max(LEAST, weight / total)));
	});
}

/**
 * Posterior of one person's ability over the nodes, written into `posterior`; returns the logarithm of the likelihood of
 * their answers.
 */
export function personPosterior(
	person: CalibrationProblem['persons'][number],
	logs: ReturnType<typeof logChances>,
	weights: Float64Array[],
	posterior: Float64Array
): number {
	posterior.set(weights[person.group]);
	for (let a = 0; a < person.items.length; a++) {
		const chances = (person.correct[a] ? logs.right : logs.wrong)[person.items[a]];
		for (let k = 0; k < posterior.length; k++) posterior[k] += chances[k];
	}
	let highest = -Infinity;
	for (let k = 0; k < posterior.length; k++) if (posterior[k] > highest) highest = posterior[k];
	let total = 0;
	for (let k = 0; k < posterior.length; k++) total += posterior[k] = Math.exp(posterior[k] - highest);
	for (let k = 0; k < posterior.length; k++) posterior[k] /= total;
	return highest + Math.log(total);
}

/** The expectation step (Bock & Aitkin 1981): every person counts at every ability, by how likely it is theirs. */
export function expectationStep(problem: CalibrationProblem, lines: Line[], nodes: Float64Array): Expectation {
	const logs = logChances(problem, lines, nodes);
	const weights = logWeights(problem.groups, nodes);
	const answers = problem.items.map(() => new Float64Array(nodes.length));
	const right = problem.items.map(() => new Float64Array(nodes.length));
	const groups = problem.groups.map(() => ({ persons: 0, first: 0, second: 0 }));
	const posterior = new Float64Array(nodes.length);
	let logLikelihood = 0;
	for (const person of problem.persons) {
		if (person.items.length === 0) continue;
		logLikelihood += personPosterior(person, logs, weights, posterior);
		for (let a = 0; a < person.items.length; a++) {
			const all = answers[person.items[a]];
			for (let k = 0; k < posterior.length; k++) all[k] += posterior[k];
			if (!person.correct[a]) continue;
			const good = right[person.items[a]];
			for (let k = 0; k < posterior.length; k++) good[k] += posterior[k];
		}
		const group = groups[person.group];
		group.persons++;
		for (let k = 0; k < posterior.length; k++) {
			group.first += posterior[k] * nodes[k];
			group.second += posterior[k] * nodes[k] ** 2;
		}
	}
	return { logLikelihood, answers, right, groups };
}
