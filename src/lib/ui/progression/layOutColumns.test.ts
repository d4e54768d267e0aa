import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOX, layOutColumns } from './layOutColumns';

describe('a drawn progression', () => {
	it('draws each edge from the right side of one head to the left side of the other', () => {
		const { boxes, paths } = layOutColumns(
			[[1], [4, 2], [3]],
			[
				{ prerequisite: 1, skill: 2 },
				{ prerequisite: 2, skill: 3 }
			],
			(id) => (id === 4 ? 100 : BOX.head)
		);
		expect(boxes.map(({ id, y }) => [id, y])).toEqual([
			[1, 0],
			[4, 0],
			[2, 100 + BOX.down],
			[3, 0]
		]);
		const [y1, y2, middle] = [BOX.head / 2, 100 + BOX.down + BOX.head / 2, BOX.width + BOX.across / 2];
		expect(paths[0].path).toBe(`M${BOX.width} ${y1}C${middle} ${y1} ${middle} ${y2} ${BOX.width + BOX.across} ${y2}`);
		expect(paths.map(({ skill }) => skill)).toEqual([2, 3]);
	});

	it('draws no edge within a column, back, or to what is not shown', () => {
		const { paths } = layOutColumns(
			[[1, 2], [3]],
			[
				{ prerequisite: 1, skill: 2 },
				{ prerequisite: 3, skill: 1 },
				{ prerequisite: 9, skill: 3 },
				{ prerequisite: 2, skill: 3 }
			]
		);
		expect(paths.map(({ prerequisite, skill }) => [prerequisite, skill])).toEqual([[2, 3]]);
	});

	it('is nothing without columns', () => {
		expect(layOutColumns([], [])).toEqual({ boxes: [], paths: [], width: 0, height: 0 });
	});

	it('lets no two boxes overlap, keeps all inside, and is as tall as its tallest column', () => {
		const students = fc.array(fc.integer({ min: 0, max: 9 }), { minLength: 1, maxLength: 6 });
		fc.assert(
			fc.property(fc.array(students, { minLength: 1, maxLength: 6 }), (counts) => {
				const heights = counts.flat().map((count) => BOX.head + 26 * count);
				let next = 0;
				const columns = counts.map((column) => column.map(() => next++));
				const { boxes, width, height } = layOutColumns(columns, [], (id) => heights[id]);
				expect(boxes.map(({ id }) => id)).toEqual(heights.map((_, id) => id));
				let tallest = 0;
				for (const a of boxes) {
					expect(a.x + BOX.width).toBeLessThanOrEqual(width);
					expect(a.y).toBeGreaterThanOrEqual(0);
					expect(a.y + a.height).toBeLessThanOrEqual(height + 1e-9);
					for (const b of boxes) {
						if (a.column === b.column) tallest = Math.max(tallest, b.y + b.height - a.y);
						if (a.id >= b.id) continue;
						const apartDown = Math.max(b.y - a.y - a.height, a.y - b.y - b.height);
						expect(Math.abs(a.x - b.x) >= BOX.width || apartDown >= BOX.down - 1e-9).toBe(true);
					}
				}
				expect(height).toBeCloseTo(tallest, 9);
			})
		);
	});
});
