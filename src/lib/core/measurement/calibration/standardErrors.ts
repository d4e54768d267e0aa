import { logChances, logWeights, personPosterior } from './expectation';
import { invertSymmetric } from '../symmetric';
import { chanceAt, type CalibrationProblem, type Line } from './problem';

/** Variances of an item's slope and intercept, and how they go together. */
interface LineVariance {
	slope: number;
	intercept: number;
	together: number;
}

/**
 * Variances of the estimated lines from the observed information (Louis 1982): what complete data would tell, less what
 * is lost because abilities are only guessed at. Groups' means and spreads are taken as known. For items with guessing
 * the complete information is the expected one.
 *
 * @returns NaN for all when the information matrix cannot be inverted
 */
export function lineVariances(problem: CalibrationProblem, lines: Line[], nodes: Float64Array): LineVariance[] {
	const size = 2 * problem.items.length;
	const information = Array.from({ length: size }, () => new Float64Array(size));
	problem.items.forEach(({ prior, discrimination }, i) => {
		if (!prior) return;
		information[2 * i][2 * i] += 1 / prior.discrimination ** 2;
		information[2 * i + 1][2 * i + 1] += 1 / (prior.difficulty * discrimination) ** 2;
	});
	const logs = logChances(problem, lines, nodes);
	const weights = logWeights(problem.groups, nodes);
	const posterior = new Float64Array(nodes.length);
	const chances = problem.items.map((item, i) => chanceAt(nodes, item, lines[i]));
	const changes = problem.items.map((item, i) =>
		chances[i].map((p) => ((p - item.guessing) * (1 - p)) / (1 - item.guessing))
	);
	for (const person of problem.persons) {
		if (person.items.length === 0) continue;
		personPosterior(person, logs, weights, posterior);
		const scores = person.items.map((item, a) =>
			chances[item].map((p, k) => ((Number(person.correct[a]) - p) * changes[item][k]) / Math.max(1e-300, p * (1 - p)))
		);
		// Means of the scores and of score times ability, over the posterior.
		const means = scores.map((list) => moments(posterior, nodes, (k) => list[k]));
		person.items.forEach((i, a) => {
			const around = problem.items[i].around;
			const complete = moments(
				posterior,
				nodes,
				(k) => changes[i][k] ** 2 / Math.max(1e-300, chances[i][k] * (1 - chances[i][k]))
			);
			add(information, i, i, complete, around, around, 1);
			person.items.forEach((j, b) => {
				if (j < i) return;
				const other = problem.items[j].around;
				const both = moments(posterior, nodes, (k) => scores[a][k] * scores[b][k]);
				add(information, i, j, both, around, other, -1);
				const [slopeA, slopeB] = [means[a][1] - around * means[a][0], means[b][1] - other * means[b][0]];
				information[2 * i][2 * j] += slopeA * slopeB;
				information[2 * i][2 * j + 1] += slopeA * means[b][0];
				information[2 * i + 1][2 * j] += means[a][0] * slopeB;
				information[2 * i + 1][2 * j + 1] += means[a][0] * means[b][0];
			});
		});
	}
	for (let row = 0; row < size; row++)
		for (let column = 0; column < row; column++) information[row][column] = information[column][row];
	const inverse = invertSymmetric(information);
	return problem.items.map((_, i) => ({
		slope: inverse ? inverse[2 * i][2 * i] : NaN,
		intercept: inverse ? inverse[2 * i + 1][2 * i + 1] : NaN,
		together: inverse ? inverse[2 * i][2 * i + 1] : NaN
	}));
}

/** Sums over the posterior of a value, of it times ability, and of it times ability squared. */
function moments(posterior: Float64Array, nodes: Float64Array, value: (k: number) => number): [number, number, number] {
	let [zero, one, two] = [0, 0, 0];
	for (let k = 0; k < nodes.length; k++) {
		const part = posterior[k] * value(k);
		zero += part;
		one += part * nodes[k];
		two += part * nodes[k] * nodes[k];
	}
	return [zero, one, two];
}

/** Adds a block for two items' slopes and intercepts, abilities counted from where each item lies. */
function add(
	matrix: Float64Array[],
	i: number,
	j: number,
	[zero, one, two]: [number, number, number],
	aroundI: number,
	aroundJ: number,
	sign: 1 | -1
): void {
	matrix[2 * i][2 * j] += sign * (two - (aroundI + aroundJ) * one + aroundI * aroundJ * zero);
	matrix[2 * i][2 * j + 1] += sign * (one - aroundI * zero);
	matrix[2 * i + 1][2 * j] += sign * (one - aroundJ * zero);
	matrix[2 * i + 1][2 * j + 1] += sign * zero;
}
