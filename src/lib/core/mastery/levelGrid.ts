/** Nodes on which one skill's level is integrated: logits around the student's expected median, evenly spaced. */
const REACH = 7;
const STEP = 0.2;
export const GRID = Float64Array.from({ length: Math.round((2 * REACH) / STEP) + 1 }, (_, node) => node * STEP - REACH);

/** A level in logits, as a normal distribution. */
export interface Level {
	mean: number;
	standardError: number;
}

/** Writes a normal distribution's weights on the grid, which add up to 1. @param level around the grid's middle */
export function weigh({ mean, standardError }: Level, weights: Float64Array): Float64Array {
	const grid = GRID;
	let sum = 0;
	for (let node = 0; node < grid.length; node++) {
		const away = (grid[node] - mean) / standardError;
		sum += weights[node] = Math.exp(-0.5 * away * away);
	}
	for (let node = 0; node < grid.length; node++) weights[node] /= sum;
	return weights;
}

/** The mean and standard error of what weights and a message say together. */
export function levelOf(weights: Float64Array, message: Float64Array): Level {
	const grid = GRID;
	let [sum, first, second] = [0, 0, 0];
	for (let node = 0; node < grid.length; node++) {
		const weight = weights[node] * message[node];
		sum += weight;
		first += weight * grid[node];
		second += weight * grid[node] * grid[node];
	}
	const mean = first / sum;
	return { mean, standardError: Math.sqrt(Math.max(1e-6, second / sum - mean * mean)) };
}
