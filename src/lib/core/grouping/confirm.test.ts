import { describe, expect, it } from 'vitest';
import { isThin, skillsToCheck } from '.';
import { makeSkillGraph, type StandingNow } from '../mastery';

const now = (probability: number, change: Partial<StandingNow> = {}): StandingNow => ({
	standing: 'unseen',
	probability,
	answers: 0,
	inferred: probability < 0.35 ? 'gap' : 'forming',
	...change
});
const graph = makeSkillGraph(
	[1, 2, 3, 4, 5, 6],
	[
		{ prerequisite: 1, skill: 2 },
		{ prerequisite: 2, skill: 6 }
	]
);

describe('skills worth a check before groups are formed', () => {
	it('are those that seem needed on little evidence, the strongest need first', () => {
		const standings = new Map([
			[1, now(0.3)],
			[3, now(0.1)],
			[4, now(0.2, { standing: 'gap', answers: 6, inferred: null })],
			[5, now(0.25, { standing: 'gap', answers: 2, inferred: null })]
		]);
		expect(skillsToCheck(standings, graph, 2, 4)).toEqual([3, 5, 1]);
		expect(skillsToCheck(standings, graph, 3, 2)).toEqual([3, 5]);
	});

	it('are not those whose prerequisite seems to be a gap, or that are probably known', () => {
		const standings = new Map([
			[1, now(0.1)],
			[2, now(0.1)],
			[3, now(0.9, { inferred: 'secure' })],
			[6, now(0.1)]
		]);
		expect(skillsToCheck(standings, graph, 2, 4)).toEqual([1]);
	});

	it('thin is what is inferred, unseen, or rests on fewer than four answers', () => {
		expect([undefined, now(0.2), now(0.2, { inferred: null, answers: 3 })].map(isThin)).toEqual([true, true, true]);
		expect(isThin(now(0.2, { inferred: null, answers: 4 }))).toBe(false);
	});
});
