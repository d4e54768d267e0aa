import { describe, expect, it } from 'vitest';
import { GROWTH_WORLDS, probeItems, sitProbe } from '../../../../scripts/simulate/growthWorlds';
import { seededRandom } from '../random';
import {
	GROWTH_PRIOR,
	type GrowthMoves,
	growthPosterior,
	LEAST_SERIES,
	pooledMoves,
	seriesEvidence,
	usualPrior
} from '.';
import type { ProbeAnswers } from './series';

/** As many as series that are learned from have at least. */
const PROBES = 8;

type Course = (week: number) => number;

/** Series of weekly probes of students who grow as some course says. */
function seriesOf(count: number, seed: number, course: (random: ReturnType<typeof seededRandom>) => Course) {
	const random = seededRandom(seed);
	return Array.from({ length: count }, () => {
		const levelIn = course(random);
		const items = probeItems(random, 16);
		const series = Array.from({ length: PROBES }, (_, week): ProbeAnswers => sitProbe(random, levelIn, week, items));
		return { series, phases: [], next: sitProbe(random, levelIn, 11, items) };
	});
}
/** In which nobody grows. */
const still = (count: number, seed: number) =>
	seriesOf(count, seed, (random) => {
		const level = -0.6 + 0.7 * random.normal();
		return () => level;
	});
/** How well a probe some weeks after the last is told (mean logarithm of its chance). */
function toldAhead(all: ReturnType<typeof still>, moves: GrowthMoves = GROWTH_PRIOR) {
	const told = all.map(({ series, next }) => {
		const right = next.answers.filter(({ correct }) => correct).length;
		const posterior = growthPosterior(series, usualPrior(series, moves));
		return Math.log(
			posterior.predict(
				11,
				next.answers.map(({ item }) => item)
			)[right]
		);
	});
	return told.reduce((sum, one) => sum + one, 0) / told.length;
}

describe('how a school’s students move, by their own series', () => {
	it('is not told from fewer than thirty, nor from series of few probes', () => {
		expect(pooledMoves(still(LEAST_SERIES - 1, 1))).toBeNull();
		const short = still(60, 2).map(({ series, phases }) => ({ series: series.slice(0, PROBES - 1), phases }));
		expect(pooledMoves(short)).toBeNull();
	});

	it('is slower where nobody grows, and tells other students’ probes better than what is shipped', () => {
		const slow = pooledMoves(still(LEAST_SERIES, 3))!;
		expect(slow.slope.mean).toBeLessThan(GROWTH_PRIOR.slope.mean);
		expect(slow.jump.chance).toBeLessThan(GROWTH_PRIOR.jump.chance);
		expect(toldAhead(still(80, 5), slow)).toBeGreaterThan(toldAhead(still(80, 5)) + 0.1);
	});

	it('does little harm in the world it is most easily misled by, in which growth levels off', () => {
		const moves = pooledMoves(seriesOf(LEAST_SERIES, 7, GROWTH_WORLDS.saturating))!;
		const others = seriesOf(80, 8, GROWTH_WORLDS.saturating);
		expect(toldAhead(others, moves)).toBeGreaterThan(toldAhead(others) - 0.1);
	});
});

describe('the evidence of a series', () => {
	it('is the chance of its answers: those of all series of one question add up to 1', () => {
		const item = { discrimination: 1, difficulty: 0 };
		const one = (correct: boolean[]): ProbeAnswers[] =>
			correct.map((right, week) => ({ week, answers: [{ item, correct: right }] }));
		const ways = [0, 1, 2, 3, 4, 5, 6, 7].map((bits) => one([0, 1, 2].map((bit) => Boolean((bits >> bit) & 1))));
		const prior = usualPrior(ways[0]);
		const sum = ways.reduce((total, series) => total + Math.exp(seriesEvidence(series, prior)), 0);
		expect(sum).toBeCloseTo(1, 9);
	});
});
