import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { number, plural, sayChance, sayShare, sayShareBand, signed } from './numbers';

describe('numbers in words', () => {
	it('say how many of what', () => {
		expect([plural(1, 'student'), plural(0, 'student'), plural(1_056, 'student')]).toEqual([
			'1 student',
			'0 students',
			'1,056 students'
		]);
		expect(plural(2, 'class', 'classes')).toBe('2 classes');
	});

	it('say a share as so many of ten, with its band', () => {
		expect([0.02, 0.31, 0.96].map(sayShare)).toEqual(['hardly any', 'about 3 of 10', 'nearly all']);
		expect(sayShareBand({ value: 0.58, lower: 0.36, upper: 0.77 })).toBe('about 6 of 10, between 4 and 8');
		expect(sayShareBand({ value: 0.58, lower: 0.56, upper: 0.61 })).toBe('about 6 of 10');
		expect(sayShareBand({ value: 0.03, lower: 0.01, upper: 0.18 })).toBe('hardly any, at most 2');
		expect(sayShareBand({ value: 0.97, lower: 0.84, upper: 0.99 })).toBe('nearly all, at least 8');
	});

	it('carry a sign that says which way, and none where nothing is left of them', () => {
		expect([signed(12.4), signed(-12.6), signed(0.3), signed(-0.3), signed(0)]).toEqual(['+12', '−13', '0', '0', '0']);
		expect([signed(0.04, 1), signed(-0.06, 1), number(-2.25, 1), number(-0.04, 1)]).toEqual([
			'0.0',
			'−0.1',
			'−2.3',
			'0.0'
		]);
	});

	it('never show a minus before nothing, at any size', () => {
		fc.assert(
			fc.property(fc.double({ min: -1e6, max: 1e6, noNaN: true }), fc.integer({ min: 0, max: 3 }), (value, digits) => {
				const shown = Number(signed(value, digits).replace('−', '-').replace('+', ''));
				expect(Math.abs(shown - value)).toBeLessThanOrEqual(0.5 * 10 ** -digits + 1e-9);
				expect(Object.is(shown, -0)).toBe(false);
			})
		);
	});
});

describe('a chance', () => {
	it('is no surer than a forecast', () => {
		expect([0, 0.049, 0.05, 0.412, 0.95, 0.951, 1].map(sayChance)).toEqual([
			...['under 5%', 'under 5%', '5%', '41%', '95%'],
			...['over 95%', 'over 95%']
		]);
	});
});
