import { chanceAt, type CalibrationItem, type Line } from './problem';

/** Beyond these an item says no more than a step, and estimates would run away. */
const STEEPEST = 20;
const FARTHEST = 60;
const NEWTON_STEPS = 8;

/** How much one more unit of slope · (θ − around) + intercept changes the chance, at each node. */
function changeAt(item: CalibrationItem, chances: Float64Array): Float64Array {
	return chances.map((p) => {
		const logistic = (p - item.guessing) / (1 - item.guessing);
		return (1 - item.guessing) * logistic * (1 - logistic);
	});
}

/** Expected log-likelihood of the answers to an item under a line, with the prior's part. */
function objective(item: CalibrationItem, line: Line, nodes: Float64Array, answers: Float64Array, right: Float64Array) {
	const chances = chanceAt(nodes, item, line);
	let sum = 0;
	for (let k = 0; k < nodes.length; k++) {
		if (answers[k] < 1e-12) continue;
		sum += right[k] * Math.log(Math.max(1e-300, chances[k]));
		sum += (answers[k] - right[k]) * Math.log(Math.max(1e-300, 1 - chances[k]));
	}
	if (!item.prior) return sum;
	const { discrimination, difficulty } = item.prior;
	// A distance in difficulty is the intercept over the slope; taken at the starting slope it stays quadratic.
	const intercept = difficulty * item.discrimination;
	return (
		sum - 0.5 * ((line.slope - item.discrimination) / discrimination) ** 2 - 0.5 * (line.intercept / intercept) ** 2
	);
}

/**
 * The maximization step for one item: Fisher scoring in slope and intercept with the step halved until it climbs.
 *
 * @param answers expected answers at each node, `right` the right ones among them
 */
export function climb(
	item: CalibrationItem,
	start: Line,
	nodes: Float64Array,
	answers: Float64Array,
	right: Float64Array
): Line {
	let line = start;
	let height = objective(item, line, nodes, answers, right);
	for (let step = 0; step < NEWTON_STEPS; step++) {
		const chances = chanceAt(nodes, item, line);
		const change = changeAt(item, chances);
		let [g0, g1, h00, h01, h11] = [0, 0, 0, 0, 0];
		for (let k = 0; k < nodes.length; k++) {
			const spread = Math.max(1e-300, chances[k] * (1 - chances[k]));
			const x = nodes[k] - item.around;
			const gradient = ((right[k] - answers[k] * chances[k]) * change[k]) / spread;
			const weight = (answers[k] * change[k] ** 2) / spread;
			g0 += gradient * x;
			g1 += gradient;
			h00 += weight * x * x;
			h01 += weight * x;
			h11 += weight;
		}
		if (item.prior) {
			const precision = 1 / item.prior.discrimination ** 2;
			const interceptPrecision = 1 / (item.prior.difficulty * item.discrimination) ** 2;
			g0 -= precision * (line.slope - item.discrimination);
			g1 -= interceptPrecision * line.intercept;
			h00 += precision;
			h11 += interceptPrecision;
		}
		const determinant = h00 * h11 - h01 * h01;
		if (!(determinant > 1e-12)) return line;
		const dSlope = (h11 * g0 - h01 * g1) / determinant;
		const dIntercept = (h00 * g1 - h01 * g0) / determinant;
		let size = 1;
		let next = line;
		let reached = -Infinity;
		while (size > 1e-4) {
			next = {
				slope: Math.max(-STEEPEST, Math.min(STEEPEST, line.slope + size * dSlope)),
				intercept: Math.max(-FARTHEST, Math.min(FARTHEST, line.intercept + size * dIntercept))
			};
			reached = objective(item, next, nodes, answers, right);
			if (reached >= height) break;
			size /= 2;
		}
		if (reached < height) return line;
		const moved = Math.abs(next.slope - line.slope) + Math.abs(next.intercept - line.intercept);
		line = next;
		height = reached;
		if (moved < 1e-9) break;
	}
	return line;
}
