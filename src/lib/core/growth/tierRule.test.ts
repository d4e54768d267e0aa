import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { chanceBelow, sayTierReason, sayTierRule, type TierLook, tierByRule, USUAL_TIER_RULE } from './tierRule';

const look = (points: number | null, change: Partial<TierLook> = {}): TierLook => ({
	score: points === null ? null : { points, error: 10, cut: 500 },
	...{ gaps: 0, word: null },
	...change
});
const tier = (of: TierLook, rule = USUAL_TIER_RULE) => tierByRule(of, rule).tier;

describe('the rule of who enters a tier', () => {
	it('goes by how sure the score is under the line, not by the score alone', () => {
		// 80% sure is 8.4 points of an error of 10.
		expect(tier(look(492))).toBe(1);
		expect(tier(look(491))).toBe(2);
		expect(tier(look(472))).toBe(2);
		expect(tier(look(471))).toBe(3);
		expect(tier(look(500))).toBe(1);
		expect(tier(look(null))).toBeNull();
		// The same points with a larger error say less.
		expect(tier({ ...look(491), score: { points: 491, error: 30, cut: 500 } })).toBe(1);
	});

	it('asks for gaps or an adult’s word where the score may be under and may not', () => {
		const word = { by: 'Tala Ortega', reason: 'loses the thread in stories' };
		expect(tier(look(496, { gaps: 4 }))).toBe(2);
		expect(tier(look(496, { gaps: 3 }))).toBe(1);
		expect(tier(look(496, { word }))).toBe(2);
		expect(tier(look(496, { word }), { ...USUAL_TIER_RULE, word: false })).toBe(1);
		expect(tier(look(496, { gaps: 9 }), { ...USUAL_TIER_RULE, gaps: null })).toBe(1);
		// A score that is rather above is left alone, whatever else there is.
		expect(tier(look(520, { gaps: 9, word }))).toBe(1);
		expect(tierByRule(look(496, { gaps: 4, word }), USUAL_TIER_RULE).reasons.map(({ is }) => is)).toEqual([
			...['maybe below', 'gaps', 'word']
		]);
	});

	it('never lowers a tier when the score falls, more gaps are seen, or somebody speaks up', () => {
		fc.assert(
			fc.property(
				fc.integer({ min: 420, max: 560 }),
				fc.integer({ min: 0, max: 40 }),
				fc.integer({ min: 0, max: 8 }),
				fc.double({ min: 0.5, max: 0.95, noNaN: true }),
				(points, less, gaps, sure) => {
					const rule = { ...USUAL_TIER_RULE, sure };
					const now = tier(look(points, { gaps }), rule)!;
					return (
						tier(look(points - less, { gaps }), rule)! >= now &&
						tier(look(points, { gaps: gaps + 1 }), rule)! >= now &&
						tier(look(points, { gaps, word: { by: 'A', reason: 'b' } }), rule)! >= now
					);
				}
			)
		);
	});

	it('reckons the chance as a normal error has it', () => {
		// Of 20,000 drawn errors, the share that leads under the line.
		let state = 9;
		const uniform = () => (state = (state * 48_271) % 2_147_483_647) / 2_147_483_647;
		const normal = () => Math.sqrt(-2 * Math.log(uniform())) * Math.cos(2 * Math.PI * uniform());
		const drawn = Array.from({ length: 20_000 }, () => 494 + 10 * normal());
		const share = drawn.filter((points) => points < 500).length / drawn.length;
		expect(chanceBelow({ points: 494, error: 10 }, 500)).toBeCloseTo(share, 1.7);
	});

	it('is said in words, and claims no certainty', () => {
		expect(sayTierRule(USUAL_TIER_RULE)[1]).toBe(
			'Tier 2: it is 80% sure to be under the cut score; or it may be (50% or more), and there is also 4 gaps or more on skills up to the own grade or an adult’s word.'
		);
		expect(sayTierRule({ ...USUAL_TIER_RULE, gaps: null, word: false })[1]).toBe(
			'Tier 2: it is 80% sure to be under the cut score.'
		);
		expect(sayTierReason({ is: 'far below', by: 20, chance: 0.999 })).toBe(
			'over 95% sure to be more than 20 points under the cut.'
		);
		expect(sayTierReason({ is: 'word', by: 'Tala Ortega', reason: 'slow with facts' })).toBe(
			'Tala Ortega: slow with facts'
		);
	});
});
