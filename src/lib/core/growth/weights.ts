import { type AbilityPrior, probabilityCorrect, type ScoredResponse } from '../measurement';

/** A value with its 80% interval. */
export interface Band {
	value: number;
	lower: number;
	upper: number;
}

/** Between two levels that are looked at (logits). */
export const LEVEL_STEP = 0.125;

/** Density of a normal distribution, up to a constant. */
export const bell = (x: number, { mean, sd }: AbilityPrior) => Math.exp(-0.5 * ((x - mean) / sd) ** 2);

/** Weights that add up to 1. */
export function normalized(weights: number[]): number[] {
	const sum = weights.reduce((total, weight) => total + weight, 0);
	return weights.map((weight) => weight / sum);
}

/** Levels from one to another, a step apart. */
export const levelGrid = (from: number, to: number): number[] =>
	Array.from({ length: Math.round((to - from) / LEVEL_STEP) + 1 }, (_, i) => from + i * LEVEL_STEP);

/** Weights of a shift by whole steps, from its first. */
export interface Shift {
	first: number;
	weights: number[];
}

/** A normal shift on a grid of levels. */
export function normalShift({ mean, sd }: AbilityPrior): Shift {
	const reach = Math.ceil((3.5 * sd) / LEVEL_STEP);
	const middle = Math.round(mean / LEVEL_STEP);
	const steps = Array.from({ length: 2 * reach + 1 }, (_, i) => middle - reach + i);
	return { first: steps[0], weights: normalized(steps.map((step) => bell(step * LEVEL_STEP, { mean, sd }))) };
}

/** Two shifts, one of which happens by chance. */
export function mixed(usual: Shift, other: Shift, chance: number): Shift {
	const first = Math.min(usual.first, other.first);
	const end = Math.max(usual.first + usual.weights.length, other.first + other.weights.length);
	const at = ({ first: from, weights }: Shift, step: number) => weights[step - from] ?? 0;
	return {
		first,
		weights: Array.from(
			{ length: end - first },
			(_, i) => (1 - chance) * at(usual, first + i) + chance * at(other, first + i)
		)
	};
}

/** Shifts weights of levels; what would leave the grid stays at its edge. */
export function shifted(levels: Float64Array, { first, weights }: Shift): Float64Array {
	const found = new Float64Array(levels.length);
	const last = levels.length - 1;
	for (let i = 0; i <= last; i++) {
		const weight = levels[i];
		if (weight < 1e-12) continue;
		for (let k = 0; k < weights.length; k++) {
			const to = i + first + k;
			found[to < 0 ? 0 : to > last ? last : to] += weight * weights[k];
		}
	}
	return found;
}

/**
 * How likely a day's answers are at each level of a grid, on a day whose form is off by a normal shift.
 *
 * @param form of a day
 */
export function dayLikelihoods(grid: number[], answers: ScoredResponse[], { first, weights }: Shift): number[] {
	const exactly = grid.map((level) => {
		let likelihood = 1;
		for (const { item, correct } of answers) {
			const chance = probabilityCorrect(level, item);
			likelihood *= correct ? chance : 1 - chance;
		}
		return likelihood;
	});
	const last = grid.length - 1;
	return grid.map((_, i) =>
		weights.reduce((sum, weight, k) => sum + weight * exactly[Math.min(last, Math.max(0, i + first + k))], 0)
	);
}

/** How much of the weights lies at a level or over it, each standing for the step around it. */
export function weightOver(grid: number[], weights: ArrayLike<number>, line: number): number {
	return grid.reduce((sum, level, i) => {
		const over = (level + LEVEL_STEP / 2 - line) / LEVEL_STEP;
		return sum + weights[i] * Math.min(1, Math.max(0, over));
	}, 0);
}

/** Mean and 80% interval of weights on an even grid, each standing for the step around it. */
export function bandOf(grid: number[], weights: ArrayLike<number>): Band {
	const step = grid[1] - grid[0];
	const quantile = (share: number) => {
		let sum = 0;
		for (let i = 0; i < grid.length; i++) {
			if (sum + weights[i] >= share) return grid[i] - step / 2 + (step * (share - sum)) / weights[i];
			sum += weights[i];
		}
		return grid[grid.length - 1];
	};
	return {
		value: grid.reduce((sum, value, i) => sum + weights[i] * value, 0),
		lower: quantile(0.1),
		upper: quantile(0.9)
	};
}
