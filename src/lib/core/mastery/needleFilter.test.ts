import fc from 'fast-check';
import { expect, it } from 'vitest';
import { readCell } from './cell';
import { NEEDLE_FILTERS, packedTest, type CellTest } from './needleFilter';

it('packed cells pass a filter as they do when they are read', () => {
	const cells = fc.array(fc.tuple(fc.nat(4), fc.nat(31), fc.nat(255), fc.nat(255), fc.nat(255)), { maxLength: 40 });
	fc.assert(
		fc.property(cells, fc.constantFrom(...Object.values(NEEDLE_FILTERS)), (drawn, filter: CellTest) => {
			const bytes = Uint8Array.from(drawn.flatMap(([standing, bits, ...rest]) => [standing | (bits << 3), ...rest]));
			const passes = packedTest(filter);
			drawn.forEach((_, place) => expect(passes(bytes, place)).toBe(filter(readCell(bytes, place))));
		})
	);
});
