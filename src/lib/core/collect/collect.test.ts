import fc from 'fast-check';
import { expect, it } from 'vitest';
import { partedBy } from '.';

it('a part is what a filter finds, in the same order', () => {
	fc.assert(
		fc.property(fc.array(fc.record({ of: fc.nat(5), what: fc.nat() })), fc.nat(6), (ones, wanted) => {
			expect(partedBy(ones, ({ of }) => of)(wanted)).toEqual(ones.filter(({ of }) => of === wanted));
		})
	);
});
