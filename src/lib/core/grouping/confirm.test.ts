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
	it('are those that seem needed on little evidence, the strongest need first', () => {
		const standings = new Map([
			[1, now(0.3)],
			[3, now(0.1)],
			[4, now(0.2, { standing: 'gap', answers: 6, inferred: null })],
			[5, now(0.25, { standing: 'gap', answers: 2, inferred: null })]
		]);
		expect(skillsToCheck(graph, { standings, importance, tier: 2 }, 4)).toEqual([3, 5, 1]);
		expect(skillsToCheck(graph, { standings, importance, tier: 3 }, 2)).toEqual([3, 5]);
	});

	it('are hardly those that much must come before, and not those that are probably there', () => {
		const standings = new Map([
			[1, now(0.1)],
			[2, now(0.1)],
			[3, now(0.9, { inferred: 'secure' })],
			[6, now(0.05)]
		]);
		expect(skillsToCheck(graph, { standings, importance, tier: 2 }, 4)).toEqual([1, 6, 2]);
		expect(skillsToCheck(graph, { standings, importance: new Map([[6, 0.4]]), tier: 2 }, 4)).toEqual([]);
	});

	it('thin is what is inferred, unseen, or rests on fewer than four answers', () => {
		expect([undefined, now(0.2), now(0.2, { inferred: null, answers: 3 })].map(isThin)).toEqual([true, true, true]);
		expect(isThin(now(0.2, { inferred: null, answers: 4 }))).toBe(false);
	});
});
