import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { AnswerQueue, type Progress, type QueuedAnswer } from './answerQueue.svelte';

const KEY = 'answers of sitting 7';
let stored: Map<string, string>;
/** What the server says next: a status, or null when it cannot be reached. */
let server: (number | null)[];
let received: QueuedAnswer[][];
let queue: AnswerQueue;

beforeEach(() => {
	vi.useFakeTimers();
	stored = new Map();
	server = [];
	received = [];
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => stored.get(key) ?? null,
		setItem: (key: string, text: string) => stored.set(key, text),
		removeItem: (key: string) => stored.delete(key)
	});
	vi.stubGlobal('fetch', async (path: string, { body }: { body: string }) => {
		expect(path).toMatch(/^\/api\/sittings\/7\/answers(\?next)?$/);
		const status = server.length ? server.shift()! : 200;
		if (status === null) throw new TypeError('fetch failed');
		received.push(JSON.parse(body).answers);
		return { ok: status < 300, status, json: async () => ({ next: null, enough: path.endsWith('next') }) };
	});
});
afterEach(() => {
	queue?.stop();
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

const give = (position: number, response = '1') =>
	queue.add({ position, attempt: 1, response, milliseconds: 5, hints: 0 });
const settle = () => vi.advanceTimersByTimeAsync(0);

describe('the queue of answers', () => {
	it('sends each at once, with an id of its own, and keeps nothing that has arrived', async () => {
		queue = new AnswerQueue(7);
		give(0);
		expect(stored.has(KEY)).toBe(true);
		await settle();
		give(1);
		await settle();
		expect(received.map((answers) => answers.map(({ position }) => position))).toEqual([[0], [1]]);
		const ids = received.flat().map(({ id }) => id);
		expect(new Set(ids).size).toBe(2);
		for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-4[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
		expect(stored.has(KEY)).toBe(false);
		expect(queue).toMatchObject({ offline: false, refused: '' });
	});

	it('keeps answers while the server is away, says so, and sends them together when it is back', async () => {
		server = [null, null];
		queue = new AnswerQueue(7);
		give(0);
		await settle();
		expect(queue.offline).toBe(true);
		give(1);
		await settle();
		expect(JSON.parse(stored.get(KEY)!).length).toBe(2);
		await vi.advanceTimersByTimeAsync(30_000);
		expect(received.map((answers) => answers.map(({ position }) => position))).toEqual([[0, 1]]);
		expect(queue).toMatchObject({ offline: false, waiting: [] });
	});

	it('waits longer after each failure, up to eight seconds', async () => {
		server = Array(20).fill(503);
		queue = new AnswerQueue(7);
		give(0);
		await vi.advanceTimersByTimeAsync(1_000 + 2_000 + 4_000 + 8_000 + 8_000);
		expect(received.length).toBe(6);
	});

	it('goes on with what an earlier page left behind, under the same ids', async () => {
		server = [null];
		queue = new AnswerQueue(7);
		give(3, '42');
		await settle();
		const [kept] = JSON.parse(stored.get(KEY)!) as QueuedAnswer[];
		queue.stop();
		queue = new AnswerQueue(7);
		expect(queue.waiting.map(({ position }) => position)).toEqual([3]);
		await settle();
		expect(received).toEqual([[kept]]);
		expect(stored.has(KEY)).toBe(false);
	});

	it('says when the server will never take an answer, and keeps it for the teacher', async () => {
		server = [400];
		queue = new AnswerQueue(7);
		give(0);
		await vi.advanceTimersByTimeAsync(60_000);
		expect(received.length).toBe(1);
		expect(queue.refused).toContain('tell your teacher');
		expect(stored.has(KEY)).toBe(true);
	});

	it('sends fifty at a time', async () => {
		server = [null];
		queue = new AnswerQueue(7);
		for (let position = 0; position < 120; position++) give(position);
		await vi.advanceTimersByTimeAsync(5_000);
		expect(received.map(({ length }) => length)).toEqual([50, 50, 20]);
	});

	it.each(['{', '{"a":1}', 'null'])('begins anew where the browser holds %s', async (text) => {
		stored.set(KEY, text);
		queue = new AnswerQueue(7);
		expect(queue.waiting).toEqual([]);
	});

	it('still sends where the browser may store nothing', async () => {
		vi.stubGlobal('localStorage', {
			getItem: () => {
				throw new Error('forbidden');
			},
			setItem: () => {
				throw new Error('full');
			}
		});
		queue = new AnswerQueue(7);
		give(0);
		await settle();
		expect(received.length).toBe(1);
	});

	it('hands on what comes next, once the server has every answer', async () => {
		const told: Progress[] = [];
		server = [null];
		queue = new AnswerQueue(7, { next: (progress) => told.push(progress) });
		give(0);
		await settle();
		expect(told).toEqual([]);
		await vi.advanceTimersByTimeAsync(1_000);
		expect(told).toEqual([{ next: null, enough: true }]);
	});
});
