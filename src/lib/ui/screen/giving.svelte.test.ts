import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Giving } from './giving.svelte';

const KEY = 'measure 4 12 3';
let stored: Map<string, string>;
let giving: Giving;

beforeEach(() => {
	vi.useFakeTimers();
	stored = new Map();
	vi.stubGlobal('localStorage', {
		getItem: (key: string) => stored.get(key) ?? null,
		setItem: (key: string, text: string) => stored.set(key, text),
		removeItem: (key: string) => stored.delete(key)
	});
	giving = new Giving(KEY, 100);
});
afterEach(() => {
	giving.leave();
	vi.useRealTimers();
	vi.unstubAllGlobals();
});

describe('giving a measure', () => {
	it('counts a minute down and then asks for the last place', () => {
		giving.start();
		giving.tap(3);
		vi.advanceTimersByTime(20_000);
		expect(giving.secondsLeft).toBeCloseTo(40, 0);
		expect(giving.score).toBeNull();
		vi.advanceTimersByTime(41_000);
		expect(giving.sheet).toMatchObject({ stage: 'last reached', seconds: 60, missed: [3] });
		giving.tap(79);
		expect(giving.score).toMatchObject({ correct: 79, correctPerMinute: 79 });
	});

	it('takes the time to a tenth when the student comes to the end', () => {
		giving.start();
		vi.advanceTimersByTime(43_260);
		giving.stop(true);
		expect(giving.marked).toEqual({ reached: 100, missed: [], seconds: 43.3 });
		vi.advanceTimersByTime(60_000);
		expect(giving.marked!.seconds).toBe(43.3);
	});

	it('goes on after the page was closed, clock and marks and id', () => {
		giving.start();
		giving.tap(3);
		giving.leave();
		vi.advanceTimersByTime(15_000);
		const later = new Giving(KEY, 100);
		expect(later.id).toBe(giving.id);
		expect(later.sheet.missed).toEqual([3]);
		expect(later.secondsLeft).toBeCloseTo(45, 0);
		vi.advanceTimersByTime(46_000);
		expect(later.sheet.stage).toBe('last reached');
		later.leave();
	});

	it('keeps nothing of another sheet, and nothing that cannot be read', () => {
		giving.start();
		giving.leave();
		expect(new Giving(KEY, 90).sheet.stage).toBe('ready');
		stored.set(KEY, '{');
		expect(new Giving(KEY, 100).sheet.stage).toBe('ready');
	});

	it('begins anew with another id', () => {
		giving.start();
		giving.stop();
		giving.reachNothing();
		expect(giving.score).toMatchObject({ correct: 0, accuracy: null });
		giving.takeBack();
		expect(giving.sheet.stage).toBe('last reached');
		const before = giving.id;
		giving.clear();
		expect(giving.id).not.toBe(before);
		expect(stored.size).toBe(0);
		expect(giving.sheet.stage).toBe('ready');
		expect(giving.secondsLeft).toBe(60);
	});
});
