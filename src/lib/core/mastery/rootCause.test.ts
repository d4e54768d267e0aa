import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { makeSkillGraph, readyNext, rootCauses, type CauseChain, type SkillGraph } from '.';

/** 5 needs 3 and 4; 3 needs 1 and 2; 4 needs 2. */
const graph = makeSkillGraph(
	[1, 2, 3, 4, 5],
	[
		{ prerequisite: 1, skill: 3 },
		{ prerequisite: 2, skill: 3 },
		{ prerequisite: 2, skill: 4 },
		{ prerequisite: 3, skill: 5 },
		{ prerequisite: 4, skill: 5 }
	]
);

/** Every way down by plain search; the strongest to each root. */
function byHand(of: SkillGraph, skill: number, mastered: Set<number>, known: (id: number) => number): CauseChain[] {
	const best = new Map<number, CauseChain>();
	const walk = (id: number, skills: number[], strength: number) => {
		const next = of.prerequisites.get(id)!.filter((one) => !mastered.has(one));
		if (next.length === 0 && skills.length) {
			const root = skills[skills.length - 1];
			if (strength > (best.get(root)?.strength ?? -1)) best.set(root, { skills, strength });
		}
		for (const one of next) walk(one, [...skills, one], strength * (1 - known(one)));
	};
	walk(skill, [], 1);
	return [...best.values()];
}

describe('root causes of a gap', () => {
	it('are the chains down to what can be worked on now, strongest first', () => {
		const known = (id: number) => ({ 1: 0.2, 2: 0.9, 3: 0.1, 4: 0.5, 5: 0 })[id]!;
		const chains = rootCauses(graph, 5, () => false, known);
		expect(chains.map(({ skills }) => skills)).toEqual([
			[3, 1],
			[3, 2]
		]);
		expect(chains[0].strength).toBeCloseTo(0.9 * 0.8, 12);
		expect(chains[1].strength).toBeCloseTo(0.9 * 0.1, 12);
	});

	it('leave out what is mastered, and are none when the skill itself can be worked on', () => {
		const mastered = new Set([1, 3]);
		expect(
			rootCauses(
				graph,
				5,
				(id) => mastered.has(id),
				() => 0.3
			).map(({ skills }) => skills)
		).toEqual([[4, 2]]);
		expect(
			rootCauses(
				graph,
				3,
				(id) => id < 3,
				() => 0.3
			)
		).toEqual([]);
	});

	it('agree with trying every way, and end at skills that are ready next', () => {
		const shape = fc.record({
			edges: fc.array(fc.tuple(fc.integer({ min: 0, max: 11 }), fc.integer({ min: 0, max: 11 })), { maxLength: 30 }),
			mastered: fc.array(fc.integer({ min: 0, max: 11 }), { maxLength: 8 }),
			known: fc.array(fc.double({ min: 0.01, max: 0.99, noNaN: true }), { minLength: 12, maxLength: 12 })
		});
		fc.assert(
			fc.property(shape, ({ edges, mastered, known }) => {
				const pairs = new Map(edges.filter(([a, b]) => a < b).map(([a, b]) => [`${a} ${b}`, [a, b]]));
				const skills = Array.from({ length: 12 }, (_, i) => i);
				const random = makeSkillGraph(
					skills,
					[...pairs.values()].map(([prerequisite, skill]) => ({ prerequisite, skill }))
				);
				const done = new Set(mastered);
				const chanceOf = (id: number) => known[id];
				const found = rootCauses(random, 11, (id) => done.has(id), chanceOf);
				const expected = byHand(random, 11, done, chanceOf);
				const strengths = (chains: CauseChain[]) =>
					new Map(chains.map(({ skills: way, strength }) => [way.at(-1), strength.toFixed(10)]));
				expect(strengths(found)).toEqual(new Map([...strengths(expected)].sort(byStrength)));
				const ready = readyNext(random, (id) => done.has(id));
				for (const { skills: way } of found) expect(ready).toContain(way.at(-1));
			})
		);
	});
});

const byStrength = ([, a]: [unknown, string], [, b]: [unknown, string]) => Number(b) - Number(a);
