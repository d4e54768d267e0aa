import { beforeEach, describe, expect, it } from 'vitest';
import { pbkdf2Sync } from 'node:crypto';
import { canonicalKeys, type Answer, type Given, type KeyProof } from '$lib/core/items';
import { itemFrom } from '$lib/core/items/bank';
import type { AnswerQueue } from '../items/answerQueue.svelte';
import { SittingState, type SittingQuestion } from './sittingState.svelte';

/** Typed numbers, so that right and wrong answers are easily given. */
const FAMILY = 'add-tens';
const item = (seed: number) => {
	const { stem, response } = itemFrom(FAMILY, seed);
	return { stem, response, stemHtml: stem, optionsHtml: [], leftHtml: [] };
};
/** As the server makes it, by another implementation than the one that judges. */
function proofOf(seed: number): KeyProof {
	const hash = (text: string) => pbkdf2Sync(text, Buffer.from('5a17', 'hex'), 3, 32, 'sha256').toString('hex');
	return { salt: '5a17', iterations: 3, hashes: canonicalKeys(itemFrom(FAMILY, seed)).map(hash) };
}
const practice = (position: number, done = false, correct: boolean | null = null): SittingQuestion => ({
	position,
	done,
	correct,
	missed: null,
	spoken: '',
	item: { ...item(position), practice: true, hintHtml: '', proof: proofOf(position) }
});
const asked = (position: number, done = false): SittingQuestion => ({
	position,
	done,
	correct: null,
	missed: null,
	spoken: '',
	item: { ...item(position), practice: false }
});

let sent: { position: number; attempt: number; response: Given; milliseconds: number; hints: number }[];
let clock: number;
const queue = { add: (answer: (typeof sent)[number]) => sent.push(answer) } as unknown as AnswerQueue;
function begin(change: Partial<ConstructorParameters<typeof SittingState>[0]>): SittingState {
	const state = new SittingState({ adaptive: false, warmUp: [], items: [], enough: false, ...change }, () => clock);
	state.queue = queue;
	return state;
}
function give(state: SittingState, answer: Answer): Promise<boolean> {
	state.answer = answer;
	return state.submit();
}
const rightAnswer = (state: SittingState) => itemFrom(FAMILY, state.current!.position).key;
const WRONG = '0';
const ALSO_WRONG = '1';

beforeEach(() => {
	sent = [];
	clock = 1_000;
});

