import {
	type AbilityPrior,
	countsRight,
	type ItemParameters,
	probabilityCorrect,
	type ScoredResponse
} from '../measurement';
import { levelOfShare, type ProbeAnswers, usualQuestion } from './series';
import {
	type Band,
	bandOf,
	bell,
	dayLikelihoods,
	LEVEL_STEP,
	levelGrid,
	mixed,
	normalized,
	normalShift,
	shifted,
	weightOver
} from './weights';

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
 * What is believed unless a school's own series say otherwise: made up. Most jumps are of a logit and a half, a weekly growth
 * of a twelfth of a logit is four times what a school year brings; the others were chosen by `npm run simulate:growth`.
 */
export const GROWTH_PRIOR: Omit<GrowthPrior, 'level'> = {
	slope: { mean: 0.08, sd: 0.12 },
	stray: 0.08,
	jump: { chance: 0.055, size: { mean: 1.5, sd: 0.8 } },
	newPace: 0.15,
	form: 0.25
};

/** What is believed of how levels move: of one's own series once there are enough (`pooledMoves`), else as shipped. */
export type GrowthMoves = Pick<GrowthPrior, 'slope' | 'jump'>;

/** Whoever is given a series gets fewer than half of its questions right at first: a level somewhat under them. */
export const usualPrior = (series: ProbeAnswers[], moves: GrowthMoves = GROWTH_PRIOR): GrowthPrior => ({
	...GROWTH_PRIOR,
	slope: moves.slope,
	jump: moves.jump,
	level: { mean: usualQuestion(series).difficulty - 0.5, sd: 1.2 }
});

/** What a series says of a student's level and growth. */
export interface GrowthPosterior {
	/** Now, in the week of the last probe (logits). */
	level: Band;
	/** After each probe, by the probes up to it (logits). */
	levels: Band[];
	/** Weekly growth now (logits). */
	slope: Band;
	/** The chances of 0, 1, … right of some questions in a week, not before the last probe. */
	predict(week: number, items: ItemParameters[]): number[];
	/** The chance that a student gets at least a share of usual questions of a difficulty right now, luck aside. */
	shareAtLeast(share: number, difficulty: number): number;
}

/** Levels are looked at from so far under the prior's mean to so far above it (logits). */
const [BELOW, ABOVE] = [4.5, 6.5];
const SLOPES = Array.from({ length: 13 }, (_, i) => -0.2 + 0.075 * i);
/** At a phase line growth goes on at a new pace as likely as not. */
const NEW_PACE_AT_PHASE = 0.5;

/** By slope, the weight of each level. */
type Belief = Float64Array[];

