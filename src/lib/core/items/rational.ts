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

const MINUS = /[\u2212\u2013]/g;

/**
 * Reads a typed number exactly: `12`, `1,200`, `0.5`, `.50`, `1/2`, `1 1/2`, `-3`, `50%` (as 50). A unit after it is
 * allowed when it is the expected one.
 *
 * @returns null when the text is no number, or longer than any answer could be
 */
export function readRational(text: string, unit = ''): Rational | null {
	let rest = text.replace(MINUS, '-').trim().toLowerCase();
	if (rest.length > 40) return null;
	if (unit && rest.endsWith(unit.toLowerCase())) rest = rest.slice(0, -unit.length).trim();
	rest = rest.replace(/^\$/, '').replace(/%$/, '').trim();
	const sign = rest.startsWith('-') ? -1 : 1;
	rest = rest.replace(/^[+-]\s*/, '');
	const mixed = /^(?:(\d{1,9})\s+)?(\d{1,9})\s*\/\s*(\d{1,9})$/.exec(rest);
	if (mixed) {
		const [, whole, top, bottom] = mixed;
		if (Number(bottom) === 0) return null;
		return rational(sign * (Number(whole ?? 0) * Number(bottom) + Number(top)), Number(bottom));
	}
	const decimal = /^(\d{1,3}(?:,\d{3})+|\d{0,9})(?:\.(\d{1,6}))?\.?$/.exec(rest);
	if (!decimal || (!decimal[1] && !decimal[2])) return null;
	const [, whole, digits = ''] = decimal;
	return rational(sign * Number(whole.replaceAll(',', '') + digits), 10 ** digits.length);
}
