import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
import { cellOf, columnsAlong, makeSkillGraph, placeIn, readyNext } from '.';

const graph = makeSkillGraph(
	[1, 2, 3, 4, 5],
	[
		{ prerequisite: 1, skill: 2 },
		{ prerequisite: 1, skill: 3 },
		{ prerequisite: 5, skill: 4 },
		{ prerequisite: 3, skill: 4 }
	]
);
/** Cells as they are made of chances that skills are mastered; unsaid ones are none. */
function cells(mastered: Record<number, number>) {
	const ready = new Set(readyNext(graph, (skill) => mastered[skill] ?? 0));
	return (skill: number) => cellOf(standingNow('forming', mastered[skill] ?? 0), ready.has(skill));
}

describe('where a student stands in a domain', () => {
	it('is the first skill in teaching order that they are ready for', () => {
		expect(placeIn([1, 2, 3, 4], cells({ 1: 0.95 }))).toEqual({ at: 2, without: null });
		expect(placeIn([3, 2], cells({ 1: 0.95 })).at).toBe(3);
	});

	it('is nowhere when all is mastered, or when a skill of another domain comes first', () => {
		const all = { 1: 0.95, 2: 0.95, 3: 0.95, 4: 0.95 };
		expect(placeIn([1, 2, 3, 4], cells(all))).toEqual({ at: null, without: 'beyond' });
		const but4 = { 1: 0.95, 2: 0.95, 3: 0.95 };
		expect(placeIn([1, 2, 3, 4], cells(but4))).toEqual({ at: null, without: 'before' });
	});

	it('goes by what is rather mastered than not', () => {
		expect(placeIn([1, 2, 3], cells({ 1: 0.55 })).at).toBe(2);
		expect(placeIn([1, 2, 3], cells({ 1: 0.45 })).at).toBe(1);
	});
});

describe('skills in columns along the graph', () => {
	it('stand one column after the last of their prerequisites', () => {
		expect(columnsAlong(graph, [1, 2, 3, 4, 5])).toEqual([[1, 5], [2, 3], [4]]);
		expect(columnsAlong(graph, [2, 4])).toEqual([[2, 4]]);
		expect(columnsAlong(graph, [])).toEqual([]);
	});

	it('hold every skill once, with every edge leading to the right', () => {
		const edge = fc.tuple(fc.integer({ min: 0, max: 14 }), fc.integer({ min: 0, max: 14 }));
		fc.assert(
			fc.property(fc.array(edge, { maxLength: 40 }), (edges) => {
				const skills = Array.from({ length: 15 }, (_, i) => i);
				const made = makeSkillGraph(
					skills,
					edges.filter(([a, b]) => a < b).map(([prerequisite, skill]) => ({ prerequisite, skill }))
				);
				const columns = columnsAlong(made, skills);
				expect(columns.flat().sort((a, b) => a - b)).toEqual(skills);
				const at = (skill: number) => columns.findIndex((column) => column.includes(skill));
				for (const [skill, before] of made.prerequisites)
					for (const one of before) expect(at(one)).toBeLessThan(at(skill));
			})
		);
	});
});
