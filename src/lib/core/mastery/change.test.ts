import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
import { standingChange, type Standing } from '.';

const now = (standing: Standing) => standingNow(standing);
const from = (a: Standing, b: Standing) => standingChange(now(a), now(b));

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
		const inferred = standingNow('unseen', 0.1, { answers: 0, inferred: 'gap' });
		expect(standingChange(undefined, now('gap'))).toBe('first seen');
		expect(standingChange(inferred, now('secure'))).toBe('first seen');
		expect(standingChange(now('gap'), inferred)).toBe('no longer seen');
		expect(standingChange(undefined, inferred)).toBe('same');
	});
});
