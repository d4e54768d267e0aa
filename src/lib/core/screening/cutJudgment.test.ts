import { describe, expect, it } from 'vitest';
import { accuracyAt, judgeCut, OUTCOMES_LEAST } from '.';

/** Ten who did badly, from 460 up, and thirty who did well, from 478 up, two points apart. */
const scores = [
	...Array.from({ length: 10 }, (_, i) => 460 + 4 * i),
	...Array.from({ length: 30 }, (_, i) => 478 + 2 * i)
];
const didBadly = scores.map((_, i) => i < 10);

describe('judging a cut score', () => {
	it('counts what it would have done, and suggests the lowest that catches as many as wanted', () => {
		const { students, didBadly: bad, found } = judgeCut(scores, didBadly, 480, 0.8);
		expect([students, bad]).toEqual([40, 10]);
		expect(found!.now.catches).toMatchObject({ count: 5, of: 10 });
		expect(found!.now.spares).toMatchObject({ count: 29, of: 30 });
		// Wilson's interval of 5 of 10, by his formula on paper.
		expect(found!.now.catches.lower).toBeCloseTo(0.2366, 4);
		expect(found!.now.catches.upper).toBeCloseTo(0.7634, 4);
		// Eight of ten score up to 488, so the cut lies just over it.
		expect(found!.suggested.catches).toMatchObject({ count: 8, of: 10 });
		expect(found!.suggested.cut).toBeGreaterThan(488);
		expect(accuracyAt(scores, didBadly, 488).sensitivity).toBeLessThan(0.8);
		expect(found!.area.lower).toBeLessThan(found!.area.area);
	});

	it('suggests a whole score, with just what that one would have done', () => {
		// Between 488 and 490 lie the cuts that catch eight; one student who did well scores 488.6.
		const parted = scores.map((score) => score + 0.6);
		const { cut, catches, spares } = judgeCut(parted, didBadly, 480, 0.8).found!.suggested;
		expect(Number.isInteger(cut)).toBe(true);
		const exact = accuracyAt(parted, didBadly, cut);
		expect(catches.count / catches.of).toBe(exact.sensitivity);
		expect(spares.count / spares.of).toBe(exact.specificity);
	});

	it('says nothing from fewer than five of either kind', () => {
		const few = (bad: number) =>
			judgeCut(
				scores.slice(0, 20),
				scores.slice(0, 20).map((_, i) => i < bad),
				480,
				0.8
			);
		expect(few(OUTCOMES_LEAST - 1).found).toBeNull();
		expect(few(OUTCOMES_LEAST).found).not.toBeNull();
		expect(few(16).found).toBeNull();
		expect(judgeCut([], [], 480, 0.8)).toEqual({ students: 0, didBadly: 0, found: null });
	});
});