describe('practice', () => {
	it('holds a question until its feedback is read, and counts the first try only', async () => {
		const state = begin({ items: [practice(0), practice(1)] });
		clock += 4_000;
		expect(await give(state, WRONG)).toBe(false);
		expect([state.feedback, state.number, state.answered]).toEqual(['try again', 1, 1]);
		clock += 2_000;
		await give(state, rightAnswer(state));
		expect([state.feedback, state.right, state.current!.position]).toEqual(['right', 0, 0]);
		expect(sent.map(({ attempt, milliseconds }) => [attempt, milliseconds])).toEqual([
			[1, 4_000],
			[2, 6_000]
		]);
		state.next();
		expect([state.feedback, state.answer, state.number]).toEqual([null, null, 2]);
		await give(state, rightAnswer(state));
		expect(state.right).toBe(1);
		state.next();
		expect(state.isFinished).toBe(true);
	});

	it('says when the last three answers came faster than their questions can be read, until one takes its time', async () => {
		const state = begin({ items: [0, 1, 2, 3, 4].map((position) => practice(position)) });
		for (let i = 0; i < 3; i++) {
			expect(state.hasRushed).toBe(false);
			clock += 900;
			await give(state, WRONG);
			// The second try is no first try.
			clock += 900;
			await give(state, rightAnswer(state));
			expect(state.hasRushed).toBe(false);
			state.next();
		}
		expect(state.hasRushed).toBe(true);
		clock += 8_000;
		await give(state, rightAnswer(state));
		state.next();
		expect(state.hasRushed).toBe(false);
	});

	it('shows how after a second wrong try, and takes no third', async () => {
		const state = begin({ items: [practice(0)] });
		await give(state, WRONG);
		await give(state, ALSO_WRONG);
		expect(state.feedback).toBe('shown');
		await give(state, rightAnswer(state));
		expect(sent).toHaveLength(2);
	});

	it('shows how it is done once the server has told', async () => {
		const state = begin({ items: [practice(0), practice(1)] });
		await give(state, WRONG);
		await give(state, ALSO_WRONG);
		expect(state.solution).toBeNull();
		const solution = { position: 0, solutionHtml: ['first', 'then'] };
		state.learn([solution, { position: 1, solutionHtml: [] }]);
		expect(state.solution).toEqual(solution);
	});

	it('says what may help with the second try once the server has told, of this question only', async () => {
		const state = begin({ items: [practice(0), practice(1)] });
		await give(state, WRONG);
		expect([state.feedback, state.help]).toEqual(['try again', null]);
		const help = { says: 'Draw it.', like: { stemHtml: '2 + 3', stepsHtml: ['Draw a bar.'] } };
		state.takeHelps([
			{ position: 1, says: '', like: null },
			{ position: 0, ...help }
		]);
		expect(state.help).toMatchObject(help);
		await give(state, rightAnswer(state));
		state.next();
		expect(state.current!.position).toBe(1);
		expect(state.help!.like).toBeNull();
	});

	it('tells how much of a hint stood beside the second try; the first is without', async () => {
		const hinted = (position: number): SittingQuestion => {
			const question = practice(position);
			return { ...question, item: { ...question.item, hintHtml: 'Count the tens.' } as SittingQuestion['item'] };
		};
		const state = begin({ items: [hinted(0), hinted(1), practice(2)] });
		for (const isFurther of [false, true, true]) {
			await give(state, WRONG);
			state.isExampleShown = isFurther;
			await give(state, rightAnswer(state));
			state.next();
		}
		expect(sent.map(({ attempt, hints }) => [attempt, hints])).toEqual([
			...[1, 2].map((attempt) => [attempt, attempt - 1]),
			...[1, 2].map((attempt) => [attempt, 2 * (attempt - 1)]),
			// Where hints are off there is none, whatever was opened before.
			...[1, 2].map((attempt) => [attempt, 0])
		]);
	});

	it('takes no other answer while one is being judged', async () => {
		const state = begin({ items: [practice(0)] });
		const first = give(state, WRONG);
		expect(state.judging).toBe(true);
		expect(await give(state, rightAnswer(state))).toBe(false);
		await first;
		expect([state.judging, sent.length, state.feedback]).toEqual([false, 1, 'try again']);
	});

	it('begins the next question without this one’s answer from the moment it can be drawn', () => {
		const state = begin({ items: [asked(0), asked(1)] });
		// Nothing is waited for: the page may draw before it is told to go on.
		void give(state, '7');
		expect([state.current!.position, state.answer]).toEqual([1, null]);
	});

	it('asks again for what cannot be read, without counting it', async () => {
		const state = begin({ items: [practice(0)] });
		await give(state, 'seven or so');
		expect([state.feedback, sent.length, state.answered]).toEqual(['unreadable', 0, 0]);
		state.answer = null;
		expect(await state.submit()).toBe(false);
	});

	it('goes on after what was done before, and after what only this device knows', async () => {
		const state = begin({ items: [practice(0, true, true), practice(1), practice(2)] });
		expect([state.right, state.current!.position]).toEqual([1, 1]);
		await state.resume([{ position: 1, attempt: 1, response: itemFrom(FAMILY, 1).key }]);
		expect([state.right, state.current!.position]).toEqual([2, 2]);
	});

	it('takes no second try that is the first one again, however it is written', async () => {
		const state = begin({ items: [practice(0)] });
		await give(state, WRONG);
		for (const same of [WRONG, '0.0', '-0']) {
			await give(state, same);
			expect([state.isUnchanged, state.feedback, sent.length]).toEqual([true, 'try again', 1]);
		}
		await give(state, ALSO_WRONG);
		expect([state.feedback, sent.length, state.isUnchanged]).toEqual(['shown', 2, false]);
	});

	it('left after “Not yet”, comes back to the second try with the first answer in it', async () => {
		const missed = { ...practice(1, true, false), missed: WRONG };
		const state = begin({ items: [practice(0, true, true), missed, practice(2)] });
		expect([state.current!.position, state.feedback, state.answer, state.number]).toEqual([1, 'try again', WRONG, 2]);
		await give(state, rightAnswer(state));
		expect(sent).toMatchObject([{ position: 1, attempt: 2 }]);
		expect([state.feedback, state.right]).toEqual(['right', 1]);
		state.next();
		expect(state.current!.position).toBe(2);
	});

	it('comes back to the second try, too, where the first answer is still on this device', async () => {
		const first = { position: 0, attempt: 1, response: WRONG };
		const state = begin({ items: [practice(0), practice(1)] });
		await state.resume([first]);
		expect([state.current!.position, state.feedback, state.answer]).toEqual([0, 'try again', WRONG]);
		const both = begin({ items: [practice(0), practice(1)] });
		await both.resume([first, { ...first, attempt: 2, response: ALSO_WRONG }]);
		expect([both.current!.position, both.feedback, both.answer]).toEqual([1, null, null]);
	});
});

describe('a fixed diagnostic', () => {
	it('gives no feedback and goes to the next question at once', async () => {
		const state = begin({ items: [asked(0), asked(1)] });
		expect(await give(state, WRONG)).toBe(true);
		state.next();
		expect([state.feedback, state.current!.position, state.number]).toEqual([null, 1, 2]);
		state.goOn({ next: null, enough: true });
		expect([state.enough, state.isFinished]).toEqual([true, false]);
	});
});

