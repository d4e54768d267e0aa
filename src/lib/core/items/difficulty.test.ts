import { describe, expect, it } from 'vitest';
import { startingParameters } from '../measurement';
import { digitsBeyondUsual } from './difficulty';
import { itemFamilies } from './families';
import { makeItem } from './family';

const family = (id: string) => itemFamilies.find((one) => one.id === id)!;
const seeds = Array.from({ length: 40 }, (_, seed) => seed);

describe('number size', () => {
	it('averages to nothing over the items that tell what is usual, in every family', () => {
		for (const one of itemFamilies) {
			const sum = seeds.reduce((all, seed) => all + digitsBeyondUsual(one, makeItem(one, seed)), 0);
			expect(sum, one.id).toBeCloseTo(0, 6);
		}
	});

	it('counts digits that have to be worked with: zeros at the ends are for free', () => {
		const tens = family('one-digit-times-tens');
		const items = seeds.map((seed) => makeItem(tens, seed));
		const size = (stem: RegExp) => {
			const item = items.find((one) => stem.test(one.stem))!;
			return digitsBeyondUsual(tens, item);
		};
		// 11 tens have one more digit in the question than 2 to 9 tens.
		expect(size(/holds 110 people/)).toBeGreaterThan(size(/holds 30 people/));
	});

	it('takes a place on a line as the fraction that it is, not as its endless decimals', () => {
		for (const one of itemFamilies.filter(({ id }) => makeItem(family(id), 0).response.kind === 'line')) {
			const sizes = seeds.map((seed) => digitsBeyondUsual(one, makeItem(one, seed)));
			expect(Math.max(...sizes) - Math.min(...sizes), one.id).toBeLessThanOrEqual(8);
		}
	});

	it('makes larger numbers start harder, by the stated step', () => {
		const plain = startingParameters({ grade: 4, term: 2 }, { kind: 'number' });
		const larger = startingParameters({ grade: 4, term: 2 }, { kind: 'number' }, 2);
		expect(larger.difficulty - plain.difficulty).toBeCloseTo(0.16, 12);
		expect(larger.discrimination).toBe(plain.discrimination);
	});
});
