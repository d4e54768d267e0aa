import type { Figure, Given, ShownItem } from '$lib/core/items';
import { newId } from '../newId';

/** An answer on its way to the server. */
export interface QueuedAnswer {
	id: string;
	position: number;
	attempt: number;
	response: Given;
	milliseconds: number;
	answeredAt: string;
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

/** Who is told what the server says. */
interface Told {
	/** Of a diagnostic: what comes next, once all answers are there. */
	next?: (progress: Progress) => void;
	/** Of practice: how questions are done that were tried. */
	solutions?: (solutions: Solution[]) => void;
}

const RETRY_MS = [1_000, 2_000, 4_000, 8_000];

/**
 * Keeps a sitting's answers in the browser until the server has them. Each has an id of its own, so sending again after
 * a lost reply stores nothing twice; closing the tab loses nothing.
 */
export class AnswerQueue {
	waiting = $state<QueuedAnswer[]>([]);
	/** True while the server cannot be reached. */
	offline = $state(false);
	/** Why the work is over, where it was closed before it was done. */
	closed = $state('');
	/** Why the server will not take an answer, which no retry can mend. */
	refused = $state('');
	private tries = 0;
	private sending = false;
	private timer: ReturnType<typeof setTimeout> | undefined;
	private readonly key: string;

	constructor(
		private readonly sittingId: number,
		private readonly told: Told = {}
	) {
		this.key = `answers of sitting ${sittingId}`;
		this.waiting = this.kept();
		if (this.waiting.length) void this.send();
	}

	add(answer: Omit<QueuedAnswer, 'id' | 'answeredAt'>): void {
		this.waiting.push({ ...answer, id: newId(), answeredAt: new Date().toISOString() });
		this.keep();
		void this.send();
	}

	stop(): void {
		clearTimeout(this.timer);
	}

	/** What an earlier page left behind; nothing where the browser keeps nothing, or keeps what cannot be read. */
	private kept(): QueuedAnswer[] {
		try {
			const found: unknown = JSON.parse(localStorage.getItem(this.key) ?? '[]');
			return Array.isArray(found) ? found : [];
		} catch {
			return [];
		}
	}

	private keep(): void {
		try {
			if (this.waiting.length) localStorage.setItem(this.key, JSON.stringify(this.waiting));
			else localStorage.removeItem(this.key);
		} catch {
			// A full or forbidden storage: the answers still go out from this page.
		}
	}

	private async send(): Promise<void> {
		if (this.sending || this.waiting.length === 0) return;
		this.sending = true;
		clearTimeout(this.timer);
		const answers = this.waiting.slice(0, 50);
		try {
			const reply = await fetch(`/api/sittings/${this.sittingId}/answers${this.told.next ? '?next' : ''}`, {
				method: 'POST',
				headers: { 'Content-Type': 'application/json' },
				body: JSON.stringify({ answers })
			});
			if (reply.ok) {
				const sent = new Set(answers.map(({ id }) => id));
				this.waiting = this.waiting.filter(({ id }) => !sent.has(id));
				this.offline = false;
				this.tries = 0;
				this.keep();
				const said = (await reply.json()) as Progress & { closed?: string; solutions?: Solution[] };
				if (said.closed) this.closed = said.closed;
				else if (this.waiting.length === 0) this.told.next?.(said);
				if (said.solutions) this.told.solutions?.(said.solutions);
			} else if (reply.status === 401) {
				this.refused =
					'You were signed out. Sign in again: your answers are kept on this device and will be sent then.';
			} else if (reply.status < 500 && reply.status !== 429) {
				this.refused = 'These answers could not be taken. They are kept on this device; tell your teacher.';
			} else throw new Error(`status ${reply.status}`);
		} catch {
			this.offline = true;
			this.timer = setTimeout(() => void this.send(), RETRY_MS[Math.min(this.tries++, RETRY_MS.length - 1)]);
		} finally {
			this.sending = false;
		}
		if (this.waiting.length && !this.offline && !this.refused) void this.send();
	}
}
