import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import {
	cronbachAlpha,
	estimateEap,
	estimateProfile,
	personFit,
	profileFit,
	rapidThreshold,
	reliableChange,
	responseTimeEffort,
	trustFlags,
	type SittingToJudge
} from '.';
import { simulateAnswers as simulate, testItems as items } from './simulatedAnswers';

describe('effort', () => {
	it('is the share of answers at or over their threshold', () => {
		const times = [500, 2_000, 900, undefined].map((milliseconds) => ({ milliseconds }));
		expect(responseTimeEffort(times, [1_000, 1_000, 900, 1_000])).toBe(0.75);
		expect(responseTimeEffort([], [])).toBe(1);
		expect(() => responseTimeEffort(times, [1])).toThrow(RangeError);
	});

	it('is measured at a tenth of the median time, guessed from the words until it is known', () => {
		expect(rapidThreshold({ words: 20, medianMs: 24_000 })).toBe(2_400);
		expect(rapidThreshold({ words: 20 })).toBe(2_200);
		expect(rapidThreshold({ words: 5 })).toBeLessThan(rapidThreshold({ words: 40 }));
		expect(rapidThreshold({ words: 20, medianMs: 600_000 })).toBe(10_000);
	});
});

describe('person fit', () => {
	it('has a mean near 0 and spread near 1 for fitting students at their estimated ability', () => {
		const random = seededRandom(3);
		const fits = Array.from({ length: 800 }, (_, n) => {
			const responses = simulate(random.normal() * 0.8, n);
			return personFit(responses, estimateEap(responses, { mean: 0, sd: 3 }).theta);
		});
		const mean = fits.reduce((a, b) => a + b, 0) / fits.length;
		const sd = Math.sqrt(fits.reduce((a, b) => a + (b - mean) ** 2, 0) / fits.length);
		expect(Math.abs(mean)).toBeLessThan(0.15);
		expect(sd).toBeGreaterThan(0.85);
		expect(sd).toBeLessThan(1.15);
	});

	it('finds a pattern turned upside down', () => {
		const responses = items.map((item) => ({ item, correct: item.difficulty > 0 }));
		expect(personFit(responses, estimateEap(responses).theta)).toBeLessThan(-2.33);
	});

	it('lets a student be strong in one domain and weak in another', () => {
		const strong = items.map((item) => ({ item, correct: item.difficulty < 1.6 }));
		const weak = items.map((item) => ({ item, correct: item.difficulty < -1.6 }));
		const apart = profileFit([
			{ responses: strong, theta: estimateEap(strong).theta },
			{ responses: weak, theta: estimateEap(weak).theta }
		]);
		const both = [...strong, ...weak];
		expect(apart).toBeGreaterThan(0);
		expect(personFit(both, estimateEap(both).theta)).toBeLessThan(-1.6);
		expect(profileFit([{ responses: [], theta: 0 }])).toBe(0);
	});
});

describe('reliable change', () => {
	it('lies beyond 1.645 errors of the difference', () => {
		const before = { score: 480, standardError: 6 };
		expect(reliableChange(before, { score: 494.2, standardError: 6 })).toMatchObject({ reliable: true });
		expect(reliableChange(before, { score: 493.9, standardError: 6 })).toMatchObject({ reliable: false });
		expect(reliableChange(before, { score: 480, standardError: 0 }).index).toBe(0);
	});
});

