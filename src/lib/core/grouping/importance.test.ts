import { describe, expect, it } from 'vitest';
import { makeSkillGraph } from '../mastery';
import { importanceBy } from '.';

/** 1 → 2 → 3 → 4 a year apart each, and 5 on its own beside 1. */
const graph = makeSkillGraph(
	[1, 2, 3, 4, 5],
	[
		{ prerequisite: 1, skill: 2 },
		{ prerequisite: 2, skill: 3 },
		{ prerequisite: 3, skill: 4 }
	]
);
const levels = new Map([1, 2, 3, 4, 1].map((grade, i) => [i + 1, { grade, term: 2 }]));

describe('importance', () => {
	it('counts what is due only, and what builds on it up to a year ahead', () => {
		// In grade 2: on 1 build 2 and 3, on 2 only 3; 4 is two years ahead.
		expect(importanceBy(graph, levels, { grade: 2, term: 2 })).toEqual(
			new Map([
				[1, 1],
				[2, 0.4 + 0.6 / 2],
				[5, 0.4]
			])
		);
	});

	it('takes what is due in a term only from that term on', () => {
		expect([...importanceBy(graph, levels, { grade: 1, term: 1 }).keys()]).toEqual([]);
		expect([...importanceBy(graph, levels, { grade: 1, term: 2 }).keys()]).toEqual([1, 5]);
	});

	it('is the least for all where nothing builds on anything', () => {
		const apart = makeSkillGraph([1, 2], []);
		const both = new Map([1, 2].map((id) => [id, { grade: 1, term: 1 }]));
		expect([...importanceBy(apart, both, { grade: 4, term: 1 }).values()]).toEqual([0.4, 0.4]);
	});
});
