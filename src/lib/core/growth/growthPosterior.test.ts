import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { estimateEap, type ItemParameters, probabilityCorrect } from '../measurement';
import { seededRandom } from '../random';
import { growthOutlook, growthPosterior, GROWTH_PRIOR, type GrowthPrior } from './growthPosterior';
import type { ProbeAnswers } from './series';

const prior: GrowthPrior = { ...GROWTH_PRIOR, level: { mean: 0, sd: 1 } };
/** In which nothing ever changes: an estimate of one level from all answers. */
const still: GrowthPrior = {
	...{ level: { mean: 0, sd: 1 }, slope: { mean: 0, sd: 0.01 }, stray: 0, form: 0.02, newPace: 0 },
	jump: { chance: 0, size: { mean: 1, sd: 1 } }
};
const items = (count: number): ItemParameters[] =>
	Array.from({ length: count }, (_, i) => ({ discrimination: 1, difficulty: (i % 5) * 0.3 - 0.6 }));
const probe = (week: number, right: number, of = 16): ProbeAnswers => ({
	week,
	answers: items(of).map((item, i) => ({ item, correct: (i * 7) % of < right }))
});
const weekly = (counts: number[]) => counts.map((right, week) => probe(week, right));

describe('level and growth from weekly probes', () => {
	it('are those of an ability estimate where nothing ever changes', () => {
		const series = [probe(0, 9), probe(0, 11), probe(0, 10)];
		const { level } = growthPosterior(series, still);
		const all = estimateEap(
			series.flatMap(({ answers }) => answers),
			still.level
		);
		expect(level.value).toBeCloseTo(all.theta, 1);
		expect((level.upper - level.lower) / 2 / 1.2816).toBeCloseTo(all.standardError, 1);
	});

	it('are those of a thousand guesses followed by chance: another way to the same model', () => {
		const series = weekly([4, 5, 7, 6, 9]);
		const random = seededRandom(3);
		// A particle filter: each guess moves as the model says, and is kept as often as it tells the answers.
		let guesses = Array.from({ length: 20_000 }, () => ({
			level: prior.level.sd * random.normal(),
			slope: prior.slope.mean + prior.slope.sd * random.normal()
		}));
		for (const { week, answers } of series) {
			if (week > 0)
				guesses = guesses.map((one) => {
					const slope = random.chance(prior.newPace) ? prior.slope.mean + prior.slope.sd * random.normal() : one.slope;
					const { chance, size } = prior.jump;
					const jump = random.chance(chance) ? size.mean + size.sd * random.normal() : prior.stray * random.normal();
					return { slope, level: one.level + slope + jump };
				});
			const weights = guesses.map(({ level }) => {
				const today = level + prior.form * random.normal();
				return answers.reduce((product, { item, correct }) => {
					const chance = probabilityCorrect(today, item);
					return product * (correct ? chance : 1 - chance);
				}, 1);
			});
			const sum = weights.reduce((total, weight) => total + weight, 0);
			// Systematic resampling.
			let [at, below] = [0, weights[0]];
			const first = random.unit();
			guesses = guesses.map((_, n) => {
				const wanted = (sum * (n + first)) / guesses.length;
				while (below < wanted && at < weights.length - 1) below += weights[++at];
				return guesses[at];
			});
		}
		const mean = (of: 'level' | 'slope') => guesses.reduce((total, one) => total + one[of], 0) / guesses.length;
		const found = growthPosterior(series, prior);
		expect(found.level.value).toBeCloseTo(mean('level'), 1);
		expect(Math.abs(found.slope.value - mean('slope'))).toBeLessThan(0.02);
		const sorted = guesses.map(({ level }) => level).sort((a, b) => a - b);
		expect(Math.abs(found.level.lower - sorted[sorted.length / 10])).toBeLessThan(0.1);
		expect(Math.abs(found.level.upper - sorted[(9 * sorted.length) / 10])).toBeLessThan(0.1);
		expect(
			Math.abs(found.shareAtLeast(0.5, 0) - guesses.filter(({ level }) => level >= 0).length / 20_000)
		).toBeLessThan(0.03);
	}, 30_000);

	it('say more the more is right, and are as wide as little is known', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: 1, max: 15 }), { minLength: 1, maxLength: 6 }), (counts) => {
				const found = growthPosterior(weekly(counts), prior);
				const better = growthPosterior(weekly(counts.map((count) => count + 1)), prior);
				expect(better.level.value).toBeGreaterThan(found.level.value);
				expect(found.level.lower).toBeLessThan(found.level.value);
				expect(found.level.upper).toBeGreaterThan(found.level.value);
				const [soon, late] = [found.predict(counts.length, items(16)), found.predict(counts.length + 5, items(16))];
				for (const chances of [soon, late]) {
					expect(chances).toHaveLength(17);
					expect(chances.reduce((sum, chance) => sum + chance, 0)).toBeCloseTo(1, 9);
					// Nothing is certain, and nothing is out of the question.
					for (const chance of chances) expect(chance).toBeGreaterThan(0);
				}
			}),
			{ numRuns: 25 }
		);
	});

	it('are less sure the further ahead', () => {
		const { predict } = growthPosterior(weekly([7, 8, 7, 8]), prior);
		const spread = (week: number) => {
			const chances = predict(week, items(16));
			const mean = chances.reduce((sum, chance, right) => sum + right * chance, 0);
			return chances.reduce((sum, chance, right) => sum + chance * (right - mean) ** 2, 0);
		};
		expect(spread(5)).toBeGreaterThan(spread(4));
		expect(spread(9)).toBeGreaterThan(spread(5));
	});

	it('let growth go on at a new pace from a phase line on', () => {
		const series = weekly([8, 8, 8, 8, 8, 8, 8, 8]);
		const [as, anew] = [growthPosterior(series, prior), growthPosterior(series, prior, [7])];
		const width = ({ slope }: typeof as) => slope.upper - slope.lower;
		expect(width(anew)).toBeGreaterThan(width(as));
		expect(Math.abs(anew.slope.value - prior.slope.mean)).toBeLessThan(Math.abs(as.slope.value - prior.slope.mean));
	});

	it('take a missed week as a week', () => {
		const missed = growthPosterior([probe(0, 6), probe(4, 10)], prior);
		const soon = growthPosterior([probe(0, 6), probe(1, 10)], prior);
		expect(missed.level.value).toBeGreaterThan(soon.level.value);
		expect(() => growthPosterior([], prior)).toThrow(RangeError);
		expect(() => growthPosterior([])).toThrow(RangeError);
	});

	it('tell the chance of a share as the level has it', () => {
		const { level, shareAtLeast } = growthPosterior(weekly([8, 9, 9, 10]), prior);
		const at = (theta: number) => 1 / (1 + Math.exp(-theta));
		expect(shareAtLeast(at(level.lower), 0)).toBeCloseTo(0.9, 1);
		expect(shareAtLeast(at(level.upper), 0)).toBeCloseTo(0.1, 1);
		expect(shareAtLeast(at(level.value), 0)).toBeCloseTo(0.5, 1);
	});

	it('after each probe are what the probes up to it say', () => {
		const series = weekly([5, 9, 6]);
		const { level, levels } = growthPosterior(series, prior);
		expect(levels).toHaveLength(3);
		expect(levels[2]).toEqual(level);
		expect(levels[1]).toEqual(growthPosterior(series.slice(0, 2), prior).level);
	});

	it('take the usual question of a series to be as telling as its own', () => {
		const telling = (discrimination: number) =>
			growthPosterior(
				weekly([8, 8]).map(({ week, answers }) => ({
					week,
					answers: answers.map(({ correct }) => ({ correct, item: { discrimination, difficulty: 0 } }))
				})),
				still
			);
		// A share of 0.8 is ln 4 over a question that is as telling as usual, and half as far over one twice as telling.
		const [one, two] = [telling(1), telling(2)];
		const over = (found: typeof one, line: number) => found.shareAtLeast(1 / (1 + Math.exp(-line)), 0);
		expect(over(one, one.level.upper)).toBeCloseTo(0.1, 1);
		expect(over(two, 2 * two.level.upper)).toBeCloseTo(0.1, 1);
	});

	it('are asked of nothing but the series itself where no prior is given', () => {
		const harder = (by: number) =>
			weekly([6, 7, 8]).map(({ week, answers }) => ({
				week,
				answers: answers.map(({ item, correct }) => ({
					correct,
					item: { ...item, difficulty: item.difficulty + by }
				}))
			}));
		expect(growthPosterior(harder(2)).level.value).toBeCloseTo(growthPosterior(harder(0)).level.value + 2, 9);
	});
});

