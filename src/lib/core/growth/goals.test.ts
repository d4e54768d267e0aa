import { describe, expect, it } from 'vitest';
import { goalAsks, goalByCut, goalByNorm, type GoalBasis } from './goals';

const items = Array.from({ length: 16 }, (_, i) => ({ discrimination: 1.2, difficulty: 0.2 * (i % 4) - 0.3 }));
const basis: GoalBasis = { level: { mean: -1, standardError: 0.4 }, items, weeks: 8 };
const right = (level: number) =>
	items.reduce(
		(sum, { discrimination, difficulty }) => sum + 1 / (1 + Math.exp(-discrimination * (level - difficulty))),
		0
	);

describe('a goal', () => {
	it('by the cut is what is right at the cut, and asks for more than is right now', () => {
		expect(goalByCut(basis, 0.8)).toBe(Math.round(right(0.8)));
		expect(goalByCut(basis, -3)).toBe(Math.round(right(-1)) + 1);
		expect(goalByCut({ ...basis, level: { mean: 5, standardError: 0.3 } }, 9)).toBe(16);
	});

	it('by the norm is what the norm’s growth brings, times the ambition', () => {
		expect(goalByNorm({ ...basis, weeks: 36 }, 1)).toBe(Math.round(right(0)));
		expect(goalByNorm({ ...basis, weeks: 18 }, 2)).toBe(Math.round(right(0)));
		expect(goalByNorm(basis, 4)).toBeGreaterThanOrEqual(goalByNorm(basis, 2));
	});

	it('asks for so much a week, and is the less likely the more it asks for', () => {
		const [low, high] = goalAsks(basis, [8, 14]);
		expect(low.now).toBeCloseTo(right(-1), 9);
		expect(high.aWeek).toBeCloseTo((14 - right(-1)) / 8, 9);
		expect(low.chance).toBeGreaterThan(high.chance);
		expect(goalAsks(basis, [0])[0].chance).toBeCloseTo(1, 9);
		const later = goalAsks({ ...basis, weeks: 20 }, [14])[0];
		expect(later.chance).toBeGreaterThan(high.chance);
	});
});
