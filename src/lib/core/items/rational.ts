import type { AnswerForm } from './item';
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

/** A number as it was typed. */
export interface TypedNumber {
	value: Rational;
	/** The fraction that stands in it, without a whole number before it; null for a whole number or a decimal. */
	fraction: { top: number; bottom: number } | null;
	hasWhole: boolean;
	isDecimal: boolean;
	isPercent: boolean;
}

/**
 * Reads a typed number exactly: `12`, `1,200`, `1 200`, `0.5`, `.50`, `0,5`, `1/2`, `½`, `1 1/2`, `1 and 1/2`, `-3`, `$4.50`,
 * `4.50$`, `62.5%` (as 0.625, or as 62.5 where percent are asked for). A unit after it is allowed when it is the expected one, in
 * any of its names; of cents, dollars are read as a hundred.
 *
 * @returns null when the text is no number, or longer than any answer could be
 */
export function readNumber(text: string, unit = ''): TypedNumber | null {
	if (hasPowers(text)) return null;
	let rest = inPlainSigns(text).trim().toLowerCase();
	if (rest.length > LONGEST) return null;
	if (unit) rest = withoutUnit(rest, unit);
	const isPercent = rest.endsWith('%');
	const isDollars = /^[+-]?\s*\$|\$$/.test(rest);
	rest = rest
		.replace(/^([+-]?)\s*\$\s*(?=[-\d.])/, '$1')
		.replace(/\s*[$%]$/, '')
		.trim();
	const sign = rest.startsWith('-') ? -1 : 1;
	const read = readPositive(rest.replace(/^[+-]\s*/, ''));
	if (!read) return null;
	const times = isDollars && namesOfUnit(unit).includes('cents') ? 100 : 1;
	const { numerator, denominator } = read.value;
	return { ...read, value: rational(sign * times * numerator, isPercent ? 100 * denominator : denominator), isPercent };
}

/** The value of a typed number (`readNumber`); null when it is none. */
export const readRational = (text: string, unit?: string): Rational | null => readNumber(text, unit)?.value ?? null;

function readPositive(text: string): Omit<TypedNumber, 'isPercent'> | null {
	const mixed = /^(?:(\d{1,9})\s+(?:(?:and|&)\s+)?)?(\d{1,9})\s*\/\s*(\d{1,9})$/.exec(text);
	if (mixed) {
		const [whole, top, bottom] = mixed.slice(1).map((digits = '0') => Number(digits));
		if (bottom === 0) return null;
		const value = rational(whole * bottom + top, bottom);
		return { value, fraction: { top, bottom }, hasWhole: mixed[1] !== undefined, isDecimal: false };
	}
	const decimal = WHOLE.exec(DECIMAL_COMMA.test(text) ? text.replace(',', '.') : text);
	if (!decimal || (!decimal[1] && !decimal[2])) return null;
	const [, whole, digits = ''] = decimal;
	const value = rational(Number(whole.replace(/[, ]/g, '') + digits), 10 ** digits.length);
	return { value, fraction: null, hasWhole: false, isDecimal: value.denominator > 1 };
}

/** Whether a number stands in the form that is asked for. */
export function isInForm({ fraction, hasWhole, isDecimal, isPercent }: TypedNumber, form: AnswerForm): boolean {
	if (form === 'decimal') return !fraction && !isPercent;
	if (!fraction) return form === 'worked out' || (!isDecimal && !isPercent);
	const { top, bottom } = fraction;
	if (form === 'worked out') return top % bottom !== 0;
	const mayBeLarge = form === 'lowest terms' && !hasWhole;
	return commonDivisor(top, bottom) === 1 && bottom > 1 && (mayBeLarge || top < bottom);
}
