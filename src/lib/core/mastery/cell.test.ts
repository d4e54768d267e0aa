import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
import { cellOf, isOwn, packCells, readCell, type Cell } from './cell';
import { shareBand } from './share';
import { dayNumber, dayOfNumber } from './storedDay';

const cell: fc.Arbitrary<Cell> = fc.record({
	standing: fc.constantFrom('gap', 'forming', 'secure', 'slipping', 'unseen'),
	inferred: fc.boolean(),
	answers: fc.integer({ min: 0, max: 255 }),
	readyNext: fc.boolean(),
	isSure: fc.boolean(),
	isMastered: fc.boolean(),
	lacks: fc.boolean(),
	lastDay: fc.option(fc.integer({ min: 0, max: 0xfffe }))
});

describe('cells of the needle map', () => {
	it('come back from their bytes as they were, four bytes each', () => {
		fc.assert(
			fc.property(fc.array(cell, { minLength: 1, maxLength: 60 }), (cells) => {
				const bytes = packCells(cells);
				expect(bytes.length).toBe(4 * cells.length);
				cells.forEach((one, place) => expect(readCell(bytes, place)).toEqual(one));
			})
		);
	});

	it('show the own standing or what is inferred, with its day, and stop counting at 255 answers', () => {
		const own = cellOf(standingNow('secure', 0.9, { answers: 812, lastOn: '2026-11-18' }), true);
		expect(own).toMatchObject({ standing: 'secure', inferred: false, answers: 255, readyNext: true, isMastered: true });
		expect(dayOfNumber(own.lastDay!)).toBe('2026-11-18');
		const inferred = cellOf(standingNow('unseen', 0.1, { inferred: 'gap', answers: 0 }), false);
		expect(inferred).toMatchObject({ standing: 'gap', inferred: true, isMastered: false, lastDay: null });
		expect([isOwn(own), isOwn(inferred), isOwn({ standing: 'unseen', inferred: false })]).toEqual([true, false, false]);
	});

	it('are sure where the band of the share is at most half of all wide, and lacking under an even share', () => {
		for (const standardError of [0.2, 0.5, 0.7, 0.9, 1.4]) {
			const level = { mean: -0.2, standardError };
			const { lower, upper } = shareBand(level, 0);
			const found = cellOf(standingNow('forming', 0.5, { level, difficulty: 0 }), false);
			expect(found.isSure).toBe(upper - lower <= 0.5);
			expect(found.lacks).toBe(true);
		}
		const level = { mean: 0.1, standardError: 0.5 };
		expect(cellOf(standingNow('forming', 0.5, { level, difficulty: 0 }), false).lacks).toBe(false);
	});
});

it('days as numbers come back, and none stays none', () => {
	for (const day of ['2000-01-01', '2026-11-23', '2099-12-31', null]) expect(dayOfNumber(dayNumber(day))).toBe(day);
});
