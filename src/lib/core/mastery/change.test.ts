import { describe, expect, it } from 'vitest';
import { cellFrom } from '../../../../tests/packedRow';
import { standingChange } from '.';

const LETTERS = { gap: 'g', forming: 'f', secure: 's', slipping: 'l' };
const now = (standing: keyof typeof LETTERS) => cellFrom(`${LETTERS[standing]}8`);
const from = (a: keyof typeof LETTERS, b: keyof typeof LETTERS) => standingChange(now(a), now(b));

describe('how a standing has gone', () => {
	it('rises from gap through forming to secure, and falls the other way', () => {
		expect([
			from('gap', 'forming'),
			from('forming', 'secure'),
			from('gap', 'secure'),
			from('slipping', 'secure')
		]).toEqual(Array(4).fill('risen'));
		expect([
			from('secure', 'slipping'),
			from('slipping', 'gap'),
			from('secure', 'forming'),
			from('forming', 'gap')
		]).toEqual(Array(4).fill('fallen'));
		expect([from('gap', 'gap'), from('forming', 'slipping')]).toEqual(['same', 'same']);
	});

	it('is first seen when answers come, and what is only inferred is not seen', () => {
		const inferred = cellFrom('G0');
		expect(standingChange(inferred, now('secure'))).toBe('first seen');
		expect(standingChange(now('gap'), inferred)).toBe('no longer seen');
		expect(standingChange(cellFrom('S1'), inferred)).toBe('same');
	});
});
