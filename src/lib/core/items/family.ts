import { seededRandom, seedFrom, type Random } from '../random';
import { formatNumber } from './text';
import type { MisconceptionId } from './misconceptions';
import { editionOf } from './editions';
import { canonicalAnswer, isReadable } from './check';
import type { Figure } from './figure';
import type { Answer, AnswerForm, Item, ResponseSpec, SpecOf } from './item';

/** What is asked and what is right, with expected errors as the family foresees them. */
export type Draft = Omit<Item, 'familyId' | 'edition' | 'skillCode' | 'seed'>;

/** What a family is given to make one item from. */
export interface Draw {
	random: Random;
	/** A whole number from low to high that differs in any ten items in a row; the range must hold ten numbers. */
	turning(low: number, high: number): number;
}

/** Makes endless items for one skill, each from a seed. */
export interface ItemFamily {
	id: string;
	skillCode: string;
	make(draw: Draw): Draft;
}

/** A family of items for a skill. */
export function family(skillCode: string, id: string, make: ItemFamily['make']): ItemFamily {
	return { id, skillCode, make };
}

/** What a family makes from a seed, for what looks at the question alone: an item takes half as long again. */
export function draftItem(family: ItemFamily, seed: number): Draft {
	const turning = (low: number, high: number) => low + (Math.abs(seed) % (high - low + 1));
	return family.make({ random: seededRandom(seedFrom(family.id, seed)), turning });
}

/** The item a family makes from a seed. The same seed always makes the same item. */
export function makeItem(family: ItemFamily, seed: number): Item {
	const draft = draftItem(family, seed);
	const { id: familyId, skillCode } = family;
	const edition = editionOf(familyId);
	return { familyId, edition, skillCode, seed, ...draft, expectedErrors: tellingErrors(draft) };
}

/** Expected errors that can be told apart: wrong, readable, and each answer from the first wrong idea that gives it. */
function tellingErrors({ response, key, expectedErrors }: Draft): Item['expectedErrors'] {
	const told = new Set([canonicalAnswer({ response }, key)]);
	return expectedErrors.filter(({ answer }) => {
		if (!isReadable({ response }, answer)) return false;
		const says = canonicalAnswer({ response }, answer);
		return !told.has(says) && told.add(says);
	});
}

interface Common {
	stem: string;
	figure?: Figure;
	hint: string;
	solution: string[];
	solutionFigure?: Figure;
}

/** Wrong values with the wrong idea that gives each. */
type WrongNumbers = [value: number, misconception: MisconceptionId][];

/** An item answered by typing a number, worked out where no other form is asked for. */
export function numberItem(
	spec: Common & { key: number; unit?: string; form?: AnswerForm; wrong: WrongNumbers }
): Draft {
	const { key, unit, form = 'worked out', wrong, ...common } = spec;
	return {
		...common,
		response: { kind: 'number', unit, form },
		key: String(key),
		expectedErrors: wrong.map(([value, misconception]) => ({ answer: String(value), misconception }))
	};
}

/** An item answered by typing a fraction. `wrong` are fractions as typed. */
export function fractionItem(
	spec: Common & {
		key: [number, number];
		wrong: [number, number, MisconceptionId][];
		mixed?: boolean;
		unit?: string;
	}
): Draft {
	const { key, wrong, mixed, unit, ...common } = spec;
	return {
		...common,
		response: { kind: 'fraction', ...(mixed ? { mixed } : {}), ...(unit ? { unit } : {}) },
		key: `${key[0]}/${key[1]}`,
		expectedErrors: wrong.map(([top, bottom, misconception]) => ({ answer: `${top}/${bottom}`, misconception }))
	};
}

/**
 * An item answered by choosing one option. Options equal to the right one, or to each other, are left out; the first
 * three wrong ones that remain are shown.
 */
export function choiceItem(
	random: Random,
	spec: Common & { right: string; wrong: [text: string, misconception: MisconceptionId | null][] }
): Draft {
	const { right, wrong, ...common } = spec;
	const others = distinct(wrong.filter(([text]) => text !== right)).slice(0, 3);
	const order = random.shuffle([{ answer: right, misconception: null as MisconceptionId | null }, ...others]);
	const options = order.map(({ answer }) => answer);
	return {
		...common,
		response: { kind: 'choice', options },
		key: options.indexOf(right),
		expectedErrors: order.flatMap(({ misconception }, index) =>
			misconception ? [{ answer: index, misconception }] : []
		)
	};
}

/** A choice among numbers, shown with separators. */
export function numberChoice(
	random: Random,
	spec: Common & { key: number; unit?: string; wrong: WrongNumbers }
): Draft {
	const { key, unit, wrong, ...common } = spec;
	const show = (value: number) => (unit ? `${formatNumber(value)} ${unit}` : formatNumber(value));
	const sensible = wrong.filter(([value]) => value >= 0 || key < 0);
	return choiceItem(random, { ...common, right: show(key), wrong: sensible.map(([value, m]) => [show(value), m]) });
}

/** An item answered by marking every option that is true. */
export function severalItem(
	random: Random,
	spec: Common & { options: { text: string; right: boolean; misconception?: MisconceptionId }[] }
): Draft {
	const { options, ...common } = spec;
	const order = random.shuffle(options);
	const key = order.flatMap(({ right }, i) => (right ? [i] : []));
	return {
		...common,
		response: { kind: 'several', options: order.map(({ text }) => text) },
		key,
		expectedErrors: order.flatMap(({ right, misconception }, i) =>
			!right && misconception ? [{ answer: [...key, i], misconception }] : []
		)
	};
}

