import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { MapColumn } from './columns';
import { columnsInView, columnStarts, SEGMENT, widthOf, WIDTHS } from './columnWindow';

const skill = (isFirst: boolean) => ({ kind: 'skill', domainId: 1, isFirst, skill: {} }) as MapColumn;
const folded = { kind: 'folded', domainId: 2, name: 'Data', skills: [], isFirst: true } as MapColumn;

describe('columns of the needle map in view', () => {
	it('begin where the ones before end', () => {
		expect(columnStarts([skill(true), skill(false), folded])).toEqual([
			0,
			WIDTHS.first,
			WIDTHS.first + WIDTHS.skill,
			WIDTHS.first + WIDTHS.skill + WIDTHS.folded
		]);
		expect(columnStarts([])).toEqual([0]);
	});

	it('are all that show a pixel, by whole segments and one more', () => {
		fc.assert(
			fc.property(fc.array(fc.boolean(), { maxLength: 200 }), fc.nat(5_000), fc.nat(1_500), (firsts, left, width) => {
				const columns = firsts.map(skill);
				const starts = columnStarts(columns);
				const { from, until } = columnsInView(starts, left, left + width);
				const shown = columns.flatMap((column, i) =>
					starts[i] < left + width && starts[i] + widthOf(column) > left ? [i] : []
				);
				for (const i of shown) {
					expect(i).toBeGreaterThanOrEqual(from);
					expect(i).toBeLessThan(until);
				}
				expect(until - from).toBeLessThanOrEqual(shown.length + 4 * SEGMENT);
				expect(from % SEGMENT).toBe(0);
				expect(from).toBeGreaterThanOrEqual(0);
				expect(until).toBeLessThanOrEqual(columns.length);
			})
		);
	});
});
