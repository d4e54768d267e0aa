import {
	HINT_STAGES,
	isReadable,
	sameAnswer,
	type Answer,
	type Given,
	type KeyProof,
	type ShownItem
} from '$lib/core/items';
import type { AnswerQueue, Progress, QueuedAnswer, SecondHelp, Solution } from '../items/answerQueue.svelte';
import { hasJustRushed } from '$lib/core/practice/hurry';
import { nextInPool } from '$lib/core/practice/nextInPool';
import { isRight } from './isRight';

/** A question in a sitting. With what tells right from wrong where feedback is immediate: in practice and in the warm-up. */
export interface SittingQuestion {
	position: number;
	correct: boolean | null;
	done: boolean;
	/** The first answer, where it was wrong and the second try is still to come. */
	missed: Answer | null;
	spoken: string;
	/** Of which kind: a set that ends once enough are right asks another of the same after a miss. */
	familyId?: string;
	item:
		| (ShownItem & { practice: false })
		| (ShownItem & { practice: true; hintHtml: string; proof: KeyProof; isOneTry?: boolean });
}

export type Feedback = 'right' | 'try again' | 'shown' | 'unreadable' | null;

interface SittingStart {
	adaptive: boolean;
	warmUp: SittingQuestion[];
	items: SittingQuestion[];
	enough: boolean;
	/** Ends once so many are right at the first try. */
	untilRight?: number | null;
}

/**
 * A student's way through a sitting: practice questions first where there are some, then each question once, its
 * feedback in practice, and in an adaptive sitting the wait for what comes next.
 *
 * @example
 * const sitting = new SittingState(data, () => performance.now());
 * sitting.queue = new AnswerQueue(id, { next: sitting.goOn });
 */
export class SittingState {
	queue: AnswerQueue | null = null;
	answer = $state<Answer | null>(null);
	feedback = $state<Feedback>(null);
	/** Whether the rest is better left for another day. */
	enough = $state(false);
	/** Right at the first try. */
	right = $state(0);
	/** Whether an answer is being judged; on a slow device that takes a moment. */
	judging = $state(false);
	/** Whether the second stage of the hint, a worked example, stands beside the question. */
	isExampleShown = $state(false);
	private solutions = $state<Solution[]>([]);
	private helps = $state<SecondHelp[]>([]);
	private attempt = 1;
	/** The first answer to the question on the page, once it was wrong. */
	private missed = $state<Answer | null>(null);
	private shownAt = 0;
	private places = $state<SittingQuestion[]>([]);
	private done = $state(new Set<number>());
	private warmUp = $state<SittingQuestion[]>([]);
	private held = $state<SittingQuestion | null>(null);
	private ended = $state(false);
	/** First tries on this page, in practice. */
	private tries = $state<{ milliseconds: number; correct: boolean }[]>([]);
	/** By question, whether it was right at the first try. */
	private firstTries = $state<Record<number, boolean>>({});
	private lastAsked = $state<number | null>(null);
	private readonly adaptive: boolean;
	private readonly untilRight: number | null;

	/** @param clock milliseconds, ever growing */
	constructor(
		{ adaptive, warmUp, items, enough, untilRight = null }: SittingStart,
		private readonly clock: () => number
	) {
		this.adaptive = adaptive;
		this.untilRight = untilRight;
		this.warmUp = warmUp;
		this.places = items;
		this.enough = enough;
		this.done = new Set(items.filter((place) => place.done).map(({ position }) => position));
		this.right = items.filter((place) => place.correct).length;
		for (const { position, correct } of items) if (correct !== null) this.firstTries[position] = correct;
		this.ended = items.every((place) => place.done);
		this.shownAt = clock();
		const left = items.find((place) => place.missed !== null);
		if (left) this.tryAgain(left, left.missed!);
	}

	/** Whether practice questions come before those that count. */
	readonly isWarmUp = $derived.by(() => this.warmUp.length > 0);
	/** The question on the page: it stays while its feedback is read. Null when done, or while the next is on its way. */
	readonly current = $derived.by(
		() => this.held ?? this.warmUp[0] ?? this.places.find(({ position }) => position === this.nextPosition) ?? null
	);
	private readonly nextPosition = $derived.by(() => {
		if (this.untilRight === null) return this.places.find(({ position }) => !this.done.has(position))?.position ?? null;
		const pool = this.places.map(({ position, familyId = '' }) => ({
			position,
			familyId,
			right: this.done.has(position) ? (this.firstTries[position] ?? false) : null
		}));
		return nextInPool(pool, this.untilRight, this.lastAsked);
	});
	readonly isFinished = $derived.by(() => this.current === null && (!this.adaptive || this.ended));
	/** How the question on the page is done, once the server has told. */
	readonly solution = $derived.by(
		() => (!this.isWarmUp && this.solutions.find(({ position }) => position === this.current?.position)) || null
	);
	/** What may help with the second try of the question on the page, once the server has told. */
	readonly help = $derived.by(
		() => (!this.isWarmUp && this.helps.find(({ position }) => position === this.current?.position)) || null
	);
	/** Whether the answer on the page is still the one that was wrong: the second try is for another. */
	readonly isUnchanged = $derived.by(
		() =>
			this.feedback === 'try again' &&
			this.missed !== null &&
			this.answer !== null &&
			this.current !== null &&
			isReadable(this.current.item, this.answer) &&
			sameAnswer(this.current.item, this.answer, this.missed)
	);
	/** Whether the last answers came faster than their questions can be read. */
	readonly hasRushed = $derived.by(() => !this.isWarmUp && this.feedback === null && hasJustRushed(this.tries));
	/** Questions answered. */
	readonly answered = $derived.by(() => this.done.size);
	/** The question on the page, counted from 1. */
	readonly number = $derived.by(() => this.answered + (this.held && !this.isWarmUp ? 0 : 1));

