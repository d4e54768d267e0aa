import { describe, expect, it } from 'vitest';
import { examineCase, writeCaseFramework, type CasePackage } from '../src/lib/core/interchange/caseFramework';
import { frameworkProblems } from '../src/lib/core/interchange/framework';
import { familiesFor, itemFamilies, itemFrom } from '../src/lib/core/items/bank';
import { expectedTheta } from '../src/lib/core/measurement';
import { shippedFramework } from './shipped';

const framework = shippedFramework();

describe('the shipped framework', () => {
	it('has 6 domains and at least 160 skills of grades 1 to 8, every domain in every part of school', () => {
		expect(frameworkProblems(framework)).toEqual([]);
		expect(framework.domains.length).toBe(6);
		expect(framework.skills.length).toBeGreaterThanOrEqual(160);
		for (const { code } of framework.domains) {
			const grades = framework.skills.filter(({ domain }) => domain === code).map(({ grade }) => grade);
			for (const [from, to] of [
				[1, 2],
				[3, 4],
				[5, 6],
				[7, 8]
			])
				expect(grades.filter((grade) => grade >= from && grade <= to).length, `${code} ${from}`).toBeGreaterThan(1);
		}
	});

	it('gives every domain and skill the same UUID wherever it is read, each its own', () => {
		const ids = [...framework.domains, ...framework.skills].map(({ identifier }) => identifier!);
		for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}-[0-9a-f]{4}-5[0-9a-f]{3}-[89ab][0-9a-f]{3}-[0-9a-f]{12}$/);
		expect(new Set(ids).size).toBe(ids.length);
		expect(shippedFramework()).toEqual(framework);
	});

	it('names a skill by its domain, its grade and a number', () => {
		for (const { code, domain, grade } of framework.skills)
			expect(code).toMatch(new RegExp(`^${domain}${grade}[1-9]$`));
	});

	it('gives every skill above grade 1 a prerequisite, most one to three, none taught in a later term', () => {
		const level = new Map(framework.skills.map((skill) => [skill.code, expectedTheta(skill)]));
		const counts = new Map(framework.skills.map(({ code }) => [code, 0]));
		for (const { prerequisite, skill } of framework.edges) {
			expect(level.get(prerequisite)!, `${prerequisite} before ${skill}`).toBeLessThanOrEqual(level.get(skill)!);
			counts.set(skill, counts.get(skill)! + 1);
		}
		for (const { code, grade } of framework.skills) if (grade > 1) expect(counts.get(code), code).toBeGreaterThan(0);
		const usual = [...counts.values()].filter((count) => count >= 1 && count <= 3).length;
		expect(usual / framework.skills.length).toBeGreaterThan(0.9);
	});

	it('has an item family for every skill, two or more for at least 100 skills, and families for its own skills only', () => {
		const counts = framework.skills.map(({ code }) => familiesFor(code).length);
		expect(framework.skills.filter((_, i) => counts[i] === 0).map(({ code }) => code)).toEqual([]);
		expect(counts.filter((count) => count >= 2).length).toBeGreaterThanOrEqual(100);
		const codes = new Set(framework.skills.map(({ code }) => code));
		expect(itemFamilies.filter(({ skillCode }) => !codes.has(skillCode)).map(({ id }) => id)).toEqual([]);
		expect(new Set(itemFamilies.map(({ id }) => id)).size).toBe(itemFamilies.length);
	});

	it('asks in every response kind', () => {
		const kinds = new Set(itemFamilies.map(({ id }) => itemFrom(id, 0).response.kind));
		expect([...kinds].sort()).toEqual(
			[
				'choice',
				'clock',
				'expression',
				'fill',
				'fraction',
				'line',
				'match',
				'number',
				'order',
				'plot',
				'rectangle',
				'several',
				'shade',
				'text'
			].sort()
		);
	});
});

describe('reading CASE', () => {
	const written = JSON.parse(JSON.stringify(writeCaseFramework(framework, (name) => `id of ${name}`, new Date(0))));
	const changed = (change: (copy: CasePackage) => void) => {
		const copy: CasePackage = structuredClone(written);
		change(copy);
		return examineCase(copy).problems.join('\n');
	};

	it('names a code that stands twice', () => {
		expect(changed((c) => (c.CFItems[7].humanCodingScheme = c.CFItems[6].humanCodingScheme))).toMatch(/stands twice/);
	});

	it('names an item whose parent is missing', () => {
		const orphan = written.CFItems[9];
		expect(
			changed(
				(c) =>
					(c.CFAssociations = c.CFAssociations.filter(
						(a) => a.associationType !== 'isChildOf' || a.originNodeURI.identifier !== orphan.identifier
					))
			)
		).toContain(`code ${orphan.humanCodingScheme}, has no parent`);
	});

	it('names the circle in prerequisites', () => {
		const first = written.CFAssociations.find(
			({ associationType }: { associationType: string }) => associationType === 'precedes'
		);
		const back = { ...first, originNodeURI: first.destinationNodeURI, destinationNodeURI: first.originNodeURI };
		expect(changed((c) => c.CFAssociations.push(back))).toMatch(/circle: /);
	});
});
