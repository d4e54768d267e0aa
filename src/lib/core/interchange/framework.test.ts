import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { seededRandom, seedFrom } from '../random';
import { examineCase, writeCaseFramework, type CasePackage } from './caseFramework';
import { frameworkProblems, planFramework, type Framework } from './framework';
import { readSkillTable, writeSkillTable } from './skillTable';

const shipped = shippedFramework();
/** A UUID that is always the same for the same name. */
function uuidOf(name: string): string {
	const random = seededRandom(seedFrom('uuid', name));
	const hex = Array.from({ length: 32 }, () => random.integer(0, 15).toString(16)).join('');
	return `${hex.slice(0, 8)}-${hex.slice(8, 12)}-4${hex.slice(13, 16)}-8${hex.slice(17, 20)}-${hex.slice(20)}`;
}
const AT = new Date('2026-11-23T15:00:00Z');
const skill = (code: string, change: object = {}): Framework['skills'][number] => ({
	code,
	domain: 'A',
	statement: `Do ${code}`,
	shortName: `Name ${code}`,
	also: '',
	grade: 3,
	term: 1,
	...change
});
const small = (change: Partial<Framework> = {}): Framework => ({
	title: 'Try',
	subject: 'Try',
	domains: [{ code: 'A', name: 'Domain A' }],
	skills: [skill('A1'), skill('A2')],
	edges: [{ prerequisite: 'A1', skill: 'A2' }],
	...change
});

describe('a framework', () => {
	it('is sound as shipped', () => {
		expect(frameworkProblems(shipped)).toEqual([]);
	});

	it.each([
		[{ skills: [skill('A1'), skill('A1')] }, 'skill A1 stands twice'],
		[{ skills: [skill('A1'), skill('a1')] }, 'skill a1 stands twice'],
		[{ domains: [{ code: 'A', name: 'x'.repeat(121) }] }, 'domain A has no name of at most 120 characters'],
		[
			{
				domains: [
					{ code: 'A', name: 'x' },
					{ code: 'B!', name: 'y' }
				]
			},
			'“B!” is no code'
		],
		[{ skills: [skill('A1', { shortName: '' }), skill('A2')] }, 'skill A1 has no name'],
		[{ skills: Array.from({ length: 3_001 }, (_, i) => skill(`A${i}`)) }, 'there are 3001 skills; at most 3000'],
		[{ domains: [] }, 'skill A1 names the domain A, which is missing'],
		[{ skills: [skill('A1', { grade: 9 }), skill('A2')] }, 'skill A1 has no grade from 1 to 8'],
		[{ skills: [skill('A1', { term: 4 }), skill('A2')] }, 'skill A1 has no term from 1 to 3'],
		[{ skills: [skill('A1', { statement: ' ' }), skill('A2')] }, 'skill A1 has no statement'],
		[
			{ skills: [skill('A1', { statement: 'x'.repeat(301) }), skill('A2')] },
			'skill A1: its statement is longer than 300'
		],
		[{ skills: [skill('A 1')] }, '“A 1” is no code'],
		[{ edges: [{ prerequisite: 'A9', skill: 'A2' }] }, 'prerequisite A9 → A2 names no skill'],
		[
			{
				edges: [
					{ prerequisite: 'A1', skill: 'A2' },
					{ prerequisite: 'A2', skill: 'A1' }
				]
			},
			'prerequisites go in a circle'
		]
	])('number %# of those that are not is refused by name', (change, problem) => {
		expect(frameworkProblems(small(change as Partial<Framework>)).join('; ')).toContain(problem);
	});
});

describe('bringing a framework in', () => {
	it('says what is new, what changes and what stays, and takes nothing out', () => {
		const incoming = small({
			domains: [
				{ code: 'A', name: 'Renamed' },
				{ code: 'B', name: 'Domain B' }
			],
			skills: [skill('A2', { statement: 'Do it better' }), skill('B1', { domain: 'B' })],
			edges: [{ prerequisite: 'A2', skill: 'B1' }]
		});
		const plan = planFramework(small(), incoming);
		expect(plan.added.map(({ code }) => code)).toEqual(['B1']);
		expect(plan.changed).toEqual([
			{ code: 'A2', fields: [{ name: 'statement', before: 'Do A2', after: 'Do it better' }] }
		]);
		expect(plan).toMatchObject({ same: 0, untouched: 1, newDomains: [{ code: 'B' }] });
		expect(plan.newEdges).toEqual([{ prerequisite: 'A2', skill: 'B1' }]);
		expect(plan.droppedEdges).toEqual([{ prerequisite: 'A1', skill: 'A2' }]);
		expect(plan.merged.skills.map(({ code }) => code).sort()).toEqual(['A1', 'A2', 'B1']);
		expect(plan.merged.domains.map(({ name }) => name)).toEqual(['Renamed', 'Domain B']);
		expect(frameworkProblems(plan.merged)).toEqual([]);
	});

	it('that is there already changes nothing', () => {
		const plan = planFramework(shipped, shipped);
		expect(plan).toMatchObject({
			added: [],
			changed: [],
			untouched: 0,
			newEdges: [],
			droppedEdges: [],
			newDomains: []
		});
		expect(plan.same).toBe(shipped.skills.length);
	});

	it('is refused where a code differs from one that is there in case only', () => {
		const incoming = small({ skills: [skill('a2')], edges: [] });
		expect(frameworkProblems(planFramework(small(), incoming).merged)).toEqual(['skill a2 stands twice']);
	});

	it('can be as long a chain as may be kept', () => {
		const chain = Array.from({ length: 3_000 }, (_, i) => skill(`A${i}`));
		const links = chain.slice(1).map(({ code }, i) => ({ prerequisite: `A${i}`, skill: code }));
		expect(frameworkProblems(small({ skills: chain, edges: [...links].reverse() }))).toEqual([]);
		expect(frameworkProblems(small({ skills: [...chain].reverse(), edges: links }))).toEqual([]);
	});

	it('finds a circle that only arises together with what is there', () => {
		const incoming = small({ skills: [skill('A1')], edges: [{ prerequisite: 'A2', skill: 'A1' }] });
		expect(frameworkProblems(planFramework(small(), incoming).merged).join()).toContain('circle');
	});
});

