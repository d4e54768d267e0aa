import { beforeEach, describe, expect, it, vi } from 'vitest';
import { AnswerDesk } from './answerDesk';
import type { RootDatabase } from '../database/pool';
import { storeAnswers, type SubmittedAnswer } from './store/answers';

vi.mock('./store/answers', () => ({ storeAnswers: vi.fn() }));

const answer = (id: string) => ({ id }) as SubmittedAnswer;
const stored = vi.mocked(storeAnswers);
const sizes = () => stored.mock.calls.map(([, answers]) => answers.length);

/** Lets the first transaction wait until it is released, so that others queue up behind it. */
function holdFirst() {
	let release = () => {};
	const held = new Promise<void>((resolve) => (release = resolve));
	stored.mockImplementationOnce(async (_, answers) => {
		await held;
		return answers.map(() => 'stored');
	});
	return release;
}

describe('the answer desk', () => {
	beforeEach(() => {
		stored.mockReset();
		stored.mockImplementation(async (_, answers) => answers.map(({ id }) => (id === 'unknown' ? 'unknown' : 'stored')));
	});

	it('stores what comes while a transaction is under way in one more, and tells each its own results', async () => {
		const desk = new AnswerDesk({} as RootDatabase, 1);
		const release = holdFirst();
		const first = desk.submit([answer('a')]);
		const rest = [desk.submit([answer('b'), answer('unknown')]), desk.submit([answer('c')])];
		release();
		expect(await first).toEqual(['stored']);
		expect(await Promise.all(rest)).toEqual([['stored', 'unknown'], ['stored']]);
		expect(sizes()).toEqual([1, 3]);
	});

	it('lets a second clerk begin while the first one waits', async () => {
		const desk = new AnswerDesk({} as RootDatabase, 2);
		const release = holdFirst();
		const first = desk.submit([answer('a')]);
		expect(await desk.submit([answer('b')])).toEqual(['stored']);
		release();
		expect(await first).toEqual(['stored']);
	});

	it('does not let one request’s failure reach the others', async () => {
		const desk = new AnswerDesk({} as RootDatabase, 1);
		const release = holdFirst();
		const first = desk.submit([answer('a')]);
		stored.mockImplementation(async (_, answers) => {
			if (answers.some(({ id }) => id === 'poison')) throw new Error('no');
			return answers.map(() => 'stored');
		});
		const [good, bad] = [desk.submit([answer('b')]), desk.submit([answer('poison')])];
		release();
		await first;
		expect(await good).toEqual(['stored']);
		await expect(bad).rejects.toThrow('no');
		expect(await desk.submit([answer('d')])).toEqual(['stored']);
	});

	it('keeps transactions to 250 answers, but takes a larger request whole', async () => {
		const desk = new AnswerDesk({} as RootDatabase, 1);
		const release = holdFirst();
		const many = (count: number) => Array.from({ length: count }, (_, i) => answer(String(i)));
		const requests = [1, 200, 49, 1, 300, 2].map((count) => desk.submit(many(count)));
		release();
		expect((await Promise.all(requests)).map((results) => results.length)).toEqual([1, 200, 49, 1, 300, 2]);
		expect(sizes()).toEqual([1, 250, 300, 2]);
	});
});
