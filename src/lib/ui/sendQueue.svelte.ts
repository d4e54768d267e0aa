import { newId } from './newId';

const RETRY_MS = [1_000, 2_000, 4_000, 8_000];

/** What is on its way to the server. */
export interface Queued {
	id: string;
	answeredAt: string;
}

interface Sending<Reply> {
	/** Under which the browser keeps what is waiting. */
	key: string;
	/** Where it is sent, as `{ answers: [...] }`. */
	path: string;
	/** Told of each reply, and whether all has been sent. */
	onreply?: (reply: Reply, isAll: boolean) => void;
}

/**
 * Keeps what a student gave in the browser until the server has it. Each has an id of its own, so that sending again
 * after a lost reply stores nothing twice; closing the tab loses nothing.
 *
 * @example
 * const queue = new SendQueue<QueuedFact>({ key: 'facts of run 7', path: '/api/facts/7/answers' });
 * queue.add({ position: 0, response: 56 });
 */
export class SendQueue<Entry extends Queued, Reply = unknown> {
	waiting = $state<Entry[]>([]);
	/** True while the server cannot be reached. */
	offline = $state(false);
	/** Why the server will not take an answer, which no retry can mend. */
	refused = $state('');
	private tries = 0;
	private sending = false;
	private timer: ReturnType<typeof setTimeout> | undefined;

	constructor(private readonly to: Sending<Reply>) {
		this.waiting = this.kept();
		if (this.waiting.length) void this.send();
	}

	add(answer: Omit<Entry, keyof Queued>): void {
		this.waiting.push({ ...answer, id: newId(), answeredAt: new Date().toISOString() } as Entry);
		this.keep();
		void this.send();
	}

	stop(): void {
		clearTimeout(this.timer);
	}

	/** What an earlier page left behind; nothing where the browser keeps nothing, or keeps what cannot be read. */
	private kept(): Entry[] {
		try {
			const found: unknown = JSON.parse(localStorage.getItem(this.to.key) ?? '[]');
			return Array.isArray(found) ? found : [];
		} catch {
			return [];
		}
	}

	private keep(): void {
		try {
			if (this.waiting.length) localStorage.setItem(this.to.key, JSON.stringify(this.waiting));
			else localStorage.removeItem(this.to.key);
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
			const reply = await fetch(this.to.path, {
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
				this.to.onreply?.((await reply.json()) as Reply, this.waiting.length === 0);
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
