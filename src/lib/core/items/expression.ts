import { rational, type Rational } from './rational';
import { inPlainSigns, withPowers } from './signs';

/**
 * A polynomial: for each product of letters, written `x^2 y`, its coefficient; the empty text is the constant.
 * No coefficient is 0.
 */
type Polynomial = Map<string, Rational>;

const LONGEST = 60;
/** Powers above this are no answer to any item and would only cost time. */
const HIGHEST_POWER = 30;

class Unreadable extends Error {}

const add = (a: Rational, b: Rational) =>
	rational(a.numerator * b.denominator + b.numerator * a.denominator, a.denominator * b.denominator);
const times = (a: Rational, b: Rational) => rational(a.numerator * b.numerator, a.denominator * b.denominator);

function put(sum: Polynomial, term: string, coefficient: Rational): void {
	const total = add(sum.get(term) ?? rational(0), coefficient);
	if (![total.numerator, total.denominator].every(Number.isSafeInteger)) throw new Unreadable();
	if (total.numerator === 0) sum.delete(term);
	else sum.set(term, total);
}

function addPolynomials(a: Polynomial, b: Polynomial, sign: 1 | -1): Polynomial {
	const sum = new Map(a);
	for (const [term, coefficient] of b) put(sum, term, times(rational(sign), coefficient));
	return sum;
}

const powersOf = (term: string) =>
	new Map(term ? term.split(' ').map((factor) => [factor[0], Number(factor.slice(2))] as const) : []);

function productOfTerms(a: string, b: string): string {
	const powers = powersOf(a);
	for (const [letter, power] of powersOf(b)) powers.set(letter, (powers.get(letter) ?? 0) + power);
	if ([...powers.values()].some((power) => power > HIGHEST_POWER)) throw new Unreadable();
	return [...powers]
		.sort(([one], [other]) => (one < other ? -1 : 1))
		.map(([letter, power]) => `${letter}^${power}`)
		.join(' ');
}

function multiplyPolynomials(a: Polynomial, b: Polynomial): Polynomial {
	const product: Polynomial = new Map();
	for (const [one, p] of a) for (const [other, q] of b) put(product, productOfTerms(one, other), times(p, q));
	return product;
}

/** What was read: the value, and whether it stood multiplied out and collected already. */
interface Reading {
	value: Polynomial;
	terms: number;
	/** No parentheses that had to be multiplied out, no letter or number twice in one product. */
	plain: boolean;
}

/** A part of a product. */
interface Factor {
	value: Polynomial;
	plain: boolean;
	/** Whether it is one term as it should be, as far as parentheses around it do nothing where it stands alone. */
	isTerm: boolean;
}

const constant = (value: Rational): Polynomial => (value.numerator === 0 ? new Map() : new Map([['', value]]));

/**
 * Reads an expression with letters exactly: `3x + 5`, `2(x − 4)`, `x^2y`, `x⁶`, `x^(6)`, `1/2 n`, `½n`, `(a + b)/3`.
 *
 * Grammar: sum of products of powers; a product may leave out its sign; division only by numbers.
 *
 * @param letters the letters that may stand in it
 * @returns null when the text is no such expression, or longer than any answer could be
 */
