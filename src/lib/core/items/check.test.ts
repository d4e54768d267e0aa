import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { check, describeAnswer } from '.';
import { itemFamilies, itemFrom, itemsForSkill } from './bank';
import { readRational } from './rational';

const half = {
	response: { kind: 'number' as const, unit: 'm' },
	key: '1/2',
	expectedErrors: [{ answer: '2', misconception: 'invertedFraction' as const }]
};

describe('checking', () => {
	it.each(['0.5', '.50', '1/2', ' 2/4 ', '0.5 m', '1/2m', '+1/2'])('takes %s for one half', (typed) => {
		expect(check(half, typed).correct).toBe(true);
	});

	it.each(['', 'half', '1/0', '0.5 kg', '1//2', '1e3', '9'.repeat(50), null, 7, {}, [], NaN])(
		'does not count %s as an answer',
		(typed) => {
			expect(check(half, typed)).toEqual({ correct: false, misconception: null, readable: false });
		}
	);

	it('names the wrong idea when the answer matches one', () => {
		expect(check(half, '2.0')).toEqual({ correct: false, misconception: 'invertedFraction', readable: true });
		expect(check(half, '3')).toEqual({ correct: false, misconception: null, readable: true });
	});

	it('never throws, whatever it is given', () => {
		fc.assert(
			fc.property(fc.constantFrom(...itemFamilies), fc.nat(500), fc.anything(), (family, seed, answer) => {
				const result = check(itemFrom(family.id, seed), answer);
				if (!result.readable) expect(result.correct).toBe(false);
			})
		);
	});
});

describe('reading numbers', () => {
	it('reads any decimal and fraction exactly', () => {
		fc.assert(
			fc.property(fc.integer({ min: -99_999, max: 99_999 }), fc.integer({ min: 0, max: 4 }), (digits, places) => {
				const text = (digits / 10 ** places).toFixed(places);
				const read = readRational(text)!;
				expect(read.numerator / read.denominator).toBeCloseTo(digits / 10 ** places, 9);
			})
		);
		expect(readRational('1,200')).toEqual({ numerator: 1200, denominator: 1 });
		expect(readRational('−1 1/2')).toEqual({ numerator: -3, denominator: 2 });
		expect(readRational('1,20')).toEqual({ numerator: 6, denominator: 5 });
		expect(readRational('1,20,0')).toBeNull();
	});
});

describe('an answer in words', () => {
	const line = (step: number) => ({
		response: { kind: 'line' as const, from: -2, to: 2, step, labelEvery: 1 }
	});

	it('writes typed numbers with separators and a true minus sign, and leaves what students typed otherwise', () => {
		const number = { response: { kind: 'number' as const, unit: 'm' } };
		expect(['9000', '-5', '2.50', '1/2', ' 7'].map((typed) => describeAnswer(number, typed))).toEqual([
			'9,000 m',
			'−5 m',
			'2.5 m',
			'1/2 m',
			' 7 m'
		]);
	});

	it('says a place on a line as the line’s ticks do', () => {
		expect(describeAnswer(line(1 / 3), 5 / 3)).toBe('$\\frac{5}{3}$');
		expect(describeAnswer(line(1 / 4), 0.5)).toBe('$\\frac{2}{4}$');
		expect(describeAnswer(line(1 / 4), 1)).toBe('1');
		expect(describeAnswer(line(0.1), 0.3)).toBe('0.3');
		expect(describeAnswer(line(1), -2)).toBe('−2');
	});
});

describe('item sets', () => {
	it('takes the families of a skill in turn and refuses a skill without any', () => {
		expect(itemsForSkill('W32', 4, 100).map((item) => [item.familyId, item.seed])).toEqual([
			['facts', 100],
			['multiples-true', 101],
			['facts', 102],
			['multiples-true', 103]
		]);
		expect(() => itemsForSkill('X99', 1, 0)).toThrow(/X99/);
	});
});
