import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedFramework } from '../../../../framework/shipped';
import { writeCaseFramework } from '../../core/interchange/caseFramework';
import { SKILL_COLUMNS } from '../../core/interchange/skillTable';
import { planSkills, planStandards, readLibraryFile } from './libraryImport';
import { UnreadableFile } from '../request/files/limits';

const shipped = shippedFramework();
const first = shipped.skills[0];

const fileOf = readLibraryFile;
const table = (...lines: string[]) => fileOf([SKILL_COLUMNS.join(','), ...lines].join('\n'));

describe('a file for the library', () => {
	it('is a table or a CASE package by how it begins, whatever it is called', () => {
		expect(fileOf('code,statement\nA,"Count, then say"\n')).toEqual({
			kind: 'table',
			records: [
				['code', 'statement'],
				['A', 'Count, then say']
			]
		});
		expect(fileOf('\ufeffcode;statement\r\nA;Count\r\n')).toMatchObject({
			records: [
				['code', 'statement'],
				['A', 'Count']
			]
		});
		const source = { CFDocument: { identifier: 'd', title: 'T' }, CFItems: [], CFAssociations: [] };
		expect(fileOf(`  ${JSON.stringify(source)}`)).toEqual({ kind: 'case', source });
	});

	it.each([
		['', 'The file is empty'],
		['\ufeff \n', 'The file is empty'],
		['code\u0000', 'not text in UTF-8'],
		['Schl\ufffdssel,statement', 'not text in UTF-8'],
		['{"CFDocument": ', 'begins like JSON but is none'],
		['[]', 'no CASE package'],
		['{}', "must have required property 'CFDocument'"],
		['{"CFDocument":{"identifier":"d","title":""},"CFItems":[],"CFAssociations":[]}', 'CFDocument → title'],
		[
			'{"CFDocument":{"identifier":"d","title":"T"},"CFItems":[{"identifier":7,"fullStatement":"x"}],"CFAssociations":[]}',
			'CFItems → 0 → identifier must be string'
		]
	])('that begins “%s” is refused with the reason', (content, reason) => {
		expect(() => fileOf(content)).toThrow(expect.objectContaining({ message: expect.stringContaining(reason) }));
	});

	it('is read or refused in words, whatever it holds', () => {
		fc.assert(
			fc.property(
				fc.oneof(
					fc.string(),
					fc.json(),
					fc.string().map((text) => `{${text}`)
				),
				(content) => {
					try {
						expect(Array.isArray(planSkills(fileOf(content), shipped).problems)).toBe(true);
					} catch (problem) {
						expect(problem).toBeInstanceOf(UnreadableFile);
					}
				}
			)
		);
	});
});

describe('skills in a file', () => {
	it('as they are here change nothing', () => {
		const identifiers = (name: string) => `id of ${name}`;
		const written = JSON.stringify(writeCaseFramework(shipped, identifiers, new Date(0)));
		const { plan, problems } = planSkills(fileOf(written), shipped);
		expect(problems).toEqual([]);
		expect(plan).toMatchObject({ added: [], changed: [] });
		expect(plan.merged.skills.map(({ code }) => code)).toEqual(shipped.skills.map(({ code }) => code));
	});

	it('are added to those that are here, and may stand on them', () => {
		const file = table(`X91,${first.domain},,Sort buoys,Sort buoys by their bell,2,1,,${first.code}`);
		const { plan, problems } = planSkills(file, shipped);
		expect(problems).toEqual([]);
		expect(plan.added.map(({ code }) => code)).toEqual(['X91']);
		expect(plan.merged.skills.length).toBe(shipped.skills.length + 1);
		expect(plan.merged.edges).toContainEqual({ prerequisite: first.code, skill: 'X91' });
	});

	it('that would make a circle with those that are here are refused, and the circle is named', () => {
		const { prerequisite, skill } = shipped.edges[0];
		const { domain } = shipped.skills.find(({ code }) => code === prerequisite)!;
		const file = table(`${prerequisite},${domain},,Name,Statement,1,1,,${skill}`);
		const { problems } = planSkills(file, shipped);
		expect(problems.join()).toContain(prerequisite);
		expect(problems.join()).toContain(skill);
	});

	it('with a mistake are refused with its line, before they are set against what is here', () => {
		const { problems } = planSkills(table('X91,W,,Sort buoys,Sort buoys by their bell,11,1,,'), shipped);
		expect(problems).toEqual(['line 2: skill X91 has no grade from 1 to 8']);
	});
});

describe('standards in a file', () => {
	const identified = {
		...shipped,
		skills: shipped.skills.map((skill) => ({ ...skill, identifier: `id ${skill.code}` }))
	};

	it('are linked by the codes of our skills in a table', () => {
		const file = fileOf(`code,statement,grade,skills\nC.1,Count birds,2,${first.code}\nC.2,Count boats,,`);
		expect(planStandards(file, identified)).toEqual({
			standards: [
				{ code: 'C.1', statement: 'Count birds', grade: 2, skills: [first.code] },
				{ code: 'C.2', statement: 'Count boats', grade: null, skills: [] }
			],
			problems: []
		});
	});

	it('are linked by the identifiers of our skills in a CASE package', () => {
		const source = {
			CFDocument: { identifier: 'd', title: 'County' },
			CFItems: [{ identifier: 's', fullStatement: 'Count birds', humanCodingScheme: 'C.1', educationLevel: ['02'] }],
			CFAssociations: [
				{
					associationType: 'isRelatedTo',
					originNodeURI: { identifier: 's' },
					destinationNodeURI: { identifier: `id ${first.code}` }
				}
			]
		};
		expect(planStandards(fileOf(JSON.stringify(source)), identified)).toEqual({
			standards: [{ code: 'C.1', statement: 'Count birds', grade: 2, skills: [first.code] }],
			problems: []
		});
	});

	it('that name a skill we have not are refused with their line', () => {
		expect(planStandards(fileOf('code,statement,skills\nC.1,Count birds,Z99'), identified).problems).toEqual([
			'line 2: we have no skill Z99'
		]);
	});
});
