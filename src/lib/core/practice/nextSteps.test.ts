import { describe, expect, it } from 'vitest';
import { makeSkillGraph, type StandingNow } from '../mastery';
import { nextSteps } from './nextSteps';
import { olderSkills } from './olderSkills';

/** 1 → 2 → 3, and 4 by itself. */
const graph = makeSkillGraph(
	[1, 2, 3, 4],
	[
		{ prerequisite: 1, skill: 2 },
		{ prerequisite: 2, skill: 3 }
	]
);
const standings = (mastered: Record<number, number>) =>
	new Map(
		Object.entries(mastered).map(([skillId, chance], i) => [
			Number(skillId),
			{ mastered: chance, answers: 4, lastOn: `2026-10-0${i + 1}` } as StandingNow
		])
	);
const known = (mastered: Record<number, number>, importance: Record<number, number>) => ({
	standings: standings(mastered),
	importance: new Map(Object.entries(importance).map(([id, value]) => [Number(id), value])),
	tier: 2 as const
});
const all = () => true;

describe('what a student could practice next', () => {
	it('is what they are ready for, the most needed first, then what comes later', () => {
		const steps = nextSteps(graph, known({ 1: 0.9, 2: 0.1, 3: 0.05, 4: 0.4 }, { 2: 1, 3: 1 }), all, 5);
		expect(steps).toEqual([
			{ skillId: 2, why: 'due' },
			{ skillId: 4, why: 'further' }
		]);
	});

	it('leaves out what is not offered, and is at most so many', () => {
		const now = known({ 1: 0.9, 2: 0.1, 3: 0.05, 4: 0.4 }, { 2: 1, 4: 0.5 });
		expect(nextSteps(graph, now, (skillId) => skillId !== 2, 5)).toEqual([{ skillId: 4, why: 'due' }]);
		expect(nextSteps(graph, now, all, 1)).toEqual([{ skillId: 2, why: 'due' }]);
	});

	it('is nothing where nothing is known, or nothing is left', () => {
		expect(nextSteps(graph, known({}, {}), all, 3)).toEqual([]);
		expect(nextSteps(graph, known({ 1: 0.9, 2: 0.9, 3: 0.9, 4: 0.9 }, { 1: 1 }), all, 3)).toEqual([]);
	});
});

describe('skills from before', () => {
	it('are those that were shown and are rather there, the one not seen for longest first', () => {
		expect(olderSkills(standings({ 1: 0.9, 2: 0.2, 3: 0.6, 4: 0.95 }), (id) => id !== 4, 3)).toEqual([1, 3]);
		expect(olderSkills(standings({ 1: 0.9, 2: 0.8, 3: 0.6 }), all, 2)).toEqual([1, 2]);
	});

	it('are none that nothing was answered on', () => {
		const unseen = { mastered: 0.9, answers: 1, lastOn: '2026-10-01' };
		expect(olderSkills(new Map([[1, unseen]]), all, 2)).toEqual([]);
	});
});
