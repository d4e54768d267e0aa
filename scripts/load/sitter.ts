import { randomUUID } from 'node:crypto';
import { setTimeout as pause } from 'node:timers/promises';
import type { Answer, ResponseSpec } from '../../src/lib/core/items';
import { itemFrom } from '../../src/lib/core/items/bank';
import type { Random } from '../../src/lib/core/random';
import { newToken, SIGN_IN_COOKIE, tokenHash } from '../../src/lib/server/auth/signIn';
import { beginSignIn } from '../../src/lib/server/auth/store/signIns';
import type { RootDatabase } from '../../src/lib/server/database/pool';
import { openItem } from '../../src/lib/server/sitting/store/sittings';

/** Some answer of a question's kind, right or wrong. */
export function someAnswer(response: ResponseSpec, random: Random): Answer {
	switch (response.kind) {
		case 'choice':
			return random.integer(0, response.options.length - 1);
		case 'several':
			return [random.integer(0, response.options.length - 1)];
		case 'order':
			return response.options.map((_, i) => i);
		case 'match':
			return response.left.map((_, i) => i);
		case 'number':
			return String(random.integer(1, 99));
		case 'fraction':
			return `${random.integer(1, 5)}/${random.integer(2, 9)}`;
		case 'expression':
			return response.letters[0] ?? '7';
		case 'text':
			return 'circle';
		case 'fill':
			return response.blanks.map(() => String(random.integer(1, 20)));
		case 'line':
			return response.from + response.step;
		case 'shade':
			return 1;
		case 'rectangle':
			return [1, random.integer(1, response.columns)];
		case 'clock':
			return 60;
		case 'plot':
			return [response.from, response.to];
	}
}

export interface SitterOptions {
	/** Of the app; asked again after each failure, as it may have moved. */
	address: () => string;
	/** Only to sign in and to read the first question. */
	database: () => RootDatabase;
	studentId: number;
	windowId: number;
	/** When the students sign in. */
	now: Date;
	random: Random;
	/** Time (ms) a student thinks about a question. */
	think: () => number;
	/** Share of answers sent twice, as after a lost reply. */
	resend?: number;
	/** Told how long (ms) each answer took until the next question was there. */
	onAnswer?: (milliseconds: number) => void;
	/** Keeps trying for so long (ms) when the server does not answer. */
	patienceMs?: number;
}

interface Reply {
	next: { position: number; item: { response: ResponseSpec } } | null;
}

/** A simulated student: sits the diagnostic of a window over HTTP from its first question to its last. */
export class Sitter {
	/** Ids of the answers that the server said it has. */
	readonly acknowledged = new Set<string>();
	private cookie = '';
	sittingId = 0;

	constructor(private readonly options: SitterOptions) {}

	async signIn(): Promise<void> {
		const { database, studentId, now } = this.options;
		const token = newToken();
		const hashes = { tokenHash: tokenHash(token), heldHash: null };
		await beginSignIn(database(), { studentId }, hashes, { address: '127.0.0.1', browser: 'simulated' }, now);
		this.cookie = `${SIGN_IN_COOKIE}=${token}`;
	}

	/** Starts the sitting, or finds it started. */
	async start(): Promise<void> {
		const reply = await this.send(
			'/today?/start',
			new URLSearchParams({ kind: 'diagnostic', id: String(this.options.windowId) })
		);
		const { location } = (await reply.json()) as { location?: string };
		const id = /^\/work\/(\d+)$/.exec(location ?? '')?.[1];
		if (!id) throw new Error(`student ${this.options.studentId} could not start: ${location}`);
		this.sittingId = Number(id);
	}

	/** Answers question after question until there is none. */
	async sit(): Promise<void> {
		const { database, random, think, resend = 0, onAnswer } = this.options;
		const first = await openItem(database(), this.sittingId);
		let next = first && { position: first.position, response: itemFrom(first.familyId, first.seed).response };
		while (next) {
			await pause(think());
			const answer = {
				id: randomUUID(),
				position: next.position,
				attempt: 1,
				response: someAnswer(next.response, random),
				milliseconds: 9_000,
				answeredAt: this.options.now.toISOString()
			};
			const body = JSON.stringify({ answers: [answer] });
			const path = `/api/sittings/${this.sittingId}/answers?next`;
			const from = performance.now();
			let reply = (await (await this.send(path, body)).json()) as Reply;
			onAnswer?.(performance.now() - from);
			this.acknowledged.add(answer.id);
			if (random.chance(resend)) reply = (await (await this.send(path, body)).json()) as Reply;
			next = reply.next && { position: reply.next.position, response: reply.next.item.response };
		}
	}

	/** Sends a request, again and again while the server is away. */
	private async send(path: string, body: string | URLSearchParams): Promise<Response> {
		const { address, patienceMs = 0 } = this.options;
		const until = performance.now() + patienceMs;
		for (;;) {
			try {
				const reply = await fetch(address() + path, {
					method: 'POST',
					body,
					headers: {
						cookie: this.cookie,
						origin: address(),
						accept: 'application/json',
						...(typeof body === 'string' ? { 'content-type': 'application/json' } : {})
					},
					signal: AbortSignal.timeout(20_000)
				});
				if (reply.ok) return reply;
				if (reply.status < 500) throw new Refused(`${path}: ${reply.status} ${await reply.text()}`);
				await reply.arrayBuffer();
			} catch (error) {
				if (error instanceof Refused) throw error;
			}
			if (performance.now() >= until) throw new Error(`${path}: no answer from the server`);
			await pause(100);
		}
	}
}

/** The server understood and said no. */
class Refused extends Error {}
