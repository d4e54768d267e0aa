import fc from 'fast-check';
import { all, create } from 'mathjs';
import { describe, expect, it } from 'vitest';
import { readExpression } from './expression';
import { readRational } from './rational';

// Another library's reading of the same text, in exact fractions.
const math = create(all, { number: 'Fraction' });
const valueBy = (text: string, letters: Record<string, number> = {}) => {
	const scope = Object.fromEntries(Object.entries(letters).map(([letter, value]) => [letter, math.fraction(value)]));
	const value = math.fraction(math.evaluate(text, scope));
	return `${value.s * value.n}/${value.d}`;
};

const digits = fc.nat(99_999).map(String);
const decimal = fc.tuple(fc.nat(9_999), fc.nat(999)).map(([whole, part]) => `${whole}.${part}`);
const fraction = fc.tuple(fc.nat(999), fc.integer({ min: 1, max: 99 })).map(([top, bottom]) => `${top}/${bottom}`);
const signed = fc.tuple(fc.constantFrom('', '-', '+'), fc.oneof(digits, decimal, fraction));

/** Sums and products of numbers, x and y, as they are typed: signs left out, spaces anywhere between. */
const { expression } = fc.letrec<{ expression: string; product: string; factor: string }>((tie) => ({
	expression: fc
		.tuple(
			tie('product'),
			fc.array(fc.tuple(fc.constantFrom('+', ' - ', '-', ' + '), tie('product')), { maxLength: 2 })
		)
		.map(([first, rest]) => first + rest.flat().join('')),
	product: fc
		.tuple(fc.constantFrom('', '3', '12', '1/2*', '0.5'), tie('factor'), fc.constantFrom('', '*2', '/4', '^2'))
		.map((parts) => parts.join('')),
	factor: fc.oneof(
		{ depthSize: 'small', withCrossShrink: true },
		fc.constantFrom('x', 'y', 'x*y', 'x^2'),
		fc.tuple(tie('expression')).map(([inner]) => `(${inner})`)
	)
}));

/** What our reading comes to for values of its letters. */
function valueOf(text: string, letters: Record<string, number>): string | null {
	const reading = readExpression(text, ['x', 'y']);
	if (!reading) return null;
	const terms = [...reading.value].map(([term, { numerator, denominator }]) => {
		const powers = term ? term.split(' ').map((one) => one.split('^')) : [];
		const product = powers.reduce((value, [letter, power]) => value * letters[letter] ** Number(power), 1);
		return math.fraction(numerator * product, denominator);
	});
	const sum = terms.reduce((a, b) => a.add(b), math.fraction(0));
	return `${sum.s * sum.n}/${sum.d}`;
}

describe('what is read, against another library', () => {
	it('has the same value, of numbers', () => {
		fc.assert(
			fc.property(signed, ([sign, text]) => {
				const { numerator, denominator } = readRational(sign + text)!;
				expect(`${BigInt(numerator)}/${denominator}`).toBe(valueBy(sign + text));
			}),
			{ seed: 19, numRuns: 1_000 }
		);
	});

	it('has the same value, of expressions, wherever they are read', () => {
		let read = 0;
		fc.assert(
			fc.property(expression, (text) => {
				for (const letters of [
					{ x: 2, y: 3 },
					{ x: -5, y: 7 }
				]) {
					const value = valueOf(text, letters);
					if (value === null) continue;
					read++;
					expect(value, text).toBe(valueBy(text, letters));
				}
			}),
			{ seed: 19, numRuns: 1_000 }
		);
		expect(read).toBeGreaterThan(1_000);
	});
});