/** An item answered by putting options in order. `sorted` is the right order; `misordered`, orders of wrong ideas. */
export function orderItem(
	random: Random,
	spec: Common & {
		sorted: string[];
		direction: string;
		misordered?: [order: string[], misconception: MisconceptionId][];
	}
): Draft {
	const { sorted, direction, misordered = [], ...common } = spec;
	let options = random.shuffle(sorted);
	if (options.every((text, i) => text === sorted[i])) options = [...options].reverse();
	const indexes = (texts: string[]) => texts.map((text) => options.indexOf(text));
	return {
		...common,
		response: { kind: 'order', options, direction },
		key: indexes(sorted),
		expectedErrors: misordered.map(([order, misconception]) => ({ answer: indexes(order), misconception }))
	};
}

/** An item answered by marking a place on a number line. */
export function lineItem(
	spec: Common & { line: Omit<Extract<ResponseSpec, { kind: 'line' }>, 'kind'>; key: number; wrong: WrongNumbers }
): Draft {
	const { line, key, wrong, ...common } = spec;
	return {
		...common,
		response: { kind: 'line', ...line },
		key,
		expectedErrors: wrong.map(([answer, misconception]) => ({ answer, misconception }))
	};
}

/** An item whose answer is a list of whole numbers or one number, given as it is. */
type Placed = Common & { wrong: [answer: Answer, misconception: MisconceptionId][] };
const expected = (wrong: Placed['wrong']) => wrong.map(([answer, misconception]) => ({ answer, misconception }));

/** An item answered by shading so many parts of a grid. */
export function shadeItem(spec: Placed & { rows: number; columns: number; key: number }): Draft {
	const { rows, columns, key, wrong, ...common } = spec;
	return { ...common, response: { kind: 'shade', rows, columns }, key, expectedErrors: expected(wrong) };
}

/** An item answered by building a rectangle of rows and columns of unit squares. */
export function rectangleItem(spec: Placed & { rows: number; columns: number; key: [number, number] }): Draft {
	const { rows, columns, key, wrong, ...common } = spec;
	return { ...common, response: { kind: 'rectangle', rows, columns }, key, expectedErrors: expected(wrong) };
}

/** An item answered by setting the hands of a clock; key and wrong answers are minutes after 12, from any hour. */
export function clockItem(spec: Common & { step: 1 | 5 | 30; key: number; wrong: WrongNumbers }): Draft {
	const { step, key, wrong, ...common } = spec;
	const onFace = (minutes: number) => ((Math.round(minutes) % 720) + 720) % 720;
	return {
		...common,
		response: { kind: 'clock', step },
		key: onFace(key),
		expectedErrors: wrong.map(([minutes, misconception]) => ({ answer: onFace(minutes), misconception }))
	};
}

/** An item answered by plotting a point. */
export function plotItem(
	spec: Common & {
		plane: Omit<SpecOf<'plot'>, 'kind'>;
		key: [number, number];
		wrong: [[number, number], MisconceptionId][];
	}
): Draft {
	const { plane, key, wrong, ...common } = spec;
	return { ...common, response: { kind: 'plot', ...plane }, key, expectedErrors: expected(wrong) };
}

/** An item answered by typing an expression, compared as it stands multiplied out, or not, like the key. */
export function expressionItem(
	spec: Common & { letters: string[]; before?: string; key: string; wrong: [string, MisconceptionId][] }
): Draft {
	const { letters, before, key, wrong, ...common } = spec;
	return {
		...common,
		response: { kind: 'expression', letters, ...(before ? { before } : {}) },
		key,
		expectedErrors: expected(wrong)
	};
}

/** An item answered by typing a word. */
export function textItem(
	spec: Common & { key: string; alsoRight?: string[]; wrong: [string, MisconceptionId][] }
): Draft {
	const { key, wrong, ...common } = spec;
	return { ...common, response: { kind: 'text' }, key, expectedErrors: expected(wrong) };
}

/** An item answered by filling several blanks with numbers. `wrong` gives all blanks. */
export function fillItem(
	spec: Common & { blanks: [before: string, key: number, after?: string][]; wrong: [number[], MisconceptionId][] }
): Draft {
	const { blanks, wrong, ...common } = spec;
	return {
		...common,
		response: { kind: 'fill', blanks: blanks.map(([before, , after = '']) => ({ before, after })), form: 'worked out' },
		key: blanks.map(([, key]) => String(key)),
		expectedErrors: wrong.map(([values, misconception]) => ({ answer: values.map(String), misconception }))
	};
}

/** An item answered by matching each text at the left with one at the right. `wrong` gives the right texts in turn. */
export function matchItem(
	random: Random,
	spec: Common & { pairs: [left: string, right: string][]; wrong: [right: string[], misconception: MisconceptionId][] }
): Draft {
	const { pairs, wrong, ...common } = spec;
	const left = pairs.map(([text]) => text);
	const right = pairs.map(([, text]) => text);
	let options = random.shuffle(right);
	if (options.every((text, i) => text === right[i])) options = [...options.slice(1), options[0]];
	const indexes = (texts: string[]) => texts.map((text) => options.indexOf(text));
	return {
		...common,
		response: { kind: 'match', left, options },
		key: indexes(right),
		expectedErrors: wrong.map(([texts, misconception]) => ({ answer: indexes(texts), misconception }))
	};
}

/** Keeps the first of equal texts. */
function distinct<M>(pairs: [string, M][]): { answer: string; misconception: M }[] {
	const seen = new Set<string>();
	return pairs
		.filter(([answer]) => !seen.has(answer) && seen.add(answer))
		.map(([answer, misconception]) => ({ answer, misconception }));
}
