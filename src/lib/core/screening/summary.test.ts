import fc from 'fast-check';
import { quantileSorted } from 'simple-statistics';
import { describe, expect, it } from 'vitest';
import { benchmarkBand, binScores, summarizeScores, type ScoredStudent } from '.';

const student: fc.Arbitrary<ScoredStudent> = fc.record(
	{
		score: fc.integer({ min: 400, max: 600 }),
		standardError: fc.integer({ min: 4, max: 15 }),
		cut: fc.constantFrom(480, 500),
		before: fc.record({ score: fc.integer({ min: 400, max: 600 }), standardError: fc.integer({ min: 4, max: 15 }) })
	},
	{ requiredKeys: ['score', 'standardError', 'cut'] }
);

describe('a summary of scores', () => {
	it('counts everybody in one band, and everybody with an earlier score as moved or not', () => {
		fc.assert(
			fc.property(fc.array(student, { maxLength: 40 }), (students) => {
				const { scored, bands, moved } = summarizeScores(students);
				expect(scored).toBe(students.length);
				expect(bands.below + bands.near + bands.above).toBe(students.length);
				expect(moved.up + moved.down + moved.within).toBe(students.filter(({ before }) => before).length);
				for (const band of ['below', 'near', 'above'] as const)
					expect(bands[band]).toBe(
						students.filter((one) => benchmarkBand(one.score, one.standardError, one.cut!) === band).length
					);
			})
		);
	});

	it('has quartiles between the lowest and the highest, in order', () => {
		fc.assert(
			fc.property(fc.array(student, { minLength: 1, maxLength: 40 }), (students) => {
				const { lower, median, upper } = summarizeScores(students).quartiles!;
				const scores = students.map(({ score }) => score).sort((a, b) => a - b);
				expect(scores[0]).toBeLessThanOrEqual(lower);
				expect(lower).toBeLessThanOrEqual(median);
				expect(median).toBeLessThanOrEqual(upper);
				expect(upper).toBeLessThanOrEqual(scores[scores.length - 1]);
				if (scores.length % 2 === 0) expect(median).toBe(quantileSorted(scores, 0.5));
			})
		);
		const plain = [1, 2, 3, 4].map((score) => ({ score, standardError: 1, cut: 0 }));
		expect(summarizeScores(plain).quartiles).toEqual({ lower: 1.75, median: 2.5, upper: 3.25 });
	});

	it('tells a move beyond error from one within it', () => {
		const moved = (change: number) =>
			summarizeScores([{ score: 500 + change, standardError: 8, cut: 480, before: { score: 500, standardError: 8 } }])
				.moved;
		// √(8² + 8²) · 1.645 = 18.6
		expect(moved(19)).toEqual({ up: 1, down: 0, within: 0 });
		expect(moved(18)).toEqual({ up: 0, down: 0, within: 1 });
		expect(moved(-19)).toEqual({ up: 0, down: 1, within: 0 });
	});

	it('gives the mean change with its error, from two students on', () => {
		const rise = (by: number): ScoredStudent => ({
			score: 500 + by,
			standardError: 8,
			cut: 480,
			before: { score: 500, standardError: 8 }
		});
		expect(summarizeScores([rise(5)]).change).toBeNull();
		const { mean, standardError } = summarizeScores([rise(4), rise(8), rise(12)]).change!;
		expect(mean).toBe(8);
		expect(standardError).toBeCloseTo(4 / Math.sqrt(3), 12);
		expect(summarizeScores([])).toMatchObject({ scored: 0, quartiles: null, change: null });
	});
});

describe('bins of scores', () => {
	it('hold every score once, in the bin it lies in, without a break', () => {
		fc.assert(
			fc.property(fc.array(fc.integer({ min: -300, max: 900 }), { minLength: 1, maxLength: 60 }), (scores) => {
				const bins = binScores(scores, 10);
				expect(bins.flatMap(({ members }) => members).sort((a, b) => a - b)).toEqual(scores.map((_, i) => i));
				bins.forEach(({ from, members }, i) => {
					if (i) expect(from).toBe(bins[i - 1].from + 10);
					for (const member of members) {
						expect(scores[member]).toBeGreaterThanOrEqual(from);
						expect(scores[member]).toBeLessThan(from + 10);
					}
				});
			})
		);
		expect(binScores([], 10)).toEqual([]);
	});
});