describe('doubts about a sitting', () => {
	const domains = ['Number', 'Shapes', 'Data'];
	const honest = simulate(0, 21).map((response, i) => ({ ...response, domainId: i % 3, rapidMs: 1_000 }));
	const sittingOf = (answers: typeof honest): SittingToJudge<number> => ({
		answers,
		profile: estimateProfile(
			new Map([0, 1, 2].map((domain) => [domain, answers.filter(({ domainId }) => domainId === domain)])),
			{ mean: 0, sd: 1.1 }
		),
		adaptive: false,
		pauses: [],
		nameOf: (domain) => domains[domain]
	});

	it('are none about an honest one', () => {
		expect(trustFlags(sittingOf(honest))).toEqual([]);
		expect(trustFlags({ ...sittingOf(honest), pauses: [{ milliseconds: 19 * 60_000, domainId: 1 }] })).toEqual([]);
	});

	it('name every reason at once', () => {
		const sitting = sittingOf(
			honest.filter(({ domainId }) => domainId !== 2).map((a) => ({ ...a, milliseconds: 300 }))
		);
		const doubts = trustFlags({
			...sitting,
			pauses: [{ milliseconds: 30 * 60_000, domainId: 1 }],
			previous: { theta: sitting.profile.overall.theta + 3, standardError: 0.3 }
		});
		expect(doubts.map(({ flag }) => flag)).toEqual(['rapid', 'interrupted', 'domainMissing', 'drop']);
		expect(doubts[0].reason).toContain('16 of 16');
		expect(doubts[1]).toMatchObject({
			reason: 'A pause of 30 minutes between two answers, in Shapes.',
			domainIds: [1]
		});
		expect(doubts[2]).toMatchObject({ reason: 'No answers in Data.', domainIds: [2] });
		expect(doubts[3].reason).toContain('75 points');
	});

	it('say in which domain the haste was', () => {
		const hasty = honest.map((a) => ({ ...a, milliseconds: a.domainId === 1 ? 300 : 9_000 }));
		expect(trustFlags(sittingOf(hasty))).toMatchObject([{ flag: 'rapid', domainIds: [1] }]);
	});

	it('do not call one or two quick answers haste', () => {
		const quick = honest.map((a, i) => ({ ...a, milliseconds: i < 2 ? 300 : 9_000 }));
		expect(trustFlags(sittingOf(quick))).toEqual([]);
	});

	it('leave a drop within two errors of the difference alone', () => {
		const sitting = sittingOf(honest);
		const { theta, standardError } = sitting.profile.overall;
		const error = Math.hypot(standardError, 0.3);
		expect(trustFlags({ ...sitting, previous: { theta: theta + 1.99 * error, standardError: 0.3 } })).toEqual([]);
		expect(trustFlags({ ...sitting, previous: { theta: theta + 2.01 * error, standardError: 0.3 } })).toHaveLength(1);
	});
});

describe('internal consistency', () => {
	it('is the formula worked out by hand', () => {
		const table = [
			[1, 2, 1],
			[2, 1, 2],
			[3, 4, 3],
			[4, 4, 5],
			[2, 3, 2]
		];
		const variance = (list: number[]) => {
			const mean = list.reduce((a, b) => a + b) / list.length;
			return list.reduce((sum, x) => sum + (x - mean) ** 2, 0) / (list.length - 1);
		};
		const parts = [0, 1, 2].reduce((sum, i) => sum + variance(table.map((row) => row[i])), 0);
		const whole = variance(table.map((row) => row[0] + row[1] + row[2]));
		expect(cronbachAlpha(table)).toBeCloseTo(1.5 * (1 - parts / whole), 12);
		expect(cronbachAlpha(table)).toBeGreaterThan(0.9);
	});

	it('is 1 for items that say the same, and near 0 for items that have nothing in common', () => {
		expect(
			cronbachAlpha([
				[1, 1],
				[2, 2],
				[3, 3]
			])
		).toBeCloseTo(1, 12);
		const random = seededRandom(2);
		const noise = Array.from({ length: 2_000 }, () => [random.normal(), random.normal(), random.normal()]);
		expect(Math.abs(cronbachAlpha(noise))).toBeLessThan(0.1);
	});

	it('refuses what it cannot be worked out from', () => {
		expect(() => cronbachAlpha([[1, 2]])).toThrow(RangeError);
		expect(() => cronbachAlpha([[1, 2], [1]])).toThrow('different lengths');
	});
});
