import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commonDivisor, rational, readRational } from './rational';
import { clockTime, duration, formatNumber, tex } from './text';

describe('texts of items', () => {
	it('write numbers with separators and a true minus sign', () => {
		expect([1_234, -7, 0.5, 1_000_000, 0].map(formatNumber)).toEqual(['1,234', '−7', '0.5', '1,000,000', '0']);
	});

	it('write times of day around noon and midnight', () => {
		expect([0, 59, 12 * 60, 13 * 60 + 5, 23 * 60 + 59, 24 * 60].map(clockTime)).toEqual([
			'12:00 a.m.',
			'12:59 a.m.',
			'12:00 p.m.',
			'1:05 p.m.',
			'11:59 p.m.',
			'12:00 a.m.'
		]);
	});

	it('write lengths of time without parts that are none', () => {
		expect([1, 60, 61, 122, 180].map(duration)).toEqual([
			'1 minute',
			'1 hour',
			'1 hour 1 minute',
			'2 hours 2 minutes',
			'3 hours'
		]);
	});

	it('write fractions as TeX between dollar signs', () => {
		expect(tex(3, 4)).toBe('$\\frac{3}{4}$');
	});

	it('come back as the same number when read as an answer', () => {
		fc.assert(
			fc.property(fc.integer({ min: -999_999, max: 999_999 }), (value) => {
				expect(readRational(formatNumber(value))).toEqual({ numerator: value, denominator: 1 });
			})
		);
	});
});

describe('fractions', () => {
	it('are in lowest terms with a positive denominator, and keep their value', () => {
		const part = fc.integer({ min: -500, max: 500 });
		fc.assert(
			fc.property(
				part,
				part.filter((n) => n !== 0),
				(top, bottom) => {
					const { numerator, denominator } = rational(top, bottom);
					expect(denominator).toBeGreaterThan(0);
					expect(commonDivisor(numerator, denominator)).toBe(1);
					// By cross-multiplication, without dividing.
					expect(numerator * bottom).toBe(top * denominator);
				}
			)
		);
		expect(() => rational(1, 0)).toThrow(RangeError);
	});

	it('are read from mixed numbers, with any spaces, money and percent signs', () => {
		expect(['2 1/2', ' 2  1 / 2 ', '5/2', '2.5', '$2.50', '10/4'].map((text) => readRational(text))).toEqual(
			Array(6).fill({ numerator: 5, denominator: 2 })
		);
		expect(readRational('50%')).toEqual({ numerator: 50, denominator: 1 });
		expect(readRational('3 cm', 'cm')).toEqual({ numerator: 3, denominator: 1 });
		expect(readRational('3 cm', 'm')).toBeNull();
	});
});
