import { type Draft, draftItem, type ItemFamily } from './family';
import type { Item } from './item';

/** Digits a student has to work with in a number: zeros at its ends are for free, as 300 is worked with like 3. */
const significantDigits = (number: string) => number.replace(/[,.]/g, '').replace(/^0+|0+$/g, '').length || 1;

/** Denominators that are tried for a number whose decimals do not end. */
const MOST_PARTS = 1_000;

/** A key as a student would write it: a place such as 13/12 is no number of sixteen digits. */
function written(key: Item['key']): string {
	if (typeof key !== 'number' || String(key).length <= LONGEST_DECIMAL) return String(key);
	for (let parts = 2; parts <= MOST_PARTS; parts++) {
		const whole = Math.round(key * parts);
		if (Math.abs(key * parts - whole) < 1e-9) return `${whole}/${parts}`;
	}
	return String(key);
}

/** Characters of a number that is written out; longer ones come of a division. */
const LONGEST_DECIMAL = 8;

/** Significant digits of all numbers in a question's text and key. */
function digitsIn({ stem, response, key }: Draft): number {
	const texts = [stem, ...('options' in response ? response.options : [written(key)])];
	const numbers = texts.flatMap((text) => text.match(/\d[\d,]*(?:\.\d+)?/g) ?? []);
	return numbers.reduce((sum, number) => sum + significantDigits(number), 0);
}

/** Items that tell what is usual in a family. */
const USUAL_FROM = 40;
const usual = new WeakMap<ItemFamily, number>();
/** Of items that were asked about: a sitting's are asked about again with each of its answers. */
const found = new WeakMap<Item, number>();

/**
 * By how many digits the numbers of an item are larger than usual in its family: the part of its difficulty that lies
 * in number size (see `startingParameters` in core/measurement).
 */
export function digitsBeyondUsual(family: ItemFamily, item: Item): number {
	let digits = found.get(item);
	if (digits === undefined) found.set(item, (digits = digitsIn(item) - usualDigits(family)));
	return digits;
}

function usualDigits(family: ItemFamily): number {
	let mean = usual.get(family);
	if (mean === undefined) {
		const digits = Array.from({ length: USUAL_FROM }, (_, seed) => digitsIn(draftItem(family, seed)));
		usual.set(family, (mean = digits.reduce((a, b) => a + b) / USUAL_FROM));
	}
	return mean;
}