describe('the outlook before the first probe', () => {
	it('agrees with students drawn by chance who grow as is believed', () => {
		const level = { mean: -0.8, sd: 0.5 };
		const random = seededRandom(12);
		const { slope, newPace, jump, stray, form } = GROWTH_PRIOR;
		const weeks = 6;
		const asked = items(16);
		const seen = new Array<number>(17).fill(0);
		for (let n = 0; n < 20_000; n++) {
			let at = level.mean + level.sd * random.normal();
			let pace = slope.mean + slope.sd * random.normal();
			for (let week = 0; week < weeks; week++) {
				if (random.chance(newPace)) pace = slope.mean + slope.sd * random.normal();
				at +=
					pace +
					(random.chance(jump.chance) ? jump.size.mean + jump.size.sd * random.normal() : stray * random.normal());
			}
			const today = at + form * random.normal();
			seen[asked.filter((item) => random.chance(probabilityCorrect(today, item))).length]++;
		}
		const chances = growthOutlook(level, weeks, asked);
		for (const from of [4, 8, 12, 14]) {
			const told = chances.slice(from).reduce((sum, chance) => sum + chance, 0);
			const found = seen.slice(from).reduce((sum, count) => sum + count, 0) / 20_000;
			expect(Math.abs(told - found)).toBeLessThan(0.02);
		}
	});
});
