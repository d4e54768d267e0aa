import { askFact, nextFact, PAUSE_MS, type FactKey, type FactTry, type Operation } from '$lib/core/fluency';
import type { Random } from '$lib/core/random';
import type { Queued } from '../sendQueue.svelte';

/** A first try on its way to the server. */
export interface QueuedFact extends Queued, FactKey {
	position: number;
	response: number;
	milliseconds: number;
	/** Whether the run's time is over with it. */
	isLast: boolean;
}

interface FactRunStart {
	operation: Operation;
	minutes: number;
	grade: number;
	/** Tries of earlier runs, oldest first. */
	before: FactTry[];
	/** Tries of this run, where it goes on. */
	during: FactTry[];
	isEnded: boolean;
}

/**
 * A run of facts: each is answered digit by digit, and counts as soon as it has as many digits as the right answer. After
 * a miss the right answer is shown and typed once, which counts for nothing. Time runs while a fact is on the page, ten
 * seconds at most for each.
 *
 * @example
 * const run = new FactRun(data, seededRandom(7), () => performance.now(), (one) => queue.add(one));
 * run.begin();
 * run.type(5);
 */
export class FactRun {
	/** `shown`: the right answer stands there, to be typed. */
	stage = $state<'ready' | 'asking' | 'shown' | 'over'>('ready');
	fact = $state<FactKey>({ first: 1, second: 1 });
	typed = $state('');
	/** First tries of this run. */
	tries = $state<FactTry[]>([]);
	private shownAt = 0;
	private readonly start: FactRunStart;

	/**
	 * @param clock milliseconds, ever growing
	 * @param give takes each first try
	 */
	constructor(
		start: FactRunStart,
		private readonly random: Random,
		private readonly clock: () => number,
		private readonly give: (one: Omit<QueuedFact, keyof Queued>) => void
	) {
		this.start = start;
		this.tries = start.during;
		if (start.isEnded || this.spent >= start.minutes * 60_000) this.stage = 'over';
	}

	readonly asked = $derived.by(() => askFact(this.start.operation, this.fact));
	/** Time (ms) of the tries so far. */
	readonly spent = $derived.by(() =>
		this.tries.reduce((sum, { milliseconds }) => sum + Math.min(PAUSE_MS, milliseconds), 0)
	);
	readonly right = $derived.by(() => this.tries.filter(({ correct }) => correct).length);
	/** All tries at the operation, oldest first. */
	readonly all = $derived.by(() => [...this.start.before, ...this.tries]);

	/** The share of the run's time that is over, 0…1. */
	share(): number {
		const now = this.stage === 'asking' ? Math.min(PAUSE_MS, this.clock() - this.shownAt) : 0;
		return Math.min(1, (this.spent + now) / (this.start.minutes * 60_000));
	}

	/** Takes up tries that never reached the server and are still on this device. */
	resume(waiting: Pick<QueuedFact, 'position' | 'first' | 'second' | 'response' | 'milliseconds' | 'isLast'>[]): void {
		const news = waiting.filter(({ position }) => position >= this.tries.length);
		this.tries = [...this.tries, ...news.map((one) => this.judged(one))];
		if (waiting.some(({ isLast }) => isLast)) this.stage = 'over';
	}

	begin(): void {
		if (this.stage === 'ready') this.next();
	}

	type(digit: number): void {
		if (this.stage !== 'asking' && this.stage !== 'shown') return;
		const right = String(this.asked.answer);
		this.typed += String(digit);
		if (this.typed.length < right.length) return;
		if (this.stage === 'asking') this.answer(Number(this.typed));
		else if (this.typed === right) this.next();
		else this.typed = '';
	}

	takeBack(): void {
		this.typed = this.typed.slice(0, -1);
	}

	private answer(response: number): void {
		const milliseconds = Math.min(86_400_000, Math.round(this.clock() - this.shownAt));
		const one = { ...$state.snapshot(this.fact), response, milliseconds };
		const position = this.tries.length;
		this.tries = [...this.tries, this.judged(one)];
		const isLast = this.spent >= this.start.minutes * 60_000;
		this.give({ ...one, position, isLast });
		if (isLast) this.stage = 'over';
		else if (this.tries.at(-1)!.correct) this.next();
		else {
			this.stage = 'shown';
			this.typed = '';
		}
	}

	private judged({ response, ...one }: FactKey & { response: number; milliseconds: number }): FactTry {
		const { first, second, milliseconds } = one;
		return { first, second, milliseconds, correct: askFact(this.start.operation, one).answer === response };
	}

	private next(): void {
		this.fact = nextFact(this.start.operation, this.all, this.start.grade, this.random);
		this.typed = '';
		this.stage = 'asking';
		this.shownAt = this.clock();
	}
}
