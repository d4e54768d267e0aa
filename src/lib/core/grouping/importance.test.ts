import { describe, expect, it } from 'vitest';
import { makeSkillGraph } from '../mastery';
import { EMPHASES, importanceBy, usualEmphasis } from '.';

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
	it('counts what is due only, and what of the year ahead builds on it, less with every step between', () => {
		// In grade 2 skill 3 is a year ahead: it builds on 2, and by that on 1. 4 is two years ahead.
		expect(importanceBy(graph, levels, { grade: 2, term: 2 })).toEqual(
			new Map([
				[1, 0.4 + 0.6 / 2],
				[2, 1],
				[5, 0.4]
			])
		);
	});

	it('counts a skill by its shortest way to another, and once', () => {
		const both = makeSkillGraph(
			[1, 2, 3],
			[
				{ prerequisite: 1, skill: 2 },
				{ prerequisite: 2, skill: 3 },
				{ prerequisite: 1, skill: 3 }
			]
		);
		const grades = new Map([1, 1, 2].map((grade, i) => [i + 1, { grade, term: 2 }]));
		expect(importanceBy(both, grades, { grade: 1, term: 2 })).toEqual(
			new Map([
				[1, 1],
				[2, 1]
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

	it('is multiplied by the weight that a school gives, and what has none is absent', () => {
		const weights = new Map([
			[1, 0.6],
			[2, 1],
			[5, 0]
		]);
		expect(importanceBy(graph, levels, { grade: 2, term: 2 }, (skill) => weights.get(skill)!)).toEqual(
			new Map([
				[1, 0.6 * 0.7],
				[2, 1]
			])
		);
	});

	it('ships with full weight on numbers and algebra, less on the rest of ours, and full on what is not ours', () => {
		expect(['W', 'F', 'P', 'M', 'S', 'D', 'XQ'].map((code) => EMPHASES[usualEmphasis(code)])).toEqual([
			1, 1, 1, 0.6, 0.6, 0.6, 1
		]);
	});
});