/** How beliefs about level and slope go on from week to week, and are weighed by answers. */
function growthFilter(prior: GrowthPrior) {
	const grid = levelGrid(prior.level.mean - BELOW, prior.level.mean + ABOVE);
	const form = normalShift({ mean: 0, sd: prior.form });
	const paces = normalized(SLOPES.map((slope) => bell(slope, prior.slope)));
	const moves = SLOPES.map((slope) =>
		mixed(
			normalShift({ mean: slope, sd: Math.max(prior.stray, LEVEL_STEP / 2) }),
			normalShift({ mean: slope + prior.jump.size.mean, sd: prior.jump.size.sd }),
			prior.jump.chance
		)
	);
	/** Growth goes on at a new pace, drawn from the prior, by some chance. */
	const repace = (from: Belief, chance: number): Belief => {
		const sums = marginal(from);
		return from.map((own, s) => {
			const found = new Float64Array(own.length);
			for (let i = 0; i < own.length; i++) found[i] = (1 - chance) * own[i] + chance * paces[s] * sums[i];
			return found;
		});
	};
	const levels = normalized(grid.map((level) => bell(level, prior.level)));
	return {
		grid,
		begin: (): Belief => paces.map((pace) => Float64Array.from(levels, (level) => pace * level)),
		nextPhase: (from: Belief): Belief => repace(from, NEW_PACE_AT_PHASE),
		nextWeek: (from: Belief): Belief => repace(from, prior.newPace).map((own, s) => shifted(own, moves[s])),
		/** Weighs every level by how likely it makes a day's answers. @returns how likely they were */
		weigh(levels: Belief, answers: ScoredResponse[]): number {
			const likelihood = dayLikelihoods(grid, answers, form);
			let sum = 0;
			for (const own of levels) for (let i = 0; i < own.length; i++) sum += own[i] *= likelihood[i];
			for (const own of levels) for (let i = 0; i < own.length; i++) own[i] /= sum;
			return sum;
		},
		/** The chances of 0, 1, … right of some questions, on a day of its own form. */
		counts(levels: Belief, items: ItemParameters[]): number[] {
			const weights = shifted(marginal(levels), form);
			const found = new Array<number>(items.length + 1).fill(0);
			for (const [i, weight] of weights.entries()) {
				if (weight <= 1e-9) continue;
				const counts = countsRight(items.map((item) => probabilityCorrect(grid[i], item)));
				for (let right = 0; right < found.length; right++) found[right] += weight * counts[right];
			}
			return normalized(found);
		}
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
export function growthPosterior(
	series: ProbeAnswers[],
	prior: GrowthPrior = usualPrior(series),
	phases: number[] = []
): GrowthPosterior {
	const { discrimination } = usualQuestion(series);
	const { grid, begin, nextPhase, nextWeek, weigh, counts } = growthFilter(prior);
	let belief = begin();
	let now = series[0].week;
	const after: Band[] = [];
	for (const { week, answers } of series) {
		for (; now < week; now++) {
			if (phases.includes(now + 1)) belief = nextPhase(belief);
			belief = nextWeek(belief);
		}
		weigh(belief, answers);
		after.push(bandOf(grid, marginal(belief)));
	}
	const level = marginal(belief);
	/** Levels in weeks from now on, as far as they were asked for. */
	const later = [belief];
	return {
		level: after[after.length - 1],
		levels: after,
		slope: bandOf(
			SLOPES,
			belief.map((own) => own.reduce((sum, weight) => sum + weight, 0))
		),
		predict(week, items) {
			const ahead = Math.max(0, Math.ceil(week - now));
			while (later.length <= ahead) later.push(nextWeek(later[later.length - 1]));
			return counts(later[ahead], items);
		},
		shareAtLeast: (share, difficulty) => weightOver(grid, level, levelOfShare(share, { difficulty, discrimination }))
	};
}

/**
 * How likely a series is by what is believed before it: the logarithm of the chance of its answers, in their order.
 *
 * @param series in the order of its weeks; at least one probe
 */
export function seriesEvidence(series: ProbeAnswers[], prior: GrowthPrior, phases: number[] = []): number {
	const { begin, nextPhase, nextWeek, weigh } = growthFilter(prior);
	let belief = begin();
	let now = series[0].week;
	let evidence = 0;
	for (const { week, answers } of series) {
		for (; now < week; now++) {
			if (phases.includes(now + 1)) belief = nextPhase(belief);
			belief = nextWeek(belief);
		}
		evidence += Math.log(weigh(belief, answers));
	}
	return evidence;
}

/**
 * How a probe may come out some weeks from now for a student who has taken none yet, by what is known of their level otherwise:
 * what a goal is set by.
 *
 * @returns the chances of 0, 1, … right of the questions
 */
export function growthOutlook(
	level: AbilityPrior,
	weeks: number,
	items: ItemParameters[],
	moves: GrowthMoves = GROWTH_PRIOR
): number[] {
	const { begin, nextWeek, counts } = growthFilter({ ...GROWTH_PRIOR, ...moves, level });
	let belief = begin();
	for (let week = 0; week < weeks; week++) belief = nextWeek(belief);
	return counts(belief, items);
}

/** Weights of levels, whatever the slope. */
function marginal(belief: Belief): Float64Array {
	const sums = new Float64Array(belief[0].length);
	for (const own of belief) for (let i = 0; i < sums.length; i++) sums[i] += own[i];
	return sums;
}
