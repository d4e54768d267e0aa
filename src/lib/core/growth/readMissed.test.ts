import { describe, expect, it } from 'vitest';
import { readMissed } from '.';

describe('what was missed on paper, as it is typed', () => {
	it.each<[string, number[] | null]>([
		['3 7 12', [2, 6, 11]],
		['12,7;3', [2, 6, 11]],
		['  16 ', [15]],
		['3 3 3', [2]],
		['0', []],
		['', null],
		['   ', null]
	])('“%s”', (text, missed) => expect(readMissed(text, 16)).toEqual(missed));

	it.each([
		['17', /There is no question 17: they are 1 to 16/],
		['3 0', /There is no question 0/],
		['three', /^Numbers of questions/],
		['3-5', /^Numbers of questions/],
		['1234', /^Numbers of questions/]
	])('“%s” cannot be read, and why is said', (text, why) => expect(readMissed(text, 16)).toMatch(why));
});
