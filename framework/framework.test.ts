import { describe, expect, it } from 'vitest';
import { readCaseFramework } from '../src/lib/core/interchange/caseFramework';
import { familiesFor, makeItem } from '../src/lib/core/items';
import { expectedTheta } from '../src/lib/core/measurement';
import edges from './mathematics.edges.json';
import source from './mathematics.case.json';

const framework = readCaseFramework(source, edges);

describe('the shipped framework', () => {
	it('has 4 domains and at least 40 skills of grades 2 to 7', () => {
		expect(framework.domains.length).toBe(4);
		expect(framework.skills.length).toBeGreaterThanOrEqual(40);
		for (const { grade, term } of framework.skills) {
			expect([2, 3, 4, 5, 6, 7]).toContain(grade);
			expect([1, 2, 3]).toContain(term);
		}
	});

	it('teaches every prerequisite in an earlier term than what needs it', () => {
		const level = new Map(framework.skills.map((skill) => [skill.code, expectedTheta(skill)]));
		for (const { prerequisite, skill } of framework.edges)
			expect(level.get(prerequisite)!).toBeLessThan(level.get(skill)!);
	});

	it('has an item family for every skill and at least five response kinds', () => {
		const kinds = new Set<string>();
		for (const { code } of framework.skills) {
			const families = familiesFor(code);
			expect(families.length, code).toBeGreaterThan(0);
			for (const family of families) {
				kinds.add(makeItem(family, 0).response.kind);
			}
		}
		expect(kinds.size).toBeGreaterThanOrEqual(5);
	});
});

describe('reading CASE', () => {
	const changed = (change: (copy: typeof source) => void) => {
		const copy = structuredClone(source);
		change(copy);
		return () => readCaseFramework(copy, edges);
	};

	it('names a code that stands twice', () => {
		expect(changed((c) => (c.CFItems[6].humanCodingScheme = c.CFItems[5].humanCodingScheme))).toThrow(/stands twice/);
	});

	it('names an item whose parent is missing', () => {
		expect(
			changed(
				(c) =>
					(c.CFAssociations = c.CFAssociations.filter((a) => a.originNodeURI.identifier !== c.CFItems[9].identifier))
			)
		).toThrow(`code ${source.CFItems[9].humanCodingScheme}, has no parent`);
	});

	it('names the circle in prerequisites', () => {
		expect(() => readCaseFramework(source, [...edges, { prerequisite: 'W05', skill: 'W04' }])).toThrow(
			/circle: .*W0[45].*W0[45]/
		);
	});

	it('reads prerequisites stated as precedes', () => {
		const link = { ...source.CFAssociations[4], associationType: 'precedes' };
		link.originNodeURI = { ...link.originNodeURI, identifier: source.CFItems[4].identifier };
		link.destinationNodeURI = { ...link.destinationNodeURI, identifier: source.CFItems[5].identifier };
		const read = readCaseFramework({ ...source, CFAssociations: [...source.CFAssociations, link] }, []);
		expect(read.edges).toEqual([{ prerequisite: 'W01', skill: 'W02' }]);
	});
});
