import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { dayIn, idIn, idOf, idsIn, MOST_ID, oneIn, textIn } from './address';

const at = (query: string) => new URL(`http://school/?${query}`);

describe('what an address holds', () => {
	it('is an id or nothing', () => {
		expect(idIn(at('student=12'), 'student')).toBe(12);
		for (const text of ['', '0', '-1', '1.5', '1e3', 'Infinity', '1e400', ' 7', '99999999999', String(MOST_ID + 1)])
			expect(idIn(at(`student=${encodeURIComponent(text)}`), 'student'), text).toBeNull();
		expect(idIn(at(''), 'student')).toBeNull();
		fc.assert(
			fc.property(fc.string(), (text) => {
				const id = idOf(text);
				expect(id === null || (Number.isInteger(id) && id >= 1 && id <= MOST_ID)).toBe(true);
			})
		);
	});

	it('is a list of ids, each once and no more than are wanted', () => {
		expect(idsIn(at('students=3,x,3,,Infinity,5,9'), 'students', 7)).toEqual([3, 5, 9]);
		expect(idsIn(at('students=3,4,5'), 'students', 2)).toEqual([3, 4]);
		expect(idsIn(at(''), 'students', 2)).toEqual([]);
	});

	it('is a day of this century or nothing', () => {
		expect(dayIn(at('on=2026-11-23'), 'on')).toBe('2026-11-23');
		for (const text of ['9999-12-31', '0000-01-01', '2026-02-30', 'today', '20'])
			expect(dayIn(at(`on=${text}`), 'on')).toBeNull();
	});

	it('is a text of so many characters, or one of some words', () => {
		expect(textIn(at('q=thirds'), 'q', 3)).toBe('thi');
		expect(oneIn(at('as=student'), 'as', ['staff', 'student'])).toBe('student');
		expect(oneIn(at('as=other'), 'as', ['staff', 'student'])).toBeNull();
	});
});
