import { describe, expect, it } from 'vitest';
import { answer, four } from '../../../../tests/fourSkills';
import { estimateField, explainLevel, shareAt, skillField } from '.';

/** A before B, B and C before D; A and B of one domain, C and D of another. */
const field = skillField(four);
const given = [
	...Array(4).fill(answer('B', false)),
	...Array(3).fill(answer('A', true)),
	answer('C', true),
	answer('D', false)
];
const prior = { mean: 0.2 };

describe('a level explained', () => {
	it('says what it would be without each part of the evidence, by leaving it out', () => {
		const { share, expected, without } = explainLevel(field, given, prior, 'B');
		const level = (of: typeof given) => estimateField(field, of, prior).mean[1];
		expect(share).toBeCloseTo(shareAt(level(given), 0), 12);
		expect(expected).toBeCloseTo(shareAt(0.2, 0), 12);
		expect(without.map(({ leftOut }) => leftOut)).toHaveLength(4);
		for (const { leftOut, change, share: left } of without) {
			const codes: string[] = {
				'skill itself': ['B'],
				neighbor: ['code' in leftOut ? leftOut.code : ''],
				domain: [],
				'other domains': ['C']
			}[leftOut.of];
			const rest = level(given.filter(({ skill }) => !codes.includes(skill)));
			expect(change).toBeCloseTo(level(given) - rest, 12);
			expect(left).toBeCloseTo(shareAt(rest, 0), 12);
		}
	});

	it('tells first what changes most: own wrong answers lower, right ones before it raise', () => {
		const { without } = explainLevel(field, given, prior, 'B');
		expect(without[0].leftOut).toEqual({ of: 'skill itself' });
		expect(without[0].change).toBeLessThan(-0.3);
		expect(without.find(({ leftOut }) => 'code' in leftOut && leftOut.code === 'A')!.change).toBeGreaterThan(0);
	});

	it('is the grade alone where nothing was answered, and of no skill that the field does not have', () => {
		const { share, expected, without } = explainLevel(field, [], prior, 'B');
		expect(without).toEqual([]);
		expect(share).toBe(expected);
		expect(() => explainLevel(field, [], prior, 'Z')).toThrow(RangeError);
	});
});
