import { describe, expect, it } from 'vitest';
import { PAUSE_MS, type FactTry } from '$lib/core/fluency';
import { seededRandom } from '$lib/core/random';
import { FactRun, type QueuedFact } from './factRun.svelte';

type Given = Omit<QueuedFact, 'id' | 'answeredAt'>;

function begun(during: FactTry[] = [], isEnded = false) {
	let now = 0;
	const given: Given[] = [];
	const start = { operation: 'times' as const, minutes: 1, grade: 4, before: [], during, isEnded };
	const run = new FactRun(
		start,
		seededRandom(3),
		() => now,
		(one) => given.push(one)
	);
	const type = (answer: number) => [...String(answer)].forEach((digit) => run.type(Number(digit)));
	return { run, given, type, wait: (ms: number) => (now += ms) };
}

describe('a run of facts', () => {
	it('takes an answer once it has all its digits, with the time it took, and goes on', () => {
		const { run, given, type, wait } = begun();
		run.type(5);
		expect(run.typed).toBe('');
		run.begin();
		const { text, answer } = run.asked;
		wait(1_234);
		type(answer);
		expect(given).toEqual([
			{
				first: expect.any(Number),
				second: expect.any(Number),
				response: answer,
				milliseconds: 1_234,
				position: 0,
				isLast: false
			}
		]);
		expect(run.stage).toBe('asking');
		expect(run.asked.text).not.toBe(text);
		expect(run.right).toBe(1);
	});

	it('shows the right answer after a miss and goes on once it was typed, which counts for nothing', () => {
		const { run, given, type } = begun();
		run.begin();
		const { answer, text } = run.asked;
		type(answer === 99 ? 98 : answer + (String(answer + 1).length === String(answer).length ? 1 : -1));
		expect(run.stage).toBe('shown');
		expect(given).toHaveLength(1);
		expect(run.tries[0].correct).toBe(false);
		type(answer);
		expect(run.stage).toBe('asking');
		expect(run.asked.text).not.toBe(text);
		expect(given).toHaveLength(1);
	});

	it('takes digits back', () => {
		const { run } = begun([{ first: 10, second: 10, correct: true, milliseconds: 1 }]);
		run.fact = { first: 7, second: 8 };
		run.stage = 'asking';
		run.type(4);
		run.takeBack();
		run.type(5);
		expect(run.typed).toBe('5');
		run.type(6);
		expect(run.tries.at(-1)).toMatchObject({ first: 7, second: 8, correct: true });
	});

	it('is over with the answer in which its time ends; a pause takes ten seconds of it at most', () => {
		const { run, given, type, wait } = begun();
		run.begin();
		wait(600_000);
		expect(run.share()).toBeCloseTo(PAUSE_MS / 60_000);
		type(run.asked.answer);
		for (let i = 0; i < 4; i++) {
			wait(10_000);
			type(run.asked.answer);
		}
		expect(run.stage).toBe('asking');
		wait(10_001);
		type(run.asked.answer);
		expect(run.stage).toBe('over');
		expect(given.map(({ isLast }) => isLast)).toEqual([false, false, false, false, false, true]);
	});

	it('goes on where it was, also with tries that are only on this device yet', () => {
		const during = [{ first: 2, second: 3, correct: true, milliseconds: 2_000 }];
		const { run, given, type } = begun(during);
		const waiting = { position: 1, first: 2, second: 4, response: 9, milliseconds: 1_000, isLast: false };
		run.resume([{ ...waiting, position: 0 }, waiting]);
		expect(run.tries).toHaveLength(2);
		expect(run.tries[1].correct).toBe(false);
		run.begin();
		type(run.asked.answer);
		expect(given[0].position).toBe(2);
		run.resume([{ ...waiting, position: 3, isLast: true }]);
		expect(run.stage).toBe('over');
		expect(begun(during, true).run.stage).toBe('over');
	});
});
