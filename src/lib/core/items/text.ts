import { plural } from '../words';
const plain = new Intl.NumberFormat('en-US', { maximumFractionDigits: 6 });

/** A number as students read it: separators in thousands, a true minus sign. */
export function formatNumber(value: number): string {
	return plain.format(value).replace('-', '−');
}

/** A fraction as TeX. */
export function tex(numerator: number, denominator: number): string {
	return `$\\frac{${numerator}}{${denominator}}$`;
}

/** A time of day from minutes after midnight: `2:05 p.m.` */
export function clockTime(minutes: number): string {
	const hour = Math.floor(minutes / 60) % 24;
	const shown = hour % 12 === 0 ? 12 : hour % 12;
	return `${shown}:${String(minutes % 60).padStart(2, '0')} ${hour < 12 ? 'a.m.' : 'p.m.'}`;
}

/** Minutes in words: `1 hour 5 minutes`. */
export function duration(minutes: number): string {
	const hours = Math.floor(minutes / 60);
	const rest = minutes % 60;
	const parts = [hours && plural(hours, 'hour'), rest && plural(rest, 'minute')];
	return parts.filter(Boolean).join(' ');
}

/** Minutes after 12 as a clock face shows them: `4:05`. */
export function clockFace(minutes: number): string {
	return `${Math.floor(minutes / 60) || 12}:${String(minutes % 60).padStart(2, '0')}`;
}

/** A count with its word: `1 part`, `3 parts`. */
export function counted(count: number, one: string, many = `${one}s`): string {
	return `${formatNumber(count)} ${count === 1 ? one : many}`;
}

const SMALL =
	'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen seventeen eighteen nineteen'.split(
		' '
	);
const TENS = ['', '', 'twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** A whole number under a million in words: `forty-two thousand seven`. */
export function numberInWords(number: number): string {
	if (number >= 1_000) {
		const rest = number % 1_000;
		return `${numberInWords(Math.floor(number / 1_000))} thousand${rest ? ` ${numberInWords(rest)}` : ''}`;
	}
	if (number >= 100) {
		const rest = number % 100;
		return `${SMALL[Math.floor(number / 100)]} hundred${rest ? ` ${numberInWords(rest)}` : ''}`;
	}
	if (number < 20) return SMALL[number];
	return `${TENS[Math.floor(number / 10)]}${number % 10 ? `-${SMALL[number % 10]}` : ''}`;
}

/** What equal parts of a whole are called, by how many there are. */
export const partNames: Record<number, string> = {
	2: 'halves',
	3: 'thirds',
	4: 'fourths',
	5: 'fifths',
	6: 'sixths',
	8: 'eighths',
	10: 'tenths',
	12: 'twelfths'
};

/** A number as it is added in TeX: `+ 3`, `- 3`. */
export function signed(value: number): string {
	return value < 0 ? `- ${-value}` : `+ ${value}`;
}

/** An amount of dollars as it is written: whole, or with two places for the cents. */
export function money(dollars: number): string {
	const cents = Math.round(dollars * 100) / 100;
	return Number.isInteger(cents) ? formatNumber(cents) : cents.toFixed(2).replace(/\B(?=(\d{3})+\.)/g, ',');
}

/** Rounds away what binary fractions add to decimals. */
export const exact = (value: number) => Math.round(value * 1e6) / 1e6;

const SPOKEN: [RegExp, string][] = [
	[/(\d+)\\frac\{([^}]*)\}\{([^}]*)\}/g, '$1 and $2 over $3'],
	[/\\frac\{([^}]*)\}\{([^}]*)\}/g, '$1 over $2'],
	[/\\sqrt\{([^}]*)\}/g, 'square root of $1'],
	[/\^\{?(-?\w+)\}?/g, ' to the power $1'],
	[/\\times|\\cdot/g, ' times '],
	[/\\div/g, ' divided by '],
	[/\\le\b/g, ' is at most '],
	[/\\ge\b/g, ' is at least '],
	[/</g, ' is less than '],
	[/>/g, ' is more than '],
	[/=/g, ' equals '],
	[/\+/g, ' plus '],
	[/-/g, ' minus ']
];

/** A text with its formulas in words, for those who listen: `$\frac{3}{4}$` is `3 over 4`. */
export function inWords(text: string): string {
	return text
		.split('$')
		.map((part, i) => (i % 2 ? SPOKEN.reduce((said, [pattern, words]) => said.replace(pattern, words), part) : part))
		.join('')
		.replace(/[{}\\]/g, '')
		.replace(/ +/g, ' ')
		.trim();
}
