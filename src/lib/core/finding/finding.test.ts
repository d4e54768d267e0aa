import fc from 'fast-check';
import { beforeAll, describe, expect, it } from 'vitest';
import edges from '../../../../framework/mathematics.edges.json';
import source from '../../../../framework/mathematics.case.json';
import { readCaseFramework } from '../interchange/caseFramework';
import { find, makeFindIndex, type FindIndex } from '.';

let index: FindIndex;
beforeAll(() => {
	index = makeFindIndex();
	index.addAll(
		readCaseFramework(source, edges).skills.map(({ code, shortName, statement, also }) => ({
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
		['times tables', 'W05'],
		['telling time on a clock', 'M02'],
		['carrying and borrowing', 'W03'],
		['what is left over when dividing', 'W09'],
		['negative numbers on a line', 'W12'],
		['average of test scores', 'D07'],
		['percent off a sale price', 'F12'],
		['fractions with different bottoms', 'F08'],
		['plot coordinates', 'D06'],
		['convert cm to meters', 'M06']
	])('“%s” finds it in the first three', (typed, code) => {
		expect(first(typed)).toContain(code);
	});

	it.each([
		['multiplcation facts', 'W05'],
		['perimetr', 'M03'],
		['equivelent fractions', 'F04'],
		['probabilty', 'D12'],
		['elapsd time', 'M05']
	])('“%s” is understood in spite of the slip', (typed, code) => {
		expect(first(typed)).toContain(code);
	});

	it.each([
		['perim', 'M03'],
		['mult', 'W08'],
		['w0', 'W01']
	])('“%s” is enough while typing', (typed, code) => {
		expect(first(typed, 10)).toContain(code);
	});

	it('finds a code first, however it is written', () => {
		expect(first('f05')[0]).toBe('F05');
		expect(first('F05 compare')[0]).toBe('F05');
	});

	it('brings forms of a word together', () => {
		for (const typed of ['adding fractions', 'add fraction', 'added fractions'])
			expect(first(typed)).toEqual(expect.arrayContaining(['F06', 'F08']));
		expect(first('halves')).toContain('F01');
	});
});

describe('finding', () => {
	it('puts what holds every word before what holds only some', () => {
		const all = find(index, 'add signed numbers', 20).map(({ id }) => id);
		expect(all[0]).toBe('W13');
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
