import { describe, expect, it } from 'vitest';
import { countBy } from './countBy';

describe('counting by a key', () => {
	it('counts each once, in order of first appearance', () => {
		expect(countBy(['b', 'a', 'b', 'c', 'b'], (text) => text)).toEqual([
			['b', 3],
			['a', 1],
			['c', 1]
		]);
		expect(countBy([], String)).toEqual([]);
	});
});
