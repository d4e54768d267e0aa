import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { MeasureMarking } from './measureMarking.svelte';

const KEY = 'measure 4 12 3';
let stored: Map<string, string>;
let marking: MeasureMarking;

beforeEach(() => {
	vi.useFakeTimers();
	stored = new Map();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => stored.get(key) ?? null,
		setItem: (key: string, text: string) => stored.set(key, text),
		removeItem: (key: string) => stored.delete(key)
	});
	marking = new MeasureMarking(KEY, 100);
});
afterEach(() => {
	marking.leave();
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('giving a measure', () => {
	it('counts a minute down and then asks for the last place', () => {
		marking.start();
		marking.tap(3);
		vi.advanceTimersByTime(20_000);
		expect(marking.secondsLeft).toBeCloseTo(40, 0);
		expect(marking.score).toBeNull();
		vi.advanceTimersByTime(41_000);
		expect(marking.sheet).toMatchObject({ stage: 'last reached', seconds: 60, missed: [3] });
		marking.tap(79);
		expect(marking.score).toMatchObject({ correct: 79, correctPerMinute: 79 });
	});

	it('takes the time to a tenth when the student comes to the end', () => {
		marking.start();
		vi.advanceTimersByTime(43_260);
		marking.stop(true);
		expect(marking.marked).toEqual({ reached: 100, missed: [], seconds: 43.3 });
		vi.advanceTimersByTime(60_000);
		expect(marking.marked!.seconds).toBe(43.3);
	});

	it('goes on after the page was closed, clock and marks and id', () => {
		marking.start();
		marking.tap(3);
		marking.leave();
		vi.advanceTimersByTime(15_000);
		const later = new MeasureMarking(KEY, 100);
		expect(later.id).toBe(marking.id);
		expect(later.sheet.missed).toEqual([3]);
		expect(later.secondsLeft).toBeCloseTo(45, 0);
		vi.advanceTimersByTime(46_000);
		expect(later.sheet.stage).toBe('last reached');
		later.leave();
	});

	it('keeps nothing of another sheet, and nothing that cannot be read', () => {
		marking.start();
		marking.leave();
		expect(new MeasureMarking(KEY, 90).sheet.stage).toBe('ready');
		stored.set(KEY, '{');
		expect(new MeasureMarking(KEY, 100).sheet.stage).toBe('ready');
	});

	it('begins anew with another id', () => {
		marking.start();
		marking.stop();
		marking.reachNothing();
		expect(marking.score).toMatchObject({ correct: 0, accuracy: null });
		marking.takeBack();
		expect(marking.sheet.stage).toBe('last reached');
		const before = marking.id;
		marking.clear();
		expect(marking.id).not.toBe(before);
		expect(stored.size).toBe(0);
		expect(marking.sheet.stage).toBe('ready');
		expect(marking.secondsLeft).toBe(60);
	});
});
