import type { Figure, Given, ShownItem } from '$lib/core/items';
import { SendQueue, type Queued } from '../sendQueue.svelte';

/** An answer on its way to the server. */
export interface QueuedAnswer extends Queued {
	position: number;
	attempt: number;
	response: Given;
	milliseconds: number;
	/** Stages of the hint that stood beside the question. */
	hints: number;
}

/** What comes after an answer in a diagnostic. */
export interface Progress {
	/** Null when the sitting is done. */
	next: { position: number; item: ShownItem; spoken: string } | null;
	/** Whether the rest is better left for another day. */
	enough: boolean;
}

/** How a question of practice is done, told once it was tried. */
export interface Solution {
	position: number;
	solutionHtml: string[];
	solutionFigure?: Figure;
}

/** What may help with the second try of a question. */
export interface SecondHelp {
	position: number;
	/** By the idea that the first try shows; empty where it shows none. */
	says: string;
	/** Another question of the kind, with how it is done; null where there is none with another answer. */
	like: { stemHtml: string; figure?: Figure; stepsHtml: string[]; stepsFigure?: Figure } | null;
}

/** Who is told what the server says. */
interface Told {
	/** Of a diagnostic: what comes next, once all answers are there. */
	next?: (progress: Progress) => void;
	/** Of practice: how questions are done that were tried. */
	solutions?: (solutions: Solution[]) => void;
	/** Of practice: what may help with a second try. */
	helps?: (helps: SecondHelp[]) => void;
}

/** A sitting's answers on their way to the server. */
export class AnswerQueue extends SendQueue<
	QueuedAnswer,
	Progress & { closed?: string; solutions?: Solution[]; helps?: SecondHelp[] }
> {
	/** Why the work is over, where it was closed before it was done. */
	closed = $state('');

	constructor(sittingId: number, told: Told = {}) {
		super({
			key: `answers of sitting ${sittingId}`,
			path: `/api/sittings/${sittingId}/answers${told.next ? '?next' : ''}`,
			onreply: (said, isAll) => {
				if (said.closed) this.closed = said.closed;
				else if (isAll) told.next?.(said);
				if (said.solutions) told.solutions?.(said.solutions);
				if (said.helps) told.helps?.(said.helps);
			}
		});
	}
}
