import {
	type AbilityPrior,
	countsRight,
	type ItemParameters,
	probabilityCorrect,
	type ScoredResponse
} from '../measurement';

/** A value with its 80% interval. */
export interface Band {
	value: number;
	lower: number;
	upper: number;
}

/** What is believed of a series before its first probe, and of how levels move from week to week. All in logits. */
export interface GrowthPrior {
	level: AbilityPrior;
	/** Of weekly growth. */
	slope: AbilityPrior;
	/** How far a level strays from its line in a week (standard deviation). */
	stray: number;
	/** In a week, the chance of a jump, and how far it goes. */
	jump: { chance: number; size: AbilityPrior };
	/** In a week, the chance that growth goes on at a new pace; at a phase line it is even. */
	newPace: number;
	/** How far one day's form is from the level (standard deviation). */
	form: number;
}

/**
 * What is believed unless a school's own series say otherwise: made up. A tenth of a logit a week is what a school year brings a
 * student by the scale times four, as intensive work aims for; most jumps are of a logit and a half.
 */
export const GROWTH_PRIOR_LOGITS: Omit<GrowthPrior, 'level'> = {
	slope: { mean: 0.1, sd: 0.12 },
	stray: 0.08,
	jump: { chance: 0.04, size: { mean: 1.5, sd: 0.8 } },
	newPace: 0.05,
	form: 0.25
};

/** A probe: in which week of the series, from 0, and its answers. */
export interface ProbeAnswers {
	week: number;
	answers: ScoredResponse[];
}

/** What a series says of a student's level and growth. */
export interface GrowthPosterior {
	/** Now, in the week of the last probe (logits). */
	level: Band;
	/** Weekly growth now (logits). */
	slope: Band;
	/** The chances of 0, 1, … right of some questions in a week, not before the last probe. */
	predict(week: number, items: ItemParameters[]): number[];
	/** The chance that a student gets at least a share of questions of a difficulty right now; chance counts for nothing. */
	shareAtLeast(share: number, difficulty: number): number;
}

const LEVEL_STEP = 0.125;
/** Levels are looked at from so far under the prior's mean to so far above it: twelve standard deviations of a form day. */
const [BELOW, ABOVE] = [4.5, 6.5];
const SLOPES = Array.from({ length: 13 }, (_, i) => -0.2 + 0.075 * i);
/** At a phase line growth goes on at a new pace as likely as not. */
const NEW_PACE_AT_PHASE = 0.5;

/** Density of a normal distribution, up to a constant. */
const bell = (x: number, { mean, sd }: AbilityPrior) => Math.exp(-0.5 * ((x - mean) / sd) ** 2);

const normalized = (weights: number[]): number[] => {
	const sum = weights.reduce((total, weight) => total + weight, 0);
	return weights.map((weight) => weight / sum);
};

/** Weights of a shift by whole steps, from its first. */
interface Shift {
	first: number;
	weights: number[];
}

/** A normal shift on the grid of levels. */
function normalShift({ mean, sd }: AbilityPrior): Shift {
	const reach = Math.ceil((3.5 * sd) / LEVEL_STEP);
	const middle = Math.round(mean / LEVEL_STEP);
	const steps = Array.from({ length: 2 * reach + 1 }, (_, i) => middle - reach + i);
	return { first: steps[0], weights: normalized(steps.map((step) => bell(step * LEVEL_STEP, { mean, sd }))) };
}

/** Shifts weights of levels; what would leave the grid stays at its edge. */
function shifted(levels: Float64Array, { first, weights }: Shift): Float64Array {
	const found = new Float64Array(levels.length);
	const last = levels.length - 1;
	for (let i = 0; i <= last; i++) {
		if (levels[i] < 1e-12) continue;
		for (let k = 0; k < weights.length; k++)
			found[Math.min(last, Math.max(0, i + first + k))] += levels[i] * weights[k];
	}
	return found;
}

