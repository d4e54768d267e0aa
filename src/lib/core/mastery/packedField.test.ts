import fc from 'fast-check';
import { expect, it } from 'vitest';
import { packField, unpackField, type PackedSkill } from '.';

const float = fc.float({ min: -8, max: 8, noNaN: true });
const skill: fc.Arbitrary<PackedSkill> = fc.record({
	skillId: fc.integer({ min: 1, max: 2 ** 32 - 1 }),
	difficulty: float,
	level: fc.record({ mean: float, standardError: float }),
	answers: fc.integer({ min: 0, max: 65_535 }),
	lastOn: fc.constantFrom(null, '2000-01-01', '2026-02-28', '2031-12-31'),
	isEnough: fc.boolean(),
	wasSecure: fc.boolean()
});

it('a packed field comes back as it was, wherever its bytes lie', () => {
	fc.assert(
		fc.property(fc.array(skill, { maxLength: 30 }), fc.nat(5), (skills, shift) => {
			const bytes = packField(skills);
			const within = new Uint8Array(bytes.length + 5);
			within.set(bytes, shift);
			expect(unpackField(within.subarray(shift, shift + bytes.length))).toEqual(skills);
		})
	);
});

it('bytes that are no whole number of skills are refused', () => {
	expect(() => unpackField(new Uint8Array(20))).toThrow(RangeError);
});
