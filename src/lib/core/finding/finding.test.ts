import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { find, makeFindIndex, type FindIndex } from '.';

let index: FindIndex;
beforeAll(() => {
	index = makeFindIndex();
	index.addAll(
		shippedFramework().skills.map(({ code, shortName, statement, also }) => ({
			id: code,
			code,
			name: shortName,
			statement,
			also
		}))
	);
});
const first = (typed: string, most = 3) => find(index, typed, most).map(({ id }) => id);

describe('what a teacher types', () => {
	it.each([
		['times tables', 'W32'],
		['telling time on a clock', 'M22'],
		['carrying and borrowing', 'W23'],
		['what is left over when dividing', 'W43'],
		['negative numbers on a line', 'W61'],
		['average of test scores', 'D51'],
		['percent off a sale price', 'F71'],
		['fractions with different bottoms', 'F52'],
		['plot coordinates', 'S51'],
		['convert cm to meters', 'M41']
	])('“%s” finds it in the first three', (typed, code) => {
		expect(first(typed)).toContain(code);
	});

	it.each([
		['multiplcation facts', 'W32'],
		['perimetr', 'M31'],
		['equivelent fractions', 'F41'],
		['probabilty', 'D71'],
		['elapsd time', 'M33']
	])('“%s” is understood in spite of the slip', (typed, code) => {
		expect(first(typed)).toContain(code);
	});

	it.each([
		['perim', 'M31'],
		['mult', 'W42'],
		['w2', 'W21']
	])('“%s” is enough while typing', (typed, code) => {
		expect(first(typed, 10)).toContain(code);
	});

	it('finds a code first, however it is written', () => {
		expect(first('f42')[0]).toBe('F42');
		expect(first('F42 compare')[0]).toBe('F42');
	});

	it('brings forms of a word together', () => {
		for (const typed of ['adding fractions', 'add fraction', 'added fractions'])
			expect(first(typed)).toEqual(expect.arrayContaining(['F43', 'F52']));
		expect(first('halves')).toContain('F21');
	});
});

describe('finding', () => {
	it('puts what holds every word before what holds only some', () => {
		const all = find(index, 'add signed numbers', 20).map(({ id }) => id);
		expect(all[0]).toBe('W71');
		expect(all.length).toBeGreaterThan(3);
	});

	it('is empty for nothing, and for words that say nothing', () => {
		expect(first('')).toEqual([]);
		expect(first('how to do it')).toEqual([]);
	});

	it('never throws, gives each thing once, and no more than asked for', () => {
		fc.assert(
			fc.property(fc.string({ maxLength: 60 }), fc.integer({ min: 0, max: 8 }), (typed, most) => {
				const ids = first(typed, most);
				expect(ids.length).toBeLessThanOrEqual(most);
				expect(new Set(ids).size).toBe(ids.length);
			})
		);
	});

	it('finds a standard by its code with points and hyphens, and by a part of it', () => {
		const standards = makeFindIndex();
		standards.add({
			id: 's1',
			code: '4.NF-A.1',
			name: '',
			statement: 'Explain why fractions are equivalent',
			also: ''
		});
		standards.add({ id: 's2', code: '4.NF-B.3', name: '', statement: 'Add fractions', also: '' });
		expect(find(standards, '4.nf-a.1', 2)[0].id).toBe('s1');
		expect(find(standards, 'nf', 5).length).toBe(2);
	});
});
