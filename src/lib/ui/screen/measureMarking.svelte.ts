import {
	markedSheet,
	newSheet,
	reachOnSheet,
	SECONDS_GIVEN,
	sheetScore,
	startSheet,
	stopSheet,
	takeBackMark,
	tapSheet,
	type Sheet
} from '$lib/core/fluency';
import { newId } from '../newId';

const TICK_MS = 100;

interface Kept {
	id: string;
	sheet: Sheet;
	startedAt: number;
}

/**
 * A measure while it is given: its sheet, its clock, and what is kept on this device until it is saved, so that a
 * closed tab or a lost connection loses no mark.
 *
 * @example
 * const marking = new MeasureMarking('measure 4 12', 120);
 * marking.start();
 * marking.tap(7);                    // the eighth word was missed
 * marking.stop();                    // or the minute runs out
 * marking.tap(81);                   // the last word reached
 * marking.score;                     // { correctPerMinute: 81, … }
 */
export class MeasureMarking {
	sheet: Sheet = $state.raw(newSheet(0));
	secondsLeft = $state(SECONDS_GIVEN);
	/** Of this giving, so that saving it twice stores it once. */
	id = $state(newId());
	readonly score = $derived(sheetScore(this.sheet));
	readonly marked = $derived(markedSheet(this.sheet));
	private startedAt = 0;
	private clock: ReturnType<typeof setInterval> | undefined;

	/**
	 * @param key under which the device keeps it
	 * @param length words or facts on the sheet
	 */
	constructor(
		private readonly key: string,
		private readonly length: number
	) {
		this.sheet = newSheet(length);
		const kept = this.kept();
		if (!kept || kept.sheet.length !== length) return;
		({ id: this.id, sheet: this.sheet, startedAt: this.startedAt } = kept);
		if (this.sheet.stage === 'under way') this.run();
	}

	start(): void {
		if (this.sheet.stage !== 'ready') return;
		this.startedAt = Date.now();
		this.set(startSheet(this.sheet));
		this.run();
	}

	/** Ends the time by hand; with the end of the sheet when the student has come to it. */
	stop(isAtEnd = false): void {
		const seconds = Math.max(0.1, Math.round((Date.now() - this.startedAt) / TICK_MS) / 10);
		clearInterval(this.clock);
		this.set(stopSheet(this.sheet, seconds, isAtEnd));
	}

	tap(place: number): void {
		this.set(tapSheet(this.sheet, place));
	}

	reach(place: number): void {
		this.set(reachOnSheet(this.sheet, place));
	}

	/** Nothing was read or answered. */
	reachNothing(): void {
		this.set(reachOnSheet(this.sheet, -1));
	}

	takeBack(): void {
		this.set(takeBackMark(this.sheet));
	}

	/** Begins anew, with an id of its own. */
	clear(): void {
		clearInterval(this.clock);
		localStorage.removeItem(this.key);
		this.id = newId();
		this.secondsLeft = SECONDS_GIVEN;
		this.sheet = newSheet(this.length);
	}

	/** Stops the clock when the page goes; what is kept stays. */
	leave(): void {
		clearInterval(this.clock);
	}

	private run(): void {
		const tick = () => {
			this.secondsLeft = Math.max(0, SECONDS_GIVEN - (Date.now() - this.startedAt) / 1000);
			if (this.secondsLeft === 0) this.stop();
		};
		this.clock = setInterval(tick, TICK_MS);
		tick();
	}

	private set(sheet: Sheet): void {
		this.sheet = sheet;
		localStorage.setItem(this.key, JSON.stringify({ id: this.id, sheet, startedAt: this.startedAt } satisfies Kept));
	}

	private kept(): Kept | null {
		try {
			return JSON.parse(localStorage.getItem(this.key) ?? 'null');
		} catch {
			return null;
		}
	}
}
