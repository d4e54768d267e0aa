import { GROWTH_PRIOR, type GrowthMoves, seriesEvidence, usualPrior } from './growthPosterior';
import type { ProbeAnswers } from './series';

/** Series of a school from which it is told how its students move. */
export const LEAST_SERIES = 30;
/** Probes from which a series says anything of it: fewer tell only how students begin. */
export const LEAST_PROBES = 8;
/** Weeks ahead of which a series' last probes are told: what is learned is what forecasts need. */
const AHEAD = 3;
/** So many of the last probes. */
const TOLD = 2;

/** What is tried, coarsely enough that a few series more seldom change it. */
const MEANS = [0, 0.04, 0.08, 0.12, 0.16, 0.2];
const SPREADS = [0.06, 0.09, 0.12, 0.16, 0.2];
const CHANCES = [0.02, 0.035, 0.055, 0.08, 0.11];

/** How far from what is shipped is believed possible, before any series: of mean and of the logarithms of spread and chance. */
const AWAY = { mean: 0.05, spread: 0.4, chance: 0.5 };

/** One series with its phase lines. */
export interface SeriesWithPhases {
	series: ProbeAnswers[];
	/** Weeks before whose probe a phase begins. */
	phases: number[];
}

/** How well the last probes of a series are told from those three weeks and more before them (logarithm of the chance). */
function toldAhead({ series, phases }: SeriesWithPhases, moves: GrowthMoves): number {
	const prior = usualPrior(series, moves);
	return series.slice(-TOLD).reduce((sum, probe) => {
		const before = series.filter(({ week }) => week <= probe.week - AHEAD);
		if (before.length < 2) return sum;
		return sum + seriesEvidence([...before, probe], prior, phases) - seriesEvidence(before, prior, phases);
	}, 0);
}

/**
 * How the students of a school move from week to week, from their own series (empirical Bayes): the mean and spread of weekly
 * growth and the chance of a jump by which the last probes of each series are told best from those weeks before, held near what
 * is shipped by so much as thirty series can outweigh; found by going through one of the three after the other until none gets
 * better. (What makes whole series most likely is learned as well from how they begin, and misleads where growth levels off.)
 * `npm run simulate:pooled` tells what that is worth.
 *
 * It takes seconds: after each way to move that was tried, whoever works it out may let others go first.
 *
 * @returns at its end, null with fewer than `LEAST_SERIES` series of at least `LEAST_PROBES` probes
 */
export function* poolMoves(all: SeriesWithPhases[]): Generator<void, GrowthMoves | null> {
	const some = all.filter(({ series }) => series.length >= LEAST_PROBES);
	if (some.length < LEAST_SERIES) return null;
	const { slope, jump } = GROWTH_PRIOR;
	const known = new Map<string, number>();
	const worth = (mean: number, sd: number, chance: number): number => {
		const key = `${mean} ${sd} ${chance}`;
		const before = known.get(key);
		if (before !== undefined) return before;
		const moves: GrowthMoves = { slope: { mean, sd }, jump: { ...jump, chance } };
		const away =
			((mean - slope.mean) / AWAY.mean) ** 2 +
			(Math.log(sd / slope.sd) / AWAY.spread) ** 2 +
			(Math.log(chance / jump.chance) / AWAY.chance) ** 2;
		const sum = some.reduce((total, one) => total + toldAhead(one, moves), -away / 2);
		known.set(key, sum);
		return sum;
	};
	let best = [slope.mean, slope.sd, jump.chance];
	const tried = [MEANS, SPREADS, CHANCES];
	for (let found = true; found;) {
		found = false;
		for (const [i, values] of tried.entries())
			for (const value of values) {
				const other = best.with(i, value);
				yield;
				if (worth(...(other as [number, number, number])) <= worth(...(best as [number, number, number]))) continue;
				best = other;
				found = true;
			}
	}
	return { slope: { mean: best[0], sd: best[1] }, jump: { ...jump, chance: best[2] } };
}

/** The same at once. */
export function pooledMoves(all: SeriesWithPhases[]): GrowthMoves | null {
	const steps = poolMoves(all);
	for (;;) {
		const step = steps.next();
		if (step.done) return step.value;
	}
}
