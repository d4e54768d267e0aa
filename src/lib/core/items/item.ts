import type { MisconceptionId } from './misconceptions';
import type { ResponseFormat } from '../measurement';

/** What is drawn beside a question. Each carries all that is needed to draw it and to read it aloud. */
export type Figure =
	| { kind: 'table'; head: string[]; rows: string[][] }
	| { kind: 'bars'; labels: string[]; values: number[]; unit: string; step: number }
	| { kind: 'ruler'; from: number; to: number; unit: string }
	| { kind: 'clock'; hour: number; minute: number }
	| { kind: 'strip'; parts: number; shaded: number }
	| { kind: 'rectangle'; width: number; height: number; unit: string; squares: boolean }
	| { kind: 'corner'; width: number; height: number; cutWidth: number; cutHeight: number; unit: string }
	| { kind: 'triangle'; base: number; height: number; unit: string }
	| { kind: 'angle'; first: number; second: number }
	| { kind: 'plane'; size: number; points: { label: string; x: number; y: number }[] };

/** How an item is answered. Texts may hold TeX between dollar signs. */
export type ResponseSpec =
	| { kind: 'choice'; options: string[] }
	| { kind: 'several'; options: string[] }
	| { kind: 'number'; unit?: string }
	| { kind: 'fraction' }
	| { kind: 'line'; from: number; to: number; step: number; labelEvery: number }
	| { kind: 'order'; options: string[]; direction: string };

/**
 * A student's answer: an option's index, indexes of several options, typed text, a place on the line, or option
 * indexes in the chosen order.
 */
export type Answer = number | number[] | string;

/** A question as the student may see it: nothing in it gives the key away. */
export interface PublicItem {
	stem: string;
	figure?: Figure;
	response: ResponseSpec;
}

/** A question with all that a teacher, and feedback, need. */
export interface Item extends PublicItem {
	familyId: string;
	skillCode: string;
	seed: number;
	key: Answer;
	/** Wrong answers that a known wrong idea produces. */
	expectedErrors: { answer: Answer; misconception: MisconceptionId }[];
	hint: string;
	solution: string[];
}

/** The part of a response that difficulty and luck depend on. */
export function formatOf(response: ResponseSpec): ResponseFormat {
	return 'options' in response ? { kind: response.kind, options: response.options.length } : { kind: response.kind };
}

/** The item without key, hint, solution and misconceptions. */
export function withoutKey({ stem, figure, response }: PublicItem): PublicItem {
	return { stem, figure, response };
}
