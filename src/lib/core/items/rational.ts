import { hasPowers, inPlainSigns } from './signs';
import { namesOfUnit, withoutUnit } from './units';

/** An exact fraction in lowest terms with a positive denominator. */
export interface Rational {
	numerator: number;
	denominator: number;
}

/** Greatest common divisor of two whole numbers, not both 0 (Euclid). */
export function commonDivisor(a: number, b: number): number {
	return b === 0 ? Math.abs(a) : commonDivisor(b, a % b);
}

/** Lowest terms. @throws RangeError for a denominator of 0 */
export function rational(numerator: number, denominator = 1): Rational {
	if (denominator === 0) throw new RangeError('a fraction needs a denominator other than 0');
	const sign = denominator < 0 ? -1 : 1;
	const divisor = commonDivisor(numerator, denominator) || 1;
	return { numerator: (sign * numerator) / divisor, denominator: (sign * denominator) / divisor };
}

/** Longer than any answer could be. */
const LONGEST = 40;

const WHOLE = /^(\d{1,3}(?:[, ]\d{3})+|\d{0,9})(?:\.(\d{1,6}))?\.?$/;
/** A comma before decimals, where it cannot part thousands: `0,5`, `3,25`. */
const DECIMAL_COMMA = /^(?:\d{1,9},(?:\d{1,2}|\d{4,6})|0,\d{3})$/;

/**
 * Reads a typed number exactly: `12`, `1,200`, `1 200`, `0.5`, `.50`, `0,5`, `1/2`, `½`, `1 1/2`, `1 and 1/2`, `-3`, `50%`
 * (as 50), `$4.50`, `4.50$`. A unit after it is allowed when it is the expected one, in any of its names; of cents, dollars are
 * read as a hundred.
 *
 * @returns null when the text is no number, or longer than any answer could be
 */
export function readRational(text: string, unit = ''): Rational | null {
	if (hasPowers(text)) return null;
	let rest = inPlainSigns(text).trim().toLowerCase();
	if (rest.length > LONGEST) return null;
	if (unit) rest = withoutUnit(rest, unit);
	const isDollars = /^[+-]?\s*\$|\$$/.test(rest);
	rest = rest
		.replace(/^([+-]?)\s*\$\s*(?=[-\d.])/, '$1')
		.replace(/\s*[$%]$/, '')
		.trim();
	const sign = rest.startsWith('-') ? -1 : 1;
	const value = readPositive(rest.replace(/^[+-]\s*/, ''));
	if (!value) return null;
	const times = isDollars && namesOfUnit(unit).includes('cents') ? 100 : 1;
	return rational(sign * times * value.numerator, value.denominator);
}

function readPositive(text: string): Rational | null {
	const mixed = /^(?:(\d{1,9})\s+(?:(?:and|&)\s+)?)?(\d{1,9})\s*\/\s*(\d{1,9})$/.exec(text);
	if (mixed) {
		const [, whole, top, bottom] = mixed;
		if (Number(bottom) === 0) return null;
		return rational(Number(whole ?? 0) * Number(bottom) + Number(top), Number(bottom));
	}
	const decimal = WHOLE.exec(DECIMAL_COMMA.test(text) ? text.replace(',', '.') : text);
	if (!decimal || (!decimal[1] && !decimal[2])) return null;
	const [, whole, digits = ''] = decimal;
	return rational(Number(whole.replace(/[, ]/g, '') + digits), 10 ** digits.length);
}