export function readExpression(text: string, letters: string[]): Reading | null {
	const spaced = inPlainSigns(withPowers(text))
		.replace(/[×·∙⋅]/g, '*')
		.replace(/÷/g, '/')
		.replace(/(?<![\d./])(\d+)\s+(\d+\s*\/\s*\d+)/g, '($1+$2)');
	// Two numbers beside each other are neither one number nor a product.
	if (/\d\s+[\d.]/.test(spaced)) return null;
	const source = spaced.replace(/\s+/g, '');
	if (source.length === 0 || source.length > LONGEST) return null;
	let at = 0;
	const next = () => source[at] ?? '';
	const take = (character: string) => next() === character && ++at > 0;

	function sum(): Reading {
		let negative = take('-');
		if (!negative) take('+');
		let total: Reading = { value: new Map(), terms: 0, plain: true };
		for (;;) {
			const one = product();
			total = {
				value: addPolynomials(total.value, one.value, negative ? -1 : 1),
				terms: total.terms + one.terms,
				plain: total.plain && one.plain
			};
			if (take('-')) negative = true;
			else if (take('+')) negative = false;
			else return total;
		}
	}

	function product(): Reading {
		const first = power();
		let { value, plain } = first;
		let isAlone = true;
		const seen = new Set(lettersOf(value));
		let hasNumber = isNumber(value);
		for (;;) {
			const divides = take('/');
			if (!divides && !take('*') && !/[\p{L}\d(.]/u.test(next())) break;
			isAlone = false;
			const factor = power();
			if (divides) {
				if (!isNumber(factor.value) || factor.value.size === 0) throw new Unreadable();
				const { numerator, denominator } = factor.value.get('')!;
				value = multiplyPolynomials(value, constant(rational(denominator, numerator)));
				continue;
			}
			const fresh =
				lettersOf(factor.value).every((letter) => !seen.has(letter)) && !(hasNumber && isNumber(factor.value));
			plain &&= factor.plain && fresh;
			hasNumber ||= isNumber(factor.value);
			for (const letter of lettersOf(factor.value)) seen.add(letter);
			value = multiplyPolynomials(value, factor.value);
		}
		return { value, terms: 1, plain: (plain || (isAlone && first.isTerm)) && value.size <= 1 };
	}

	function power(): Factor {
		const base = atom();
		if (!take('^')) return base;
		const [written, bare, enclosed] = /^(?:(\d{1,2})|\((\d{1,2})\))/.exec(source.slice(at)) ?? [];
		const exponent = Number(bare ?? enclosed);
		if (!written || exponent > HIGHEST_POWER) throw new Unreadable();
		at += written.length;
		let value = constant(rational(1));
		for (let i = 0; i < exponent; i++) value = multiplyPolynomials(value, base.value);
		return { value, plain: base.plain && !isNumber(base.value), isTerm: false };
	}

	function atom(): Factor {
		if (take('(')) {
			const isSigned = /[-+]/.test(next());
			const { value, plain, terms } = sum();
			if (!take(')')) throw new Unreadable();
			return { value, plain: isNumber(value), isTerm: plain && terms === 1 && !isSigned };
		}
		const digits = /^(\d{1,9}(?:\.\d{1,6})?|\.\d{1,6})/.exec(source.slice(at));
		if (digits) {
			at += digits[0].length;
			const [whole, part = ''] = digits[0].split('.');
			return { value: constant(rational(Number(whole + part), 10 ** part.length)), plain: true, isTerm: true };
		}
		const letter = letters.find((one) => source.startsWith(one, at) || source.startsWith(one.toUpperCase(), at));
		if (!letter) throw new Unreadable();
		at += letter.length;
		return { value: new Map([[`${letter}^1`, rational(1)]]), plain: true, isTerm: true };
	}

	try {
		const reading = sum();
		return at === source.length ? reading : null;
	} catch (error) {
		if (error instanceof Unreadable) return null;
		throw error;
	}
}

/** Reads what was typed in answer to an item; some type once more what stands before the field, such as `y =`. */
export function readTypedExpression(
	text: string,
	{ letters, before = '' }: { letters: string[]; before?: string }
): Reading | null {
	const begins = before.replace(/[\s$]/g, '').toLowerCase();
	const typed = text.trimStart().replace(/\s*=\s*/, '=');
	const repeats = begins !== '' && typed.toLowerCase().startsWith(begins);
	return readExpression(repeats ? typed.slice(begins.length) : text, letters);
}

const isNumber = (value: Polynomial) => value.size === 0 || (value.size === 1 && value.has(''));
const lettersOf = (value: Polynomial) => [...new Set([...value.keys()].flatMap((term) => [...powersOf(term).keys()]))];

/** Whether an expression stands multiplied out, with each kind of term once. */
export const isCollected = ({ value, terms, plain }: Reading) => plain && terms === Math.max(1, value.size);
