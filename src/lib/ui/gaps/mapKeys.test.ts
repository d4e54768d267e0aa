import { describe, expect, it } from 'vitest';
import { stepOf } from './mapKeys';

describe('a key in the map', () => {
	it('moves by one cell, by a page of rows, or to either end of the row', () => {
		expect(stepOf('ArrowUp', 160)).toEqual({ rows: -1, columns: 0 });
		expect(stepOf('ArrowRight', 160)).toEqual({ rows: 0, columns: 1 });
		expect(stepOf('PageDown', 160)).toEqual({ rows: 15, columns: 0 });
		expect(stepOf('End', 160)).toEqual({ rows: 0, columns: 160 });
		const back = { ArrowUp: 'ArrowDown', ArrowLeft: 'ArrowRight', PageUp: 'PageDown', Home: 'End' };
		for (const [one, other] of Object.entries(back)) {
			const [there, again] = [stepOf(one, 160)!, stepOf(other, 160)!];
			expect([there.rows + again.rows, there.columns + again.columns]).toEqual([0, 0]);
		}
	});

	it('is none of the map’s where it means something else', () => {
		for (const key of ['Enter', ' ', 'j', 'Tab', 'Escape', 'constructor']) expect(stepOf(key, 160)).toBeNull();
	});
});
