import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { isCollected, readExpression } from './expression';

const letters = ['x', 'y'];
const read = (text: string) => readExpression(text, letters);
const termsOf = (text: string) => [...read(text)!.value].map((term) => JSON.stringify(term)).sort();
const equal = (one: string, other: string) => termsOf(one).join() === termsOf(other).join();

describe('reading expressions', () => {
	it.each([
		['3x + 5', '5 + 3x'],
		['2(x - 4)', '2x - 8'],
		['x^2y', 'y*x*x'],
		['(a + b)'.replace('a', 'x').replace('b', 'y'), 'y + x'],
		['1/2x', '0.5x'],
		['x/2', '.5x'],
		['-(x - 1)', '1 - x'],
		['(x + 1)^2', 'x^2 + 2x + 1'],
		['x²', 'x^2'],
		['3 × x', '3·x'],
		['x − 3', 'x - 3'],
		['X + 1', 'x + 1'],
		['2x(x+1)', '2x^2+2x'],
		['x - x', '0'],
		['2^3', '8'],
		['+x', 'x']
	])('%s is the same as %s', (one, other) => {
		expect(equal(one, other)).toBe(true);
	});

	it.each([
		['3x + 5', '8x'],
		['x^2', '2x'],
		['2(x-4)', '2x-4'],
		['x/2', '2/3'],
		['xy', 'x+y']
	])('%s is not the same as %s', (one, other) => {
		expect(equal(one, other)).toBe(false);
	});

	it.each([
		'',
		' ',
		'3x +',
		'(x',
		'x)',
		'3/x',
		'x/0',
		'x^',
		'x^99',
		'2**x',
		'hello',
		'z',
		'1..2',
		'x^1/2x^',
		'9'.repeat(61)
	])('“%s” cannot be read', (text) => {
		expect(read(text)).toBeNull();
	});

	it('agrees with plain arithmetic at every point, however terms are ordered and grouped', () => {
		const term = fc.tuple(fc.integer({ min: -9, max: 9 }), fc.integer({ min: 0, max: 3 }));
		fc.assert(
			fc.property(fc.array(term, { minLength: 1, maxLength: 5 }), fc.integer({ min: -4, max: 4 }), (terms, x) => {
				const text = terms.map(([factor, power]) => `(${factor})*x^${power}`).join(' + ');
				const { value } = read(text)!;
				const worth = [...value].reduce((sum, [letter, { numerator, denominator }]) => {
					const power = letter ? Number(letter.slice(2)) : 0;
					return sum + (numerator / denominator) * x ** power;
				}, 0);
				expect(worth).toBeCloseTo(
					terms.reduce((sum, [factor, power]) => sum + factor * x ** power, 0),
					6
				);
				expect(
					equal(
						text,
						[...terms]
							.reverse()
							.map(([factor, power]) => `x^${power}*(${factor})`)
							.join('+')
					)
				).toBe(true);
			})
		);
	});

	it('never throws, whatever is typed', () => {
		fc.assert(fc.property(fc.string({ unit: fc.constantFrom(...'xy0123456789+-*/^(). ') }), (text) => void read(text)));
	});
});

describe('collected expressions', () => {
	it.each(['3x + 5', 'x', '7', '-x + 2', 'x^2 - 3x + 1', '1/2x', '2xy', '5 - 3x', '0'])('%s is', (text) => {
		expect(isCollected(read(text)!)).toBe(true);
	});
	it.each(['3x + 5x', '2(x + 1)', 'x*x', '2*3x', 'x^2 * x^3', '3x + 5 + 2', '(x + 1)^2', 'x + 0', '2^3'])(
		'%s is not',
		(text) => {
			expect(isCollected(read(text)!)).toBe(false);
		}
	);
});
