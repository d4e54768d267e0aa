import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { standingNow } from '../../../../tests/standingNow';
import { columnsAlong, makeSkillGraph, placeIn } from '.';

const graph = makeSkillGraph(
	[1, 2, 3, 4, 5],
	[
		{ prerequisite: 1, skill: 2 },
		{ prerequisite: 1, skill: 3 },
		{ prerequisite: 5, skill: 4 },
		{ prerequisite: 3, skill: 4 }
	]
);
const secure = (...ids: number[]) => new Map(ids.map((id) => [id, standingNow('secure', 0.95)]));

describe('where a student stands in a domain', () => {
	it('is the first skill in teaching order that they are ready for', () => {
		expect(placeIn(graph, [1, 2, 3, 4], secure(1))).toEqual({ at: 2, ready: [2, 3], without: null });
		expect(placeIn(graph, [3, 2], secure(1)).at).toBe(3);
	});

	it('is nowhere when all is secure, or when a skill of another domain comes first', () => {
		expect(placeIn(graph, [1, 2, 3, 4], secure(1, 2, 3, 4))).toEqual({ at: null, ready: [], without: 'beyond' });
		expect(placeIn(graph, [1, 2, 3, 4], secure(1, 2, 3))).toEqual({ at: null, ready: [], without: 'before' });
	});

	it('goes by what is rather mastered than not, with answers or without', () => {
		const inferred = new Map([[1, standingNow('unseen', 0.9, { answers: 0, inferred: 'secure' })]]);
		expect(placeIn(graph, [1, 2, 3], inferred).at).toBe(2);
		expect(placeIn(graph, [1, 2, 3], new Map([[1, standingNow('forming', 0.55)]])).at).toBe(2);
		expect(placeIn(graph, [1, 2, 3], new Map([[1, standingNow('forming', 0.45)]])).at).toBe(1);
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
