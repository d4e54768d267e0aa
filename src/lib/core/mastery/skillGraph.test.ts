import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { seededRandom } from '../random';
import { findCycle, makeSkillGraph, progression, readiness, readyNext } from '.';

describe('skill graph', () => {
	it('finds ready next as the outer fringe, checked by definition on random graphs', () => {
		fc.assert(
			fc.property(fc.integer(), fc.integer({ min: 1, max: 12 }), (seed, size) => {
				const random = seededRandom(seed);
				const skills = Array.from({ length: size }, (_, i) => i);
				const edges = skills.flatMap((skill) =>
					skills.filter((p) => p < skill && random.chance(0.3)).map((prerequisite) => ({ prerequisite, skill }))
				);
				const mastered = new Set(skills.filter(() => random.chance(0.5)));
				const next = new Set(
					readyNext(makeSkillGraph(skills, edges), (s) =>
						mastered.has(s) ? 0.5 + 0.5 * random.unit() : 0.49 * random.unit()
					)
				);
				for (const skill of skills) {
					const open = edges.some((e) => e.skill === skill && !mastered.has(e.prerequisite));
					expect(next.has(skill)).toBe(!mastered.has(skill) && !open);
				}
			})
		);
	});

	it('takes readiness as the product of the chances of what comes before, even where nothing is known', () => {
		const graph = makeSkillGraph(
			[1, 2, 3],
			[
				{ prerequisite: 1, skill: 3 },
				{ prerequisite: 2, skill: 3 }
			]
		);
		expect(readiness(graph, 3, (skill) => (skill === 1 ? 0.8 : null))).toBeCloseTo(0.4, 12);
		expect(readiness(graph, 1, () => 0)).toBe(1);
		expect(readyNext(graph, (skill) => (skill === 1 ? 0.8 : null))).toEqual([2]);
	});

	it('shows what leads to a skill and what it opens, step by step, each skill once at its nearest', () => {
		// 1 → 2 → 4 → 5 → 7, 1 → 3 → 4, 1 → 4, and 6 on its own.
		const graph = makeSkillGraph(
			[1, 2, 3, 4, 5, 6, 7],
			[
				[1, 2],
				[1, 3],
				[2, 4],
				[3, 4],
				[1, 4],
				[4, 5],
				[5, 7]
			].map(([prerequisite, skill]) => ({ prerequisite, skill }))
		);
		const { before, after, edges } = progression(graph, 4, 2);
		expect(before).toEqual([[1, 2, 3]]);
		expect(after).toEqual([[5], [7]]);
		expect(edges.length).toBe(7);
		expect(progression(graph, 4, 1).after).toEqual([[5]]);
		expect(progression(graph, 6, 3)).toEqual({ before: [], after: [], edges: [] });
	});

	it('names the skills of a circle and refuses edges to nowhere', () => {
		expect(
			findCycle(
				new Map([
					['a', ['b']],
					['b', ['c']],
					['c', ['a']]
				])
			)
		).toEqual(['a', 'b', 'c', 'a']);
		expect(() =>
			makeSkillGraph(
				[1, 2],
				[
					{ prerequisite: 1, skill: 2 },
					{ prerequisite: 2, skill: 1 }
				]
			)
		).toThrow(/circle/);
		expect(() => makeSkillGraph([1], [{ prerequisite: 9, skill: 1 }])).toThrow(/names no skill/);
	});
});
