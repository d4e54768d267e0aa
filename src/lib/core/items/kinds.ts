import { plural } from '../words';
import { isCollected, readTypedExpression } from './expression';
import type { Answer, AnswerForm, ResponseKind, SpecOf } from './item';
import { isInForm, readNumber, readRational } from './rational';
import { clockFace, formatNumber, tex } from './text';

/** How answers of one response kind are read, compared and told. */
interface KindRules<Kind extends ResponseKind, Given extends Answer> {
	/** Whether a value is an answer of this kind at all. */
	isReadable(response: SpecOf<Kind>, answer: unknown): answer is Given;
	/** A readable answer written in the one way in which all are written that say the same. */
	canonical(response: SpecOf<Kind>, answer: Given): string;
	/** An answer in words, for a teacher's eyes; texts may hold TeX between dollar signs. */
	describe(response: SpecOf<Kind>, answer: Given): string;
}

const isIndex = (value: unknown, length: number) =>
	Number.isInteger(value) && (value as number) >= 0 && (value as number) < length;
const isWhole = (value: unknown, low: number, high: number) =>
	Number.isInteger(value) && (value as number) >= low && (value as number) <= high;
const isListOf = (value: unknown, length: number): value is unknown[] =>
	Array.isArray(value) && value.length === length;
const ascending = (list: number[]) => [...list].sort((a, b) => a - b);
/** Whether an answer is a number in the form that is asked for. */
function isTypedNumber({ unit, form }: { unit?: string; form?: AnswerForm }, answer: unknown): answer is string {
	if (typeof answer !== 'string') return false;
	const read = readNumber(answer, unit);
	return read !== null && (!form || isInForm(read, form));
}

/** A typed number in lowest terms. */
function exactly(text: string, unit?: string): string {
	const { numerator, denominator } = readRational(text, unit)!;
	// A zero may have come with a minus sign.
	return `${numerator + 0}/${denominator}`;
}

/** A typed number with separators and a true minus sign; anything else as it was typed. */
const describeTyped = (text: string) => (/^-?\d+(\.\d{1,6})?$/.test(text) ? formatNumber(Number(text)) : text);

/** A typed fraction as one: `3/4`, `2 1/3`; a whole number as it is. */
function describeFraction(text: string): string {
	const parts = /^(-?)(?:(\d+)\s+)?(\d+)\/(\d+)$/.exec(text.trim());
	if (!parts) return describeTyped(text);
	const [, minus, whole, top, bottom] = parts;
	return `${minus ? '−' : ''}${whole ? `${whole} ` : ''}${tex(Number(top), Number(bottom))}`;
}

/** A place on a line as its ticks say it: a fraction where they divide a whole into parts, else a number. */
function describePlace(value: number, step: number): string {
	const parts = Math.round(1 / step);
	const count = Math.round(value * parts);
	const isFraction = step < 1 && parts !== 10 && parts !== 100 && Math.abs(parts * step - 1) < 1e-9;
	return isFraction && count % parts !== 0 ? tex(count, parts) : formatNumber(Math.round(value * 1e6) / 1e6);
}

/** A word as it is compared: lower case, no article, no full stop, no plural. */
const plainWord = (text: string) =>
	text
		.trim()
		.toLowerCase()
		.replace(/^(a|an|the)\s+/, '')
		.replace(/[.!]$/, '')
		.replace(/\s+/g, ' ')
		.replace(/s$/, '');

/** A value with its unit; signs such as ° and % stand close to it. */
const withUnit = (value: string, unit = '') => (/^\p{L}/u.test(unit) ? `${value} ${unit}` : value + unit);

