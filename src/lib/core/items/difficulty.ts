import { makeItem, type ItemFamily } from './family';
import type { Item } from './item';

/** Digits a student has to work with in a number: zeros at its ends are for free, as 300 is worked with like 3. */
const significantDigits = (number: string) => number.replace(/[,.]/g, '').replace(/^0+|0+$/g, '').length || 1;

/** Significant digits of all numbers in a question's text and key. */
function digitsIn({ stem, response, key }: Item): number {
	const texts = [stem, ...('options' in response ? response.options : [String(key)])];
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
		const digits = Array.from({ length: USUAL_FROM }, (_, seed) => digitsIn(makeItem(family, seed)));
		usual.set(family, (mean = digits.reduce((a, b) => a + b) / USUAL_FROM));
	}
	return mean;
}
