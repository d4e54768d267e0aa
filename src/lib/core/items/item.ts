import type { ResponseFormat } from '../measurement';
import type { Figure } from './figure';
import type { MisconceptionId } from './misconceptions';

/**
 * How a number is to be written. Another form of it is asked for again, whatever its value, and counts as no try: `worked
 * out` is no quotient that is a whole number, such as 36/9; `decimal` no fraction and no percent; `lowest terms` a whole number or
 * a fraction that cannot be reduced; `mixed number` such a fraction under 1, after a whole number where there is one.
 */
export type AnswerForm = 'worked out' | 'decimal' | 'lowest terms' | 'mixed number';

/** How an item is answered. Texts may hold TeX between dollar signs. */
export type ResponseSpec =
	| { kind: 'choice'; options: string[] }
	| { kind: 'several'; options: string[] }
	| { kind: 'order'; options: string[]; direction: string }
	/** Each of `left` goes with one of `options`, each of these with one at most. */
	| { kind: 'match'; left: string[]; options: string[] }
	| { kind: 'number'; unit?: string; form?: AnswerForm }
	/** `mixed` offers a place for a whole number before the fraction. */
	| { kind: 'fraction'; mixed?: boolean; unit?: string; form?: AnswerForm }
	/** `letters` are those of its keyboard; `before` stands before the field, such as `y =`. */
	| { kind: 'expression'; letters: string[]; before?: string }
	| { kind: 'text' }
	/** Numbers for several blanks, each between two texts. */
	| { kind: 'fill'; blanks: { before: string; after: string }[]; form?: AnswerForm }
	| { kind: 'line'; from: number; to: number; step: number; labelEvery: number }
	/** A grid of parts to shade; which parts does not matter. */
	| { kind: 'shade'; rows: number; columns: number }
	/** A rectangle of unit squares to build, rows by columns. */
	| { kind: 'rectangle'; rows: number; columns: number }
	/** Clock hands to set; an answer is minutes after 12. */
	| { kind: 'clock'; step: 1 | 5 | 30 }
	| { kind: 'plot'; from: number; to: number; segments?: [number, number, number, number][] };

export type ResponseKind = ResponseSpec['kind'];
export type SpecOf<Kind extends ResponseKind> = Extract<ResponseSpec, { kind: Kind }>;

/**
 * A student's answer: an option's index, indexes of several options or in a chosen order, the option for each of
 * `left`, typed text or texts, a place on the line, how many parts are shaded, rows and columns, minutes after 12, or
 * a point's two coordinates.
 */
export type Answer = number | number[] | string | string[];

/** What a student gave to a question: an answer, or null for “I don’t know yet”. */
export type Given = Answer | null;

/** Stages of a hint that can stand beside a second try: the hint, then a worked example like it. */
export const HINT_STAGES = 2;

/** “I don’t know yet”, in the words of the button that says it. */
export const NOT_YET = 'I don’t know yet';

/** A question as the student may see it: nothing in it gives the key away. */
export interface PublicItem {
	stem: string;
	figure?: Figure;
	response: ResponseSpec;
}

/** A question ready to show: its texts as safe HTML. */
export interface ShownItem extends PublicItem {
	stemHtml: string;
	optionsHtml: string[];
	leftHtml: string[];
}

/** A question with all that a teacher, and feedback, need. */
export interface Item extends PublicItem {
	familyId: string;
	/** Of the family's questions when this one was made (editions.json). */
	edition: number;
	skillCode: string;
	seed: number;
	key: Answer;
	/** Other answers that are right: texts that say the same as a key of kind text, and what was accepted since. */
	alsoRight?: Answer[];
	/** Wrong answers that a known wrong idea produces. */
	expectedErrors: { answer: Answer; misconception: MisconceptionId }[];
	hint: string;
	solution: string[];
	/** Drawn with the solution, where a picture says more than another sentence. */
	solutionFigure?: Figure;
}

/** What a question that was asked is found again by. */
export type ItemKey = Pick<Item, 'familyId' | 'seed' | 'edition'>;

/** The part of a response that difficulty and luck depend on. */
export function formatOf(response: ResponseSpec): ResponseFormat {
	return 'options' in response ? { kind: response.kind, options: response.options.length } : { kind: response.kind };
}

/** The item without key, hint, solution and misconceptions. */
export function withoutKey({ stem, figure, response }: PublicItem): PublicItem {
	return { stem, figure, response };
}

/** What an item is made from. */
export interface ItemSeed {
	familyId: string;
	skillCode: string;
	seed: number;
}
