import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { commonDivisor, rational, readRational } from './rational';
import {
	clockFace,
	clockTime,
	counted,
	duration,
	exact,
	formatNumber,
	inWords,
	money,
	numberInWords,
	tex
} from './text';

describe('texts of items', () => {
	it('write numbers with separators and a true minus sign', () => {
		expect([1_234, -7, 0.5, 1_000_000, 0].map(formatNumber)).toEqual(['1,234', '−7', '0.5', '1,000,000', '0']);
	});

	it('write amounts, counts and faces of clocks', () => {
		expect([12, 12.5, 1_234.5, 0.05].map(money)).toEqual(['12', '12.50', '1,234.50', '0.05']);
		expect([counted(1, 'box', 'boxes'), counted(2, 'box', 'boxes'), counted(1_000, 'rod')]).toEqual([
			'1 box',
			'2 boxes',
			'1,000 rods'
		]);
		expect([0, 5, 65, 719].map(clockFace)).toEqual(['12:00', '12:05', '1:05', '11:59']);
		expect(exact(0.1 + 0.2)).toBe(0.3);
	});

	it('write whole numbers in words', () => {
		expect([0, 7, 13, 40, 42, 100, 305, 1_000, 21_012, 905_300].map(numberInWords)).toEqual([
			'zero',
			'seven',
			'thirteen',
			'forty',
			'forty-two',
			'one hundred',
			'three hundred five',
			'one thousand',
			'twenty-one thousand twelve',
			'nine hundred five thousand three hundred'
		]);
	});

	it('say formulas for those who listen', () => {
		expect(inWords('$\\frac{3}{4}$ of a cup')).toBe('3 over 4 of a cup');
		expect(inWords('$2\\frac{1}{3}$')).toBe('2 and 1 over 3');
		expect(inWords('$x^{-2} \\times 10$')).toBe('x to the power -2 times 10'.replace('-2', 'minus 2'));
		expect(inWords('$p \\le 8$')).toBe('p is at most 8');
		expect(inWords('5 dollars')).toBe('5 dollars');
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
		expect(readRational('50%')).toEqual({ numerator: 1, denominator: 2 });
		expect(readRational('50%', '%')).toEqual({ numerator: 50, denominator: 1 });
		expect(readRational('3 cm', 'cm')).toEqual({ numerator: 3, denominator: 1 });
		expect(readRational('3 cm', 'm')).toBeNull();
	});
});
