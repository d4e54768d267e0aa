import { describe, expect, it } from 'vitest';
import { hasJustRushed, hasRushed } from './hurry';

const tries = (...list: [number, boolean][]) => list.map(([milliseconds, correct]) => ({ milliseconds, correct }));

describe('rushing', () => {
	it('is three in a row within two seconds each, not all of them right', () => {
		expect(hasJustRushed(tries([2_000, false], [1_000, true], [900, false]))).toBe(true);
		expect(hasJustRushed(tries([1_000, true], [1_000, true], [900, true]))).toBe(false);
		expect(hasJustRushed(tries([1_000, false], [2_001, false], [900, false]))).toBe(false);
		expect(hasJustRushed(tries([1_000, false], [900, false]))).toBe(false);
	});

	it('is over with an answer that took its time, and is remembered', () => {
		const over = tries([1_000, false], [1_000, false], [1_000, false], [9_000, true]);
		expect(hasJustRushed(over)).toBe(false);
		expect(hasRushed(over)).toBe(true);
		expect(hasRushed(over.slice(1))).toBe(false);
	});
});
