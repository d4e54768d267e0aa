import { seededRandom, seedFrom, type Random } from '../random';
import { formatNumber } from './text';
import type { MisconceptionId } from './misconceptions';
import { isReadable, sameAnswer } from './check';
import type { Figure, Item, ResponseSpec } from './item';

type Draft = Omit<Item, 'familyId' | 'skillCode' | 'seed'>;

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

/** The item a family makes from a seed. The same seed always makes the same item. */
export function makeItem(family: ItemFamily, seed: number): Item {
	const turning = (low: number, high: number) => low + (Math.abs(seed) % (high - low + 1));
	const draft = family.make({ random: seededRandom(seedFrom(family.id, seed)), turning });
	return { familyId: family.id, skillCode: family.skillCode, seed, ...draft, expectedErrors: tellingErrors(draft) };
}

/** Expected errors that can be told apart: wrong, readable, and each answer from the first wrong idea that gives it. */
function tellingErrors({ response, key, expectedErrors }: Draft): Item['expectedErrors'] {
	const telling: Item['expectedErrors'] = [];
	for (const error of expectedErrors) {
		if (!isReadable({ response }, error.answer) || sameAnswer({ response }, error.answer, key)) continue;
		if (telling.every((earlier) => !sameAnswer({ response }, earlier.answer, error.answer))) telling.push(error);
	}
	return telling;
}

interface Common {
	stem: string;
	figure?: Figure;
	hint: string;
	solution: string[];
}

/** Wrong values with the wrong idea that gives each. */
type WrongNumbers = [value: number, misconception: MisconceptionId][];

/** An item answered by typing a number. */
export function numberItem(spec: Common & { key: number; unit?: string; wrong: WrongNumbers }): Draft {
	const { key, unit, wrong, ...common } = spec;
	return {
		...common,
		response: { kind: 'number', unit },
		key: String(key),
		expectedErrors: wrong.map(([value, misconception]) => ({ answer: String(value), misconception }))
	};
}

/** An item answered by typing a fraction. `wrong` are fractions as typed. */
export function fractionItem(
	spec: Common & { key: [number, number]; wrong: [number, number, MisconceptionId][] }
): Draft {
	const { key, wrong, ...common } = spec;
	return {
		...common,
		response: { kind: 'fraction' },
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

/** Keeps the first of equal texts. */
function distinct<M>(pairs: [string, M][]): { answer: string; misconception: M }[] {
	const seen = new Set<string>();
	return pairs
		.filter(([answer]) => !seen.has(answer) && seen.add(answer))
		.map(([answer, misconception]) => ({ answer, misconception }));
}
