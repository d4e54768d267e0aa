import { describe, expect, it } from 'vitest';
import { sayCell, sayTime } from './sayOutcome';

describe('in words', () => {
	it.each([
		[{ outcome: 'first try', tries: 1, seconds: 9, hints: 0 }, 'right at the first try, 1 try, 9 s'],
		[{ outcome: 'missed', tries: 2, seconds: 34, hints: 1 }, 'missed, 2 tries, 34 s, with a hint'],
		[{ outcome: 'unanswered', tries: 0, seconds: 0, hints: 0 }, 'not answered']
	] as const)('a question of a student is told: %j', (cell, says) => {
		expect(sayCell(cell)).toBe(says);
	});

	it.each([
		[0, '0:00'],
		[59_499, '0:59'],
		[59_500, '1:00'],
		[3_605_000, '60:05']
	])('%i ms are %s', (milliseconds, says) => {
		expect(sayTime(milliseconds)).toBe(says);
	});
});
