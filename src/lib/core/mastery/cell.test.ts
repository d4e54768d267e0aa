import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readCell, writeCell, type StandingNow } from '.';

const now = fc.oneof(
	fc.record({
		standing: fc.constantFrom('gap', 'forming', 'secure', 'slipping'),
		inferred: fc.constant(null),
		answers: fc.integer({ min: 2, max: 35 })
	}),
	fc.record({
		standing: fc.constant('unseen'),
		inferred: fc.constantFrom('gap', 'forming', 'secure'),
		answers: fc.integer({ min: 0, max: 1 })
	})
) as fc.Arbitrary<Omit<StandingNow, 'probability'>>;

describe('cells of the needle map', () => {
	it('come back from their characters as they were written', () => {
		fc.assert(
			fc.property(fc.array(fc.tuple(now, fc.boolean()), { minLength: 1, maxLength: 60 }), (cells) => {
				const row = cells.map(([one, ready]) => writeCell({ ...one, probability: 0.5 }, ready)).join('');
				expect(row.length).toBe(3 * cells.length);
				cells.forEach(([one, readyNext], place) =>
					expect(readCell(row, place)).toEqual({
						standing: one.inferred ?? one.standing,
						inferred: one.inferred !== null,
						answers: one.answers,
						readyNext
					})
				);
			})
		);
	});

	it('say Unseen where nothing is known, and stop counting at 35 answers', () => {
		expect(readCell(writeCell(undefined, false), 0)).toEqual({
			standing: 'unseen',
			inferred: false,
			answers: 0,
			readyNext: false
		});
		const many: StandingNow = { standing: 'secure', probability: 0.9, answers: 812, inferred: null };
		expect(readCell(writeCell(many, true), 0).answers).toBe(35);
	});
});
