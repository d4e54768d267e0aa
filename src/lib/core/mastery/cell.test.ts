import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
import { addDays } from '../calendar';
import { readCell, writeCell, type StandingNow } from '.';

const TODAY = '2026-11-23';
/** Days since the last answer; null without any. */
const ago = fc.option(fc.integer({ min: 0, max: 1_294 }));
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
) as fc.Arbitrary<Pick<StandingNow, 'standing' | 'inferred' | 'answers'>>;

describe('cells of the needle map', () => {
	it('come back from their characters as they were written', () => {
		fc.assert(
			fc.property(fc.array(fc.tuple(now, fc.boolean(), ago), { minLength: 1, maxLength: 60 }), (cells) => {
				const row = cells
					.map(([one, ready, days]) =>
						writeCell(
							{ ...standingNow(one.standing), ...one, lastOn: days === null ? null : addDays(TODAY, -days) },
							ready,
							TODAY
						)
					)
					.join('');
				expect(row.length).toBe(5 * cells.length);
				cells.forEach(([one, readyNext, daysAgo], place) =>
					expect(readCell(row, place)).toEqual({
						standing: one.inferred ?? one.standing,
						inferred: one.inferred !== null,
						answers: one.answers,
						readyNext,
						daysAgo
					})
				);
			})
		);
	});

	it('say Unseen where nothing is known, and stop counting at 35 answers', () => {
		expect(readCell(writeCell(undefined, false, TODAY), 0)).toEqual({
			standing: 'unseen',
			inferred: false,
			answers: 0,
			readyNext: false,
			daysAgo: null
		});
		const many = standingNow('secure', 0.9, { answers: 812 });
		expect(readCell(writeCell(many, true, TODAY), 0).answers).toBe(35);
		const old = { ...many, lastOn: '2019-01-01' };
		expect(readCell(writeCell(old, true, TODAY), 0).daysAgo).toBe(1_294);
	});
});
