import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { BOX, layOut } from './progressionLayout';

describe('a drawn progression', () => {
	it('stands prerequisites left of the skill and what it opens right of it', () => {
		const { skills } = layOut(5, { before: [[3, 4], [1]], after: [[6]], edges: [] });
		const column = (id: number) => skills.find((one) => one.id === id)!.column;
		expect([1, 3, 4, 5, 6].map(column)).toEqual([0, 1, 1, 2, 3]);
	});

	it('draws each edge from the right side of one to the left side of the other', () => {
		const { edges, skills } = layOut(2, {
			before: [[1]],
			after: [[3]],
			edges: [
				{ prerequisite: 1, skill: 2 },
				{ prerequisite: 2, skill: 3 }
			]
		});
		const [one, two] = skills;
		expect(edges[0].path).toBe(
			`M${one.x + BOX.width} ${one.y + BOX.height / 2}C${one.x + BOX.width + BOX.across / 2} ${one.y + BOX.height / 2} ${two.x - BOX.across / 2} ${two.y + BOX.height / 2} ${two.x} ${two.y + BOX.height / 2}`
		);
		expect(edges.length).toBe(2);
	});

	it('lets no two boxes overlap, and keeps all inside', () => {
		const layer = fc.integer({ min: 1, max: 6 });
		fc.assert(
			fc.property(fc.array(layer, { maxLength: 3 }), fc.array(layer, { maxLength: 3 }), (left, right) => {
				let next = 1;
				const layers = (sizes: number[]) => sizes.map((size) => Array.from({ length: size }, () => next++));
				const { skills, width, height } = layOut(0, { before: layers(left), after: layers(right), edges: [] });
				for (const a of skills) {
					expect(a.x + BOX.width).toBeLessThanOrEqual(width);
					expect(a.y).toBeGreaterThanOrEqual(0);
					expect(a.y + BOX.height).toBeLessThanOrEqual(height + 1e-9);
					for (const b of skills) {
						if (a.id >= b.id) continue;
						expect(Math.abs(a.x - b.x) >= BOX.width || Math.abs(a.y - b.y) >= BOX.height).toBe(true);
					}
				}
			})
		);
	});
});
