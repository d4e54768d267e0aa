import type { ResponseKind, SpecOf } from '$lib/core/items';

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

/** What to ask for when an answer could not be read. */
export function askAgain(kind: ResponseKind): string {
	switch (kind) {
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
