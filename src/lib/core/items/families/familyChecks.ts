import { describe, expect, it } from 'vitest';
import katex from 'katex';
import { check, figureInWords, misconceptionById, withoutKey, type Answer, type Item } from '..';
import { makeItem, type ItemFamily } from '../bank';
import { formatNumber } from '../text';

const SEEDS = Array.from({ length: 200 }, (_, seed) => seed);

/** Numbers as a reader of the text finds them, in order; a true minus sign makes them negative. */
export function numbersIn(text: string): number[] {
	return [
		...text
			.replaceAll(/(\d*)\\frac\{(\d+)\}\{(\d+)\}/g, ' $1 $2 $3 ')
			.replaceAll(/(?<=[($\s{|])-(?=\d)/g, '\u2212')
			.matchAll(/(?<![\w.])(\u2212)?(\d[\d,]*(?:\.\d+)?)/g)
	].map(([, minus, digits]) => Number(digits.replaceAll(',', '')) * (minus ? -1 : 1));
}

const minutesOf = (text: string) => {
	const [, hour, minute, half] = /(\d+):(\d+)(?: ([ap]))?/.exec(text)!;
	return (Number(hour) % 12) * 60 + Number(minute) + (half === 'p' ? 720 : 0);
};
/** Times of day in a text, in minutes. */
export const timesIn = (text: string) => [...text.matchAll(/\d+:\d+(?: [ap]\.m\.)?/g)].map(([one]) => minutesOf(one));
export const optionsOf = (item: Item) => ('options' in item.response ? item.response.options : []);
export const keyText = (item: Item) => optionsOf(item)[item.key as number];
/** A row of the item's table by the word at its left. */
export const rowOf = (item: Item, word: string) =>
	item.figure?.kind === 'table' ? item.figure.rows.find((row) => row[0].toLowerCase() === word.toLowerCase())! : [];
export const fractionIn = (text: string) => {
	const [top, bottom] = numbersIn(text);
	return top / bottom;
};
export const ascending = (values: number[]) => values.every((value, i) => i === 0 || values[i - 1] < value);
/** The options in the order of the key, as numbers. */
export const ordered = (item: Item, read: (text: string) => number) =>
	ascending((item.key as number[]).map((i) => read(optionsOf(item)[i])));
/** Whether exactly those options are marked right that the test holds for. */
export const marks = (item: Item, isRight: (text: string, index: number) => boolean) =>
	optionsOf(item).every((text, i) => isRight(text, i) === (item.key as number[]).includes(i));
/** The figure of an item, which must be of the kind. */
export function figureOf<Kind extends NonNullable<Item['figure']>['kind']>(item: Item, kind: Kind) {
	if (item.figure?.kind !== kind) throw new Error(`${item.familyId} has no ${kind}`);
	return item.figure as Extract<NonNullable<Item['figure']>, { kind: Kind }>;
}

/** An expression worked out for values of its letters, by the language itself. */
function valueOf(expression: string, letters: Record<string, number>): number {
	const code = expression
		.replace(/(\d)(?=[a-z(])/g, '$1*')
		.replace(/([a-z)])(?=[\d(a-z])/g, '$1*')
		.replaceAll('^', '**')
		.replace(/[a-z]/g, (letter) => `(${letters[letter]})`);
	return new Function(`return ${code}`)() as number;
}

/**
 * The right answer worked out anew from what a student reads: the numbers in the stem and the figure. A number or
 * numbers, a text that the right option must be, a test of the item, or a function of an expression's letters.
 */
type IndependentKey = (
	numbers: number[],
	item: Item
) => number | number[] | string | boolean | ((letters: Record<string, number>) => number);

function expectKey(item: Item, expected: ReturnType<IndependentKey>) {
	const { response, key, stem } = item;
	if (typeof expected === 'boolean') return expect(expected, stem).toBe(true);
	if (typeof expected === 'function') {
		for (const value of [2, 3, 7]) {
			const letters = { x: value, h: value + 1, t: value + 2, n: value };
			expect(valueOf(key as string, letters), stem).toBeCloseTo(expected(letters), 9);
		}
		return;
	}
	if (typeof expected === 'string') return expect(response.kind === 'text' ? key : keyText(item), stem).toBe(expected);
	if (Array.isArray(expected)) {
		const given = (key as (string | number)[]).map(Number);
		expect(given.length, stem).toBe(expected.length);
		return given.forEach((value, i) => expect(value, stem).toBeCloseTo(expected[i], 6));
	}
	const given =
		response.kind === 'choice'
			? numbersIn(keyText(item))[0]
			: response.kind === 'fraction'
				? fractionOf(key as string)
				: Number(key);
	expect(given, stem).toBeCloseTo(expected, 6);
}

function fractionOf(text: string): number {
	const [top, bottom = 1] = text.split('/').map(Number);
	return top / bottom;
}

/** Formulas that were rendered: the same come in many items. */
const rendered = new Set<string>();
function render(formula: string): void {
	if (rendered.has(formula)) return;
	katex.renderToString(formula, { throwOnError: true, output: 'mathml' });
	rendered.add(formula);
}

/** What must not stand in a text, with what it would be. */
const FAULTS: [RegExp, string][] = [
	[/undefined|NaN|null|\[object|Infinity|\d\.\d{7}/, 'leftovers of code'],
	[/\b1 (?:squares|parts|rows|spaces|minutes|hours|rods|cubes|bags|pairs|corners)\b/, 'a plural of one']
];

/** What is wrong with a text that a student reads; empty for nothing. */
function faultsOf(text: string): string[] {
	const parts = text.split('$');
	const formulas = parts.filter((_, i) => i % 2);
	formulas.forEach(render);
	const plain = parts.filter((_, i) => i % 2 === 0).join('');
	return [
		...FAULTS.filter(([pattern]) => pattern.test(text)).map(([, fault]) => fault),
		...(/(^|[\s(])-\d/.test(plain) ? ['no true minus sign'] : []),
		...(parts.length % 2 ? [] : ['a formula without an end'])
	];
}

const texts = (item: Item) => [item.stem, item.hint, ...item.solution, ...optionsOf(item)];

/** Statements such as `3 × 4 = 12` in a text, each with both its sides worked out. */
function statementsIn(text: string): { left: number; right: number; said: string }[] {
	const plain = text.replaceAll(/\$[^$]*\$/g, ' ~ ').replaceAll(',', '');
	const number = String.raw`\u2212?\d+(?:\.\d+)?`;
	const sum = String.raw`(?<![\d.~)%] ?|[+\u2212×÷] ?)${number}(?: [+\u2212×÷] ${number})+`;
	return [...plain.matchAll(new RegExp(`(${sum}) = (${number})(?! ?[+\u2212×÷\\d~%/])`, 'g'))].map(
		([said, left, right]) => ({
			said,
			left: valueOf(
				left
					.replaceAll(/(^|[+\u2212×÷] )\u2212(\d+(?:\.\d+)?)/g, '$1(0-$2)')
					.replaceAll('\u2212', '-')
					.replaceAll('×', '*')
					.replaceAll('÷', '/')
					.replaceAll(' ', ''),
				{}
			),
			right: Number(right.replace('\u2212', '-'))
		})
	);
}

/** Tests that every family must pass, with a key from an independent computation for each. */
export function checkFamilies(families: ItemFamily[], keys: Record<string, IndependentKey>): void {
	describe.each(families.map((family) => [family.id, family] as const))('family %s', (id, family) => {
		const items = SEEDS.map((seed) => makeItem(family, seed));

		it('has the key that an independent computation from the text gives', () => {
			for (const item of items) expectKey(item, keys[id](numbersIn(item.stem), item));
		});

		it('accepts its key and no expected error, and names each error’s misconception', () => {
			const judged = (item: Item, answer: Answer) => ({ of: item.stem, answer, ...check(item, answer) });
			expect(items.map((item) => judged(item, item.key))).toEqual(
				items.map(({ stem, key }) => ({ of: stem, answer: key, correct: true, misconception: null, readable: true }))
			);
			const errors = items.flatMap((item) => item.expectedErrors.map((error) => ({ item, ...error })));
			expect(errors.map(({ item, answer }) => judged(item, answer))).toEqual(
				errors.map(({ item: { stem }, answer, misconception }) => ({
					...{ of: stem, answer, correct: false, misconception, readable: true }
				}))
			);
			expect(errors.filter(({ misconception }) => misconceptionById(misconception) === null)).toEqual([]);
		});

		it('offers distinct options, at least three', () => {
			const offered = items.filter(({ response }) => 'options' in response).map(optionsOf);
			expect(offered.filter((options) => new Set(options).size < Math.max(3, options.length))).toEqual([]);
		});

		it('has text that renders, no leftovers of code in it, a hint and a solution', () => {
			const faults = items.flatMap((item) =>
				texts(item).flatMap((text) => faultsOf(text).map((fault) => [fault, text]))
			);
			expect(faults).toEqual([]);
			expect(Math.min(...items.map(({ hint }) => hint.length))).toBeGreaterThan(5);
			expect(Math.min(...items.map(({ solution }) => solution.length))).toBeGreaterThan(0);
			const figures = items.flatMap(({ figure, solutionFigure }) => [figure ?? [], solutionFigure ?? []].flat());
			const inWords = figures.flatMap((figure) => (figure.kind === 'table' ? [] : figureInWords(figure)));
			expect(inWords.filter((words) => !/^[A-Z0-9].{3,}\.$/.test(words))).toEqual([]);
		});

		it('says nothing untrue in its hint and solution, and comes to the key', () => {
			const said = items.flatMap(({ hint, solution, stem }) =>
				[hint, ...solution].flatMap((text) => statementsIn(text).map((statement) => ({ ...statement, stem })))
			);
			expect(said.filter(({ left, right }) => !(Math.abs(left - right) < 5e-7))).toEqual([]);
			const astray = items.filter(({ response, solution, key }) => {
				const end = solution.join(' ').replaceAll(',', '');
				return response.kind === 'number' && !end.includes(formatNumber(Number(key)).replaceAll(',', ''));
			});
			expect(astray).toEqual([]);
		});

		it('is answered in one kind, whatever the seed', () => {
			expect(new Set(items.map(({ response }) => response.kind)).size).toBe(1);
		});

		it('repeats itself from the same seed and makes no two of ten in a row alike', () => {
			const faces = items.map((item) => JSON.stringify([item.stem, item.figure, item.response]));
			expect(JSON.stringify(makeItem(family, 7))).toBe(JSON.stringify(items[7]));
			const alike = faces.filter((face, i) => faces.slice(Math.max(0, i - 9), i).includes(face));
			expect(alike).toEqual([]);
		});

		it('keeps the key out of what the student gets', () => {
			expect(Object.keys(withoutKey(items[0])).sort()).toEqual(['figure', 'response', 'stem']);
		});
	});
}
