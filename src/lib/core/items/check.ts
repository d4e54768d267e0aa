import { isCollected, readTypedExpression } from './expression';
import { NOT_YET, type Answer, type AnswerForm, type Given, type Item } from './item';
import { rulesOf } from './kinds';

export interface Checked {
	correct: boolean;
	/** The wrong idea that produces exactly this answer, when one is known. */
	misconception: string | null;
	/** False when the answer cannot be read as an answer of the item's kind: ask again, do not count it. */
	readable: boolean;
}

const UNREADABLE: Checked = { correct: false, misconception: null, readable: false };

/** Of “I don’t know yet”: not right, and no wrong idea is shown. */
export const SAID_NOT_YET: Checked = { correct: false, misconception: null, readable: true };

type Checkable = Pick<Item, 'response' | 'key' | 'expectedErrors' | 'alsoRight'>;

/**
 * Judges an answer. Equal values in any form are equal (0.5, 1/2, .50; with or without the unit; terms in any order).
 * Never throws: what is no answer of the item's kind comes back as not readable.
 */
export function check(item: Checkable, answer: unknown): Checked {
	if (!isReadable(item, answer)) return UNREADABLE;
	const correct = [item.key, ...(item.alsoRight ?? [])].some((right) => sameAnswer(item, answer, right));
	if (correct) return { correct, misconception: null, readable: true };
	const error = item.expectedErrors.find((known) => sameAnswer(item, answer, known.answer));
	return {
		correct,
		misconception: error?.misconception ?? (isUncollected(item, answer) ? 'notCollected' : null),
		readable: true
	};
}

/** Whether a value is an answer of the item's kind at all. */
export function isReadable({ response }: Pick<Item, 'response'>, answer: unknown): answer is Answer {
	return rulesOf(response).isReadable(response, answer);
}

/** The form that an answer lacks which could be read but for it; null where there is none, or it cannot be read anyhow. */
export function formMissed({ response }: Pick<Item, 'response'>, answer: unknown): AnswerForm | null {
	if (!('form' in response) || !response.form || isReadable({ response }, answer)) return null;
	return isReadable({ response: { ...response, form: undefined } }, answer) ? response.form : null;
}

/** A readable answer written in the one way in which all are written that say the same. */
export function canonicalAnswer({ response }: Pick<Item, 'response'>, answer: Answer): string {
	return rulesOf(response).canonical(response, answer);
}

/** Whether two readable answers to an item say the same. */
export function sameAnswer(item: Pick<Item, 'response'>, a: Answer, b: Answer): boolean {
	return canonicalAnswer(item, a) === canonicalAnswer(item, b);
}

/** What was given in words, for a teacher's eyes. Texts may hold TeX between dollar signs. */
export function describeAnswer(item: Pick<Item, 'response'>, answer: Given): string {
	if (answer === null) return `“${NOT_YET}”`;
	return isReadable(item, answer) ? rulesOf(item.response).describe(item.response, answer) : String(answer);
}

/** Whether an expression has the key's value but is not multiplied out and collected as the key is. */
function isUncollected({ response, key }: Checkable, answer: Answer): boolean {
	if (response.kind !== 'expression') return false;
	const given = readTypedExpression(answer as string, response);
	const wanted = readTypedExpression(key as string, response);
	if (!given || !wanted || !isCollected(wanted) || isCollected(given)) return false;
	return sameAnswer({ response }, collectedForm(given), key as string);
}

/** An expression written multiplied out, as `readExpression` reads it. */
function collectedForm({ value }: NonNullable<ReturnType<typeof readTypedExpression>>): string {
	const terms = [...value].map(
		([term, { numerator, denominator }]) => `${numerator}/${denominator}${term ? `*${term.replaceAll(' ', '*')}` : ''}`
	);
	return terms.join('+').replaceAll('+-', '-') || '0';
}
