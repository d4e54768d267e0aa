import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { drawInTurn } from './drawInTurn';

beforeEach(() => void vi.useFakeTimers());
afterEach(() => void vi.useRealTimers());

it('draws one thing a task, in order', () => {
	const drawn: string[] = [];
	for (const name of ['first', 'second', 'third']) drawInTurn(() => drawn.push(name));
	expect(drawn).toEqual([]);
	vi.advanceTimersToNextTimer();
	expect(drawn).toEqual(['first']);
	vi.advanceTimersToNextTimer();
	expect(drawn).toEqual(['first', 'second']);
	vi.runAllTimers();
	expect(drawn).toEqual(['first', 'second', 'third']);
});

it('skips what gave its turn up, and begins anew after it was done', () => {
	const drawn: string[] = [];
	drawInTurn(() => drawn.push('first'));
	const giveUp = drawInTurn(() => drawn.push('second'));
	giveUp();
	vi.runAllTimers();
	expect(drawn).toEqual(['first']);
	drawInTurn(() => drawn.push('third'));
	vi.runAllTimers();
	expect(drawn).toEqual(['first', 'third']);
});

it('draws what comes after a fault', () => {
	const drawn: string[] = [];
	drawInTurn(() => {
		throw new Error('not drawn');
	});
	drawInTurn(() => drawn.push('second'));
	expect(() => vi.runAllTimers()).toThrow('not drawn');
	vi.runAllTimers();
	expect(drawn).toEqual(['second']);
});