/** Two shifts, one of which happens by chance. */
function mixed(usual: Shift, other: Shift, chance: number): Shift {
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

/**
 * Level and weekly growth of one student from weekly probes: a Bayesian state space on the logit scale (West & Harrison 1997),
 * filtered forward on a grid as a hidden Markov model. A level moves by its weekly growth and strays a little; learning is often
 * sudden (Solomon & Forsberg 2017), so that each week may bring a jump; growth may go on at a new pace, and does so as likely as
 * not at a phase line. Answers are weighed by their items' parameters, on a day whose form is a little off.
 *
 * @param series in the order of its weeks; at least one probe
 * @param phases weeks before whose probe a phase begins: a change of group, focus, minutes or tier
 * @throws RangeError without probes
 */
export function growthPosterior(series: ProbeAnswers[], prior: GrowthPrior, phases: number[] = []): GrowthPosterior {
	if (series.length === 0) throw new RangeError('growth needs at least one probe');
	const count = Math.round((BELOW + ABOVE) / LEVEL_STEP) + 1;
	const grid = Array.from({ length: count }, (_, i) => prior.level.mean - BELOW + i * LEVEL_STEP);
	const form = normalShift({ mean: 0, sd: prior.form });
	const paces = normalized(SLOPES.map((slope) => bell(slope, prior.slope)));
	const moves = SLOPES.map((slope) =>
		mixed(
			normalShift({ mean: slope, sd: Math.max(prior.stray, LEVEL_STEP / 2) }),
			normalShift({ mean: slope + prior.jump.size.mean, sd: prior.jump.size.sd }),
			prior.jump.chance
		)
	);
	const levels = normalized(grid.map((level) => bell(level, prior.level)));
	/** By slope, the weight of each level. */
	let belief: Float64Array[] = paces.map((pace) => Float64Array.from(levels, (level) => pace * level));

	/** Growth goes on at a new pace, drawn from the prior, by some chance. */
	const repace = (from: Float64Array[], chance: number): Float64Array[] => {
		const sums = marginal(from);
		return from.map((own, s) => own.map((weight, i) => (1 - chance) * weight + chance * paces[s] * sums[i]));
	};
	/** A week later. */
	const nextWeek = (from: Float64Array[]): Float64Array[] =>
		repace(from, prior.newPace).map((own, s) => shifted(own, moves[s]));
	const weigh = (from: Float64Array[], answers: ScoredResponse[]): Float64Array[] => {
		const likelihood = onADay(
			grid.map((level) => likelihoodOf(answers, level)),
			form
		);
		const weighed = from.map((own) => own.map((weight, i) => weight * likelihood[i]));
		const sum = weighed.reduce((total, own) => own.reduce((inner, weight) => inner + weight, total), 0);
		return weighed.map((own) => own.map((weight) => weight / sum));
	};
	let now = series[0].week;
	for (const { week, answers } of series) {
		for (; now < week; now++) {
			if (phases.includes(now + 1)) belief = repace(belief, NEW_PACE_AT_PHASE);
			belief = nextWeek(belief);
		}
		belief = weigh(belief, answers);
	}
	const level = marginal(belief);
	return {
		level: bandOf(grid, level),
		slope: bandOf(
			SLOPES,
			belief.map((own) => own.reduce((sum, weight) => sum + weight, 0))
		),
		predict(week, items) {
			let later = belief;
			for (let at = now; at < week; at++) later = nextWeek(later);
			const weights = shifted(marginal(later), form);
			const found = new Array<number>(items.length + 1).fill(0);
			for (const [i, weight] of weights.entries())
				if (weight > 1e-9)
					countsRight(items.map((item) => probabilityCorrect(grid[i], item))).forEach((chance, right) => {
						found[right] += weight * chance;
					});
			return normalized(found);
		},
		shareAtLeast(share, difficulty) {
			const line = difficulty + Math.log(share / (1 - share));
			// A level stands for the step around it.
			return level.reduce((sum, weight, i) => {
				const over = (grid[i] + LEVEL_STEP / 2 - line) / LEVEL_STEP;
				return sum + weight * Math.min(1, Math.max(0, over));
			}, 0);
		}
	};
}

/** Weights of levels, whatever the slope. */
function marginal(belief: Float64Array[]): Float64Array {
	const sums = new Float64Array(belief[0].length);
	for (const own of belief) for (let i = 0; i < sums.length; i++) sums[i] += own[i];
	return sums;
}

/** How likely answers are at a level, up to a constant. */
const likelihoodOf = (answers: ScoredResponse[], level: number): number =>
	Math.exp(
		answers.reduce((sum, { item, correct }) => {
			const chance = probabilityCorrect(level, item);
			return sum + Math.log(correct ? chance : 1 - chance);
		}, 0)
	);

/** Likelihoods on a day whose form is off by a normal shift. */
const onADay = (likelihoods: number[], { first, weights }: Shift): number[] =>
	likelihoods.map((_, i) =>
		weights.reduce((sum, weight, k) => {
			const at = Math.min(likelihoods.length - 1, Math.max(0, i + first + k));
			return sum + weight * likelihoods[at];
		}, 0)
	);

/** Mean and 80% interval of weights on an even grid, each standing for the step around it. */
function bandOf(grid: number[], weights: Iterable<number>): Band {
	const own = [...weights];
	const step = grid[1] - grid[0];
	const quantile = (share: number) => {
		let sum = 0;
		for (const [i, weight] of own.entries()) {
			if (sum + weight >= share) return grid[i] - step / 2 + (step * (share - sum)) / weight;
			sum += weight;
		}
		return grid[grid.length - 1];
	};
	return {
		value: own.reduce((sum, weight, i) => sum + weight * grid[i], 0),
		lower: quantile(0.1),
		upper: quantile(0.9)
	};
}
