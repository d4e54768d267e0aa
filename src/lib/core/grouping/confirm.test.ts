import { describe, expect, it } from 'vitest';
import { isThin, skillsToCheck } from '.';
import { standingNow } from '../../../../tests/standingNow';
import { makeSkillGraph, type StandingNow } from '../mastery';

const now = (mastered: number, change: Partial<StandingNow> = {}) =>
	standingNow('unseen', mastered, { answers: 0, inferred: mastered < 0.35 ? 'gap' : 'forming', ...change });
const graph = makeSkillGraph(
	[1, 2, 3, 4, 5, 6],
	[
		{ prerequisite: 1, skill: 2 },
		{ prerequisite: 2, skill: 6 }
	]
);

const importance = new Map([1, 2, 3, 4, 5, 6].map((id) => [id, 1]));

describe('skills worth a check before groups are formed', () => {
	it('are those that seem needed on little evidence, those first of which a check would tell most', () => {
		const at = (mean: number, standardError: number, change: Partial<StandingNow> = {}) =>
			now(0.2, { level: { mean, standardError }, ...change });
		const standings = new Map([
			[1, at(0.2, 0.9)],
			// Sure already: a check would hardly tell more.
			[3, at(-2, 0.5)],
			[4, at(0, 0.9, { standing: 'gap', answers: 6, inferred: null })],
			[5, at(0.5, 0.9, { standing: 'gap', answers: 2, inferred: null })]
		]);
		const asked = { most: 4, questions: 5 };
		expect(skillsToCheck(graph, { standings, importance, tier: 2 }, asked)).toEqual([5, 1, 3]);
		expect(skillsToCheck(graph, { standings, importance, tier: 3 }, { ...asked, most: 2 })).toEqual([5, 1]);
		const less = new Map([...importance, [5, 0.5]]);
		expect(skillsToCheck(graph, { standings, importance: less, tier: 2 }, asked)[0]).toBe(1);
	});

	it('are not those that are probably there, nor those that are not due', () => {
		const standings = new Map([
			[1, now(0.1)],
			[3, now(0.9, { inferred: 'secure' })],
			[6, now(0.05)]
		]);
		const asked = { most: 4, questions: 5 };
		expect(skillsToCheck(graph, { standings, importance, tier: 2 }, asked).sort()).toEqual([1, 6]);
		expect(skillsToCheck(graph, { standings, importance: new Map([[2, 0.4]]), tier: 2 }, asked)).toEqual([]);
	});

	it('thin is what is inferred, unseen, or rests on fewer than four answers', () => {
		expect([undefined, now(0.2), now(0.2, { inferred: null, answers: 3 })].map(isThin)).toEqual([true, true, true]);
		expect(isThin(now(0.2, { inferred: null, answers: 4 }))).toBe(false);
	});
});
