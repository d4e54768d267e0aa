import { describe, expect, it } from 'vitest';
import { meanQuestionMs, minutesOf } from '.';

const usualMinutes = (stems: string[], questions: number) => minutesOf(questions * meanQuestionMs(stems));

describe('the minutes of a set', () => {
	it('are those of thinking, and of reading at 150 words a minute', () => {
		// Ten words: 14 s and 4 s; ten of them three minutes.
		const ten = 'How many boats lie in the harbor at low tide?';
		expect(usualMinutes([ten], 10)).toBe(3);
		// Forty words take 30 s, so that half of each kind takes 24 s a question.
		const forty = Array.from({ length: 40 }, () => 'word').join(' ');
		expect(usualMinutes([ten, forty], 10)).toBe(4);
		expect(usualMinutes([` ${forty}\n`], 15)).toBe(8);
	});

	it('are one at least, and never made up', () => {
		expect(usualMinutes(['7 × 8'], 1)).toBe(1);
		expect(() => usualMinutes([], 5)).toThrow(RangeError);
	});
});
