import type { Answer, Item } from './item';
import { equalRationals, readRational } from './rational';
import { formatNumber, tex } from './text';

export interface Checked {
	correct: boolean;
	/** The wrong idea that produces exactly this answer, when one is known. */
	misconception: string | null;
	/** False when the answer cannot be read as an answer of the item's kind: ask again, do not count it. */
	readable: boolean;
}

const UNREADABLE: Checked = { correct: false, misconception: null, readable: false };

/**
 * Judges an answer. Equal values in any form are equal (0.5, 1/2, .50; with or without the unit). Never throws: what
 * is no answer of the item's kind comes back as not readable.
 */
export function check(item: Pick<Item, 'response' | 'key' | 'expectedErrors'>, answer: unknown): Checked {
	if (!isReadable(item, answer)) return UNREADABLE;
	const correct = sameAnswer(item, answer, item.key);
	const error = correct ? undefined : item.expectedErrors.find((known) => sameAnswer(item, answer, known.answer));
	return { correct, misconception: error?.misconception ?? null, readable: true };
}

/** Whether a value is an answer of the item's kind at all. */
export function isReadable({ response }: Pick<Item, 'response'>, answer: unknown): answer is Answer {
	const isIndex = (value: unknown, length: number) =>
		Number.isInteger(value) && (value as number) >= 0 && (value as number) < length;
	switch (response.kind) {
		case 'choice':
			return isIndex(answer, response.options.length);
		case 'several':
		case 'order': {
			const { length } = response.options;
			if (!Array.isArray(answer) || answer.length > length || new Set(answer).size !== answer.length) return false;
			return (
				answer.every((index) => isIndex(index, length)) &&
				(response.kind === 'several' ? answer.length > 0 : answer.length === length)
			);
		}
		case 'line':
			return typeof answer === 'number' && answer >= response.from && answer <= response.to;
		case 'number':
			return typeof answer === 'string' && readRational(answer, response.unit) !== null;
		case 'fraction':
			return typeof answer === 'string' && readRational(answer) !== null;
	}
}

/** Whether two readable answers to an item say the same. */
export function sameAnswer({ response }: Pick<Item, 'response'>, a: Answer, b: Answer): boolean {
	switch (response.kind) {
		case 'choice':
			return a === b;
		case 'several':
			return sameList([...(a as number[])].sort(), [...(b as number[])].sort());
		case 'order':
			return sameList(a as number[], b as number[]);
		case 'line':
			return Math.abs((a as number) - (b as number)) < response.step / 2;
		case 'number':
		case 'fraction': {
			const unit = response.kind === 'number' ? response.unit : undefined;
			const [left, right] = [readRational(a as string, unit), readRational(b as string, unit)];
			return left !== null && right !== null && equalRationals(left, right);
		}
	}
}

const sameList = (a: number[], b: number[]) => a.length === b.length && a.every((value, i) => value === b[i]);

/** A typed number with separators and a true minus sign; anything else as it was typed. */
const describeTyped = (answer: Answer) =>
	/^-?\d+(\.\d{1,6})?$/.test(String(answer)) ? formatNumber(Number(answer)) : String(answer);

/** A place on a line as its ticks say it: a fraction where they divide a whole into parts, else a number. */
function describePlace(value: number, step: number): string {
	const parts = Math.round(1 / step);
	const count = Math.round(value * parts);
	const isFraction = step < 1 && parts !== 10 && parts !== 100 && Math.abs(parts * step - 1) < 1e-9;
	return isFraction && count % parts !== 0 ? tex(count, parts) : formatNumber(value);
}

/** An answer in words, for a teacher's eyes. Texts may hold TeX between dollar signs. */
export function describeAnswer({ response }: Pick<Item, 'response'>, answer: Answer): string {
	switch (response.kind) {
		case 'choice':
			return response.options[answer as number] ?? '';
		case 'several':
			return (answer as number[]).map((i) => response.options[i]).join('; ');
		case 'order':
			return (answer as number[]).map((i) => response.options[i]).join(', ');
		case 'line':
			return describePlace(answer as number, response.step);
		case 'number':
			return response.unit ? `${describeTyped(answer)} ${response.unit}` : describeTyped(answer);
		default:
			return String(answer);
	}
}