describe('an adaptive diagnostic', () => {
	const next = (position: number) => ({ position, item: item(position), spoken: '' });

	it('waits for each next question, and times it from when it comes', async () => {
		const state = begin({ adaptive: true, items: [asked(0)] });
		await give(state, WRONG);
		state.next();
		expect([state.current, state.isFinished]).toEqual([null, false]);
		clock += 60_000;
		state.goOn({ next: next(1), enough: false });
		expect([state.current!.position, state.number]).toEqual([1, 2]);
		clock += 3_000;
		await give(state, WRONG);
		expect(sent[1]).toMatchObject({ position: 1, milliseconds: 3_000 });
		state.next();
		state.goOn({ next: null, enough: false });
		expect(state.isFinished).toBe(true);
	});

	it('told the same question twice, as after a resend, shows it once', async () => {
		const state = begin({ adaptive: true, items: [asked(0)] });
		await give(state, WRONG);
		state.next();
		state.goOn({ next: next(1), enough: false });
		state.answer = '12';
		state.goOn({ next: next(1), enough: false });
		expect([state.current!.position, state.answer]).toEqual([1, '12']);
	});

	it('opened again with nothing left to answer is done', async () => {
		expect(begin({ adaptive: true, items: [asked(0, true)] }).isFinished).toBe(true);
	});
});

describe('the warm-up', () => {
	it('comes first, gives feedback, and counts for nothing', async () => {
		const state = begin({ warmUp: [practice(0), practice(1)], items: [asked(0)] });
		expect(state.isWarmUp).toBe(true);
		await give(state, rightAnswer(state));
		expect([state.feedback, sent.length, state.answered]).toEqual(['right', 0, 0]);
		state.next();
		expect([state.isWarmUp, state.right]).toEqual([true, 0]);
		state.skipWarmUp();
		expect([state.isWarmUp, state.number, state.current!.item.practice]).toEqual([false, 1, false]);
		await give(state, WRONG);
		expect(sent).toHaveLength(1);
	});

	it('is left out where answers wait on this device', async () => {
		const state = begin({ warmUp: [practice(0)], items: [asked(0), asked(1)] });
		await state.resume([{ position: 0, attempt: 1, response: '3' }]);
		expect([state.isWarmUp, state.current!.position]).toEqual([false, 1]);
	});
});

describe('“I don’t know yet”', () => {
	it('is an answer of its own: it is sent, counts as answered, and the next question comes', async () => {
		const state = begin({ items: [asked(0), asked(1)] });
		state.answer = WRONG;
		clock += 3_000;
		state.sayNotYet();
		expect(sent).toMatchObject([{ position: 0, attempt: 1, response: null, milliseconds: 3_000 }]);
		expect([state.answered, state.number, state.current!.position, state.answer]).toEqual([1, 2, 1, null]);
		state.sayNotYet();
		expect(state.isFinished).toBe(true);
	});

	it('leads on in the warm-up too, where nothing is sent', () => {
		const state = begin({ warmUp: [practice(0), practice(1)], items: [asked(0)] });
		state.sayNotYet();
		expect([state.isWarmUp, state.current!.position]).toEqual([true, 1]);
		state.sayNotYet();
		expect([state.isWarmUp, state.answered, sent]).toEqual([false, 0, []]);
	});
});

describe('a set that ends once enough are right', () => {
	const kinds = ['a', 'b', 'c', 'a', 'b', 'c'];
	const pool = () => kinds.map((familyId, position) => ({ ...practice(position), familyId }));

	it('asks another of the same kind after a miss, and is done at the number', async () => {
		const state = begin({ items: pool(), untilRight: 2 });
		await give(state, WRONG);
		await give(state, ALSO_WRONG);
		state.next();
		expect(state.current!.position).toBe(3);
		for (let i = 0; i < 2; i++) {
			await give(state, rightAnswer(state));
			state.next();
		}
		expect(state.isFinished).toBe(true);
		expect([state.right, state.answered]).toEqual([2, 3]);
	});

	it('goes on after a pause where it was', () => {
		const items = pool().map((place) => (place.position < 2 ? { ...place, done: true, correct: true } : place));
		expect(begin({ items, untilRight: 3 }).current!.position).toBe(2);
		expect(begin({ items, untilRight: 2 }).isFinished).toBe(true);
	});
});

it('shows how it is done after the one try that a question has', async () => {
	const place = practice(0);
	const item = { ...place.item, isOneTry: true } as SittingQuestion['item'];
	const state = begin({ items: [{ ...place, item }] });
	await give(state, WRONG);
	expect(state.feedback).toBe('shown');
});