	/** Takes up answers that never reached the server and are still on this device. */
	async resume(waiting: Pick<QueuedAnswer, 'position' | 'attempt' | 'response'>[]): Promise<void> {
		if (waiting.length === 0) return;
		this.skipWarmUp();
		this.done = new Set([...this.done, ...waiting.map(({ position }) => position)]);
		this.judging = true;
		for (const { position, attempt, response } of waiting) {
			const place = this.places.find((one) => one.position === position);
			const item = place?.item;
			if (!place || !item?.practice || response === null) continue;
			const correct = await isRight(item, response);
			if (attempt > 1) {
				this.begin();
				continue;
			}
			this.noteFirstTry(position, correct);
			if (!correct && !item.isOneTry) this.tryAgain(place, response);
		}
		this.judging = false;
	}

	private noteFirstTry(position: number, correct: boolean): void {
		this.firstTries[position] = correct;
		this.lastAsked = position;
		if (correct) this.right++;
	}

	/** Puts a question that was answered wrongly at first back onto the page, with that answer in it. */
	private tryAgain(place: SittingQuestion, missed: Answer): void {
		this.held = place;
		this.missed = missed;
		this.answer = missed;
		this.attempt = 2;
		this.feedback = 'try again';
	}

	skipWarmUp(): void {
		this.warmUp = [];
		this.begin();
	}

	/** Takes what the server tells of questions that were tried. */
	learn = (solutions: Solution[]): void => {
		this.solutions.push(...solutions);
	};

	/** Takes what the server says may help with a second try. */
	takeHelps = (helps: SecondHelp[]): void => {
		this.helps.push(...helps);
	};

	/** Takes what the server says comes next. */
	goOn = ({ next, enough }: Progress): void => {
		this.enough = enough;
		if (!this.adaptive) return;
		if (!next) this.ended = true;
		else if (!this.places.some(({ position }) => position === next.position)) {
			const item = { ...next.item, practice: false as const };
			this.places.push({ ...next, item, correct: null, done: false, missed: null });
			this.ended = false;
			this.shownAt = this.clock();
		}
	};

	/** Gives the answer. @returns whether the next question can be shown */
	async submit(): Promise<boolean> {
		const { current, answer } = this;
		if (!current || answer === null || this.judging || this.feedback === 'right' || this.feedback === 'shown')
			return false;
		if (this.isUnchanged) return false;
		const { item, position } = current;
		if (!isReadable(item, answer)) {
			this.feedback = 'unreadable';
			return false;
		}
		const milliseconds = this.clock() - this.shownAt;
		if (!this.isWarmUp) this.give($state.snapshot(answer));
		// The next question may be drawn before `next` is called: it must not begin with this one's answer.
		if (!item.practice) this.answer = null;
		// Held before it counts as done, or the next question would take its place under its feedback.
		if (item.practice) this.held = current;
		if (!this.isWarmUp) this.done = new Set([...this.done, position]);
		if (!item.practice) return true;
		this.judging = true;
		const correct = await isRight(item, $state.snapshot(answer) as Answer);
		this.judging = false;
		if (this.attempt === 1 && this.isWarmUp && correct) this.right++;
		else if (this.attempt === 1 && !this.isWarmUp) {
			this.noteFirstTry(position, correct);
			this.tries.push({ milliseconds, correct });
		}
		if (!correct && this.attempt === 1) this.missed = $state.snapshot(answer) as Answer;
		const again = this.attempt === 1 && !item.isOneTry;
		this.feedback = correct ? 'right' : again ? 'try again' : 'shown';
		this.attempt++;
		return false;
	}

	/** Says that the question is not known yet, where no feedback follows: it counts as answered. */
	sayNotYet(): void {
		if (!this.current || this.judging) return;
		if (!this.isWarmUp) {
			this.give(null);
			this.done = new Set([...this.done, this.current.position]);
		}
		this.next();
	}

	private give(response: Given): void {
		this.queue?.add({
			position: this.current!.position,
			attempt: this.attempt,
			response,
			milliseconds: Math.min(86_400_000, Math.round(this.clock() - this.shownAt)),
			hints: this.hintsShown
		});
	}

	/** Stages of the hint that stand beside the question: they come with the second try. */
	private get hintsShown(): number {
		const item = this.current!.item;
		if (this.attempt === 1 || !item.practice || item.hintHtml === '') return 0;
		return this.isExampleShown ? HINT_STAGES : 1;
	}

	/** Leaves the feedback for the next question. */
	next(): void {
		if (this.isWarmUp) {
			this.right = 0;
			this.warmUp = this.warmUp.slice(1);
		}
		this.begin();
	}

	private begin(): void {
		this.held = null;
		this.answer = null;
		this.missed = null;
		this.attempt = 1;
		this.isExampleShown = false;
		this.feedback = null;
		this.shownAt = this.clock();
	}
}
