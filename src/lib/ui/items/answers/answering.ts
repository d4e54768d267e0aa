import { type AnswerForm, formMissed, type ResponseKind, type ResponseSpec, type SpecOf } from '$lib/core/items';

/** What every answer component is given; each adds `answer`, which is null until something has been answered. */
export interface Answering<Kind extends ResponseKind> {
	response: SpecOf<Kind>;
	disabled?: boolean;
	/** Enter was pressed in a field. */
	onenter?: () => void;
}

/** Calls a function when Enter is pressed, instead of what the browser would do. */
export const onEnter = (action?: () => void) => (event: KeyboardEvent) => {
	if (event.key !== 'Enter') return;
	event.preventDefault();
	action?.();
};

/** What was typed with the other sign, for keypads without a minus. */
export const withOtherSign = (typed: string): string => (/^[-\u2212]/.test(typed) ? typed.slice(1) : `-${typed}`);

const FORMS: Record<AnswerForm, string> = {
	'worked out': 'Work it out to one number, please.',
	decimal: 'Write it as a decimal, please.',
	'lowest terms': 'Write it in lowest terms, please.',
	'mixed number': 'Write it as a mixed number, please.'
};

/** What to ask for when an answer could not be read, or not in the form that it is to have. */
export function askAgain(response: ResponseSpec, answer: unknown): string {
	const form = formMissed({ response }, answer);
	if (form) return FORMS[form];
	switch (response.kind) {
		case 'text':
			return 'Write your answer as a word, please.';
		case 'expression':
			return 'Write your answer with numbers, letters and signs, please.';
		case 'fill':
			return 'Write a number into each box, please.';
		case 'fraction':
			return 'Write a number into the top and the bottom box, please.';
		default:
			return 'Write your answer as a number, please.';
	}
}
