import { describe, expect, it } from 'vitest';
import { detailLines } from '.';

describe('an entry of the log', () => {
	it('tells of a change what differs, with old and new value', () => {
		const before = { givenName: 'Ada', preferredName: null, grade: 4 };
		expect(detailLines({ student: 12, before, after: { ...before, preferredName: 'Ad', grade: 5 } })).toEqual([
			{ name: 'preferred name', before: 'nothing', value: 'Ad' },
			{ name: 'grade', before: '4', value: '5' }
		]);
	});

	it('tells what was new and what was taken away whole', () => {
		expect(detailLines({ before: null, after: { weeks: 8 } })).toEqual([
			{ name: 'weeks', before: 'nothing', value: '8' }
		]);
		expect(detailLines({ before: { weeks: 8 } })).toEqual([{ name: 'weeks', before: '8', value: 'nothing' }]);
		expect(detailLines({ before: [10], after: [10, 11] })).toEqual([{ name: 'is', before: '10', value: '10, 11' }]);
	});

	it('tells things by name where their names are known, and numbers that count as they are', () => {
		const names = { skill: new Map([[45, 'Unit rates']]), class: new Map([[3, 'Curlew']]) };
		expect(detailLines({ skill: 45, class: 3, group: 9 }, names).map(({ value }) => value)).toEqual([
			'Unit rates',
			'Curlew',
			'9'
		]);
		expect(detailLines({ skills: [45, 46] }, names)).toEqual([{ name: 'skills', value: 'Unit rates, 46' }]);
		expect(detailLines({ skills: 45 }, names)).toEqual([{ name: 'skills', value: '45' }]);
	});

	it('tells the first of a long list and counts the others, and says nothing of what is no detail', () => {
		expect(detailLines({ ids: [1, 2, 3, 4, 5, 6, 7, 8], students: [1] })).toEqual([
			{ name: 'ids', value: '1, 2, 3, 4, 5, 6 and 2 more' }
		]);
		expect(detailLines({ days: [{ fromOn: '2026-12-21', name: 'Break' }] })).toEqual([
			{ name: 'days', value: 'from on 2026-12-21, name Break' }
		]);
		expect(detailLines('text')).toEqual([]);
	});
});
