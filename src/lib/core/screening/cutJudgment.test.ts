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
		expect(found!.now).toEqual({ cut: 480, sensitivity: 0.5, specificity: 29 / 30 });
		// Eight of ten score up to 488, so the cut lies just over it.
		expect(found!.suggested.sensitivity).toBe(0.8);
		expect(found!.suggested.cut).toBeGreaterThan(488);
		expect(accuracyAt(scores, didBadly, 488).sensitivity).toBeLessThan(0.8);
		expect(found!.area.lower).toBeLessThan(found!.area.area);
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
