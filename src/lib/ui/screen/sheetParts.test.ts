import { describe, expect, it } from 'vitest';
import { sheetParts } from './sheetParts';

describe('parts of a sheet', () => {
	it('keep their places together, in order', () => {
		const places = [0, 0, 1, 2, 2, 2].map((part, i) => ({ part, i }));
		expect(sheetParts(places).map((own) => own.map(({ i }) => i))).toEqual([[0, 1], [2], [3, 4, 5]]);
		expect(sheetParts([])).toEqual([]);
	});
});
