import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { checkGain } from './checkGain';
import { levelFor, MASTERED_SHARE, shareAt } from './share';

const LINE = levelFor(MASTERED_SHARE, 0);

describe('what a check is expected to gain', () => {
	it('is what deciding before and after it comes to in simulated students', () => {
		const random = seededRandom(1);
		const level = { mean: LINE - 0.3, standardError: 0.9 };
		const drawn = Array.from({ length: 60_000 }, () => {
			const theta = level.mean + level.standardError * random.normal();
			let right = 0;
			for (let n = 0; n < 5; n++) if (random.chance(shareAt(theta, 0))) right++;
			return { right, isMastered: theta >= LINE };
		});
		const wrongNow = drawn.filter(({ isMastered }) => isMastered).length;
		let wrongThen = 0;
		for (let right = 0; right <= 5; right++) {
			const here = drawn.filter((one) => one.right === right);
			const above = here.filter(({ isMastered }) => isMastered).length;
			wrongThen += Math.min(above, here.length - above);
		}
		expect(checkGain(level, 0, 5)).toBeCloseTo(
			(Math.min(wrongNow, drawn.length - wrongNow) - wrongThen) / drawn.length,
			1.7
		);
	});

	it('is never below nothing or over one half, and no less with more questions', () => {
		fc.assert(
			fc.property(
				fc.double({ min: -3, max: 3, noNaN: true }),
				fc.double({ min: 0.2, max: 1.4, noNaN: true }),
				fc.integer({ min: 1, max: 9 }),
				(mean, standardError, questions) => {
					const gain = checkGain({ mean, standardError }, 0, questions);
					expect(gain).toBeGreaterThanOrEqual(0);
					expect(gain).toBeLessThanOrEqual(0.5);
					expect(checkGain({ mean, standardError }, 0, questions + 1)).toBeGreaterThanOrEqual(gain - 1e-9);
				}
			)
		);
	});

	it('is most where it is open, and next to nothing where it is sure already', () => {
		const at = (mean: number) => checkGain({ mean, standardError: 0.8 }, 0, 5);
		expect(at(LINE)).toBeGreaterThan(0.15);
		expect(at(LINE - 3)).toBeLessThan(0.002);
		expect(at(LINE + 3)).toBeLessThan(0.002);
		expect(checkGain({ mean: 2 + LINE, standardError: 0.8 }, 2, 5)).toBeCloseTo(at(LINE), 9);
	});
});