describe('CASE', () => {
	it('written and read again is the same framework', () => {
		const written = JSON.parse(JSON.stringify(writeCaseFramework(shipped, uuidOf, AT)));
		const { framework, problems } = examineCase(written);
		expect(problems).toEqual([]);
		expect({ ...framework, edges: [] }).toEqual({ ...shipped, edges: [] });
		const sorted = (list: Framework['edges']) =>
			list.map(({ prerequisite, skill: then }) => `${prerequisite} ${then}`).sort();
		expect(sorted(framework.edges)).toEqual(sorted(shipped.edges));
	});

	it('gives every item and association a UUID of its own, and keeps those it came with', () => {
		const written = writeCaseFramework(shipped, uuidOf, AT);
		const ids = [...written.CFItems, ...written.CFAssociations].map(({ identifier }) => identifier);
		expect(new Set(ids).size).toBe(ids.length);
		for (const id of ids) expect(id).toMatch(/^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/);
		expect(written.CFItems[shipped.domains.length].identifier).toBe(shipped.skills[0].identifier);
	});

	it('names every problem with its place at once', () => {
		const broken: CasePackage = JSON.parse(JSON.stringify(writeCaseFramework(shipped, uuidOf, AT)));
		delete broken.CFItems[7].humanCodingScheme;
		broken.CFItems[9].humanCodingScheme = broken.CFItems[8].humanCodingScheme;
		broken.CFAssociations[0].originNodeURI.identifier = 'nowhere';
		const { problems } = examineCase(broken);
		expect(problems.some((text) => /^item 8 .* has no code$/.test(text))).toBe(true);
		expect(problems.some((text) => /stands twice: at item 9 .* and item 10/.test(text))).toBe(true);
		expect(problems.some((text) => text.includes('not in the file: nowhere'))).toBe(true);
	});
});

describe('a table of skills', () => {
	const options = { title: shipped.title, subject: shipped.subject };

	it('written and read again is the same, but for identifiers', () => {
		const { framework, problems } = readSkillTable(writeSkillTable(shipped), options);
		expect(problems).toEqual([]);
		const bare = <Thing extends { identifier?: string }>(list: Thing[]) =>
			list.map(({ identifier: _, ...rest }) => rest);
		expect(framework.skills).toEqual(bare(shipped.skills));
		expect(framework.domains).toEqual(bare(shipped.domains));
		expect(framework.edges.length).toBe(shipped.edges.length);
	});

	const header = ['Grade', 'Code', 'Name', 'Statement', 'Domain', 'Prerequisites'];
	it.each([
		[[['3', '', 'x', 'y', 'A', '']], 'line 2: no code'],
		[
			[
				['3', 'A1', 'x', 'y', 'A', ''],
				['3', 'A1', 'x', 'y', 'A', '']
			],
			'line 3: A1 stands in line 2, too'
		],
		[[['third', 'A1', 'x', 'y', 'A', '']], 'line 2: skill A1 has no grade'],
		[[['3', 'A1', 'x', '', 'A', '']], 'line 2: skill A1 has no statement'],
		[[['3', 'A1', 'x', 'y', 'A', 'Z9']], 'line 2: the prerequisite Z9 of A1 is no skill'],
		[
			[
				['3', 'A1', 'x', 'y', 'A', 'A2'],
				['3', 'A2', 'x', 'y', 'A', 'A1']
			],
			'circle: A1 → A2 → A1'
		],
		[[], 'line 2: there are no skills']
	])('names what is wrong in %j', (records, problem) => {
		expect(readSkillTable([header, ...records], options).problems.join('; ')).toContain(problem);
	});

	it('takes columns in any order, empty lines, and prerequisites that are there already', () => {
		const { framework, problems } = readSkillTable(
			[header, ['3', 'A1', 'x', 'y', 'A', 'W32, W33'], ['', ' ', '', '', '', '']],
			{ ...options, known: ['W32', 'W33'] }
		);
		expect(problems).toEqual([]);
		expect(framework.edges.map(({ prerequisite }) => prerequisite)).toEqual(['W32', 'W33']);
		expect(framework.skills).toMatchObject([{ code: 'A1', grade: 3, term: 1 }]);
	});

	it('says which column is missing, and never throws', () => {
		expect(readSkillTable([['Code', 'Name']], options).problems).toEqual([
			'line 1: no column is called domain, statement, grade'
		]);
		fc.assert(
			fc.property(fc.array(fc.array(fc.string({ maxLength: 12 }), { maxLength: 8 }), { maxLength: 6 }), (records) => {
				for (const rows of [records, [header, ...records]]) readSkillTable(rows, options);
			})
		);
	});
});