/** A typed expression with room around its signs. */
const spaced = (text: string) =>
	text
		.replace(/\s+/g, '')
		.replace(/(?<=[^(*+-])([+-])/g, ' $1 ')
		.replace(/-/g, '−')
		.replace(/\*/g, ' × ');

const rules: { [Kind in ResponseKind]: KindRules<Kind, never> } = {
	choice: kind<'choice', number>({
		isReadable: ({ options }, answer): answer is number => isIndex(answer, options.length),
		canonical: (_, answer) => String(answer),
		describe: ({ options }, answer) => options[answer]
	}),
	several: kind<'several', number[]>({
		isReadable: ({ options }, answer): answer is number[] =>
			Array.isArray(answer) &&
			answer.length > 0 &&
			new Set(answer).size === answer.length &&
			answer.every((index) => isIndex(index, options.length)),
		canonical: (_, answer) => ascending(answer).join(),
		describe: ({ options }, answer) => answer.map((i) => options[i]).join('; ')
	}),
	order: kind<'order', number[]>({
		isReadable: ({ options }, answer): answer is number[] =>
			isListOf(answer, options.length) &&
			new Set(answer).size === options.length &&
			answer.every((index) => isIndex(index, options.length)),
		canonical: (_, answer) => answer.join(),
		describe: ({ options }, answer) => answer.map((i) => options[i]).join(', ')
	}),
	match: kind<'match', number[]>({
		isReadable: ({ left, options }, answer): answer is number[] =>
			isListOf(answer, left.length) &&
			new Set(answer).size === left.length &&
			answer.every((index) => isIndex(index, options.length)),
		canonical: (_, answer) => answer.join(),
		describe: ({ left, options }, answer) => answer.map((option, i) => `${left[i]}: ${options[option]}`).join('; ')
	}),
	number: kind<'number', string>({
		isReadable: isTypedNumber,
		canonical: ({ unit }, answer) => exactly(answer, unit),
		describe: ({ unit }, answer) => withUnit(describeTyped(answer), unit)
	}),
	fraction: kind<'fraction', string>({
		isReadable: isTypedNumber,
		canonical: ({ unit }, answer) => exactly(answer, unit),
		describe: ({ unit }, answer) => withUnit(describeFraction(answer), unit)
	}),
	expression: kind<'expression', string>({
		isReadable: (response, answer): answer is string =>
			typeof answer === 'string' && readTypedExpression(answer, response) !== null,
		canonical(response, answer) {
			const reading = readTypedExpression(answer, response)!;
			const terms = [...reading.value].map(
				([term, { numerator, denominator }]) => `${numerator}/${denominator} ${term}`
			);
			return [isCollected(reading) ? 'collected' : 'not collected', ...terms.sort()].join();
		},
		describe: (_, answer) => spaced(answer)
	}),
	text: kind<'text', string>({
		isReadable: (_, answer): answer is string =>
			typeof answer === 'string' && /\p{L}/u.test(answer) && answer.length <= 40,
		canonical: (_, answer) => plainWord(answer),
		describe: (_, answer) => answer
	}),
	fill: kind<'fill', string[]>({
		isReadable: ({ blanks, form }, answer): answer is string[] =>
			isListOf(answer, blanks.length) && answer.every((text) => isTypedNumber({ form }, text)),
		canonical: (_, answer) => answer.map((text) => exactly(text)).join(),
		describe: ({ blanks }, answer) =>
			blanks
				.map(({ before, after }, i) => `${before} ${describeTyped(answer[i])} ${after}`.trim())
				.join(blanks.some(({ after }) => after) ? ' ' : ', ')
	}),
	line: kind<'line', number>({
		isReadable: ({ from, to }, answer): answer is number =>
			typeof answer === 'number' && answer >= from && answer <= to,
		canonical: ({ from, step }, answer) => String(Math.round((answer - from) / step)),
		describe: ({ step }, answer) => describePlace(answer, step)
	}),
	shade: kind<'shade', number>({
		isReadable: ({ rows, columns }, answer): answer is number => isWhole(answer, 1, rows * columns),
		canonical: (_, answer) => String(answer),
		describe: ({ rows, columns }, answer) => `${answer} of ${rows * columns} parts`
	}),
	rectangle: kind<'rectangle', number[]>({
		isReadable: ({ rows, columns }, answer): answer is number[] =>
			isListOf(answer, 2) && isWhole(answer[0], 1, rows) && isWhole(answer[1], 1, columns),
		canonical: (_, answer) => answer.join(),
		describe: (_, [rows, columns]) => `${plural(rows, 'row')} of ${plural(columns, 'square')}`
	}),
	clock: kind<'clock', number>({
		isReadable: (_, answer): answer is number => isWhole(answer, 0, 719),
		canonical: (_, answer) => String(answer),
		describe: (_, answer) => clockFace(answer)
	}),
	plot: kind<'plot', number[]>({
		isReadable: ({ from, to }, answer): answer is number[] =>
			isListOf(answer, 2) && answer.every((value) => isWhole(value, from, to)),
		canonical: (_, answer) => answer.join(),
		describe: (_, [x, y]) => `(${formatNumber(x)}, ${formatNumber(y)})`
	})
};

/** Lets the table hold rules of different answers; `rulesOf` gives them back only with what was found readable. */
function kind<Kind extends ResponseKind, Given extends Answer>(one: KindRules<Kind, Given>): KindRules<Kind, never> {
	return one as unknown as KindRules<Kind, never>;
}

/** The rules of a response's kind, for answers that its `isReadable` has let through. */
export function rulesOf(response: SpecOf<ResponseKind>): KindRules<ResponseKind, Answer> {
	return rules[response.kind] as unknown as KindRules<ResponseKind, Answer>;
}
