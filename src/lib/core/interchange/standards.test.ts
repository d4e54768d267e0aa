import { describe, expect, it } from 'vitest';
import { readStandardTable, standardsFromCase } from './standards';

const skills = new Set(['W32', 'W33']);

describe('a table of standards', () => {
	it('is read with its crosswalk', () => {
		const { standards, problems } = readStandardTable(
			[
				['Code', 'Grade', 'Statement', 'Skills'],
				['C.1', '3', 'Recall products', 'W32 W33'],
				['C.2', 'K', 'Count', ''],
				['', '', '', ''],
				['C.3', '', 'Wonder', '']
			],
			skills
		);
		expect(problems).toEqual([]);
		expect(standards).toEqual([
			{ code: 'C.1', statement: 'Recall products', grade: 3, skills: ['W32', 'W33'] },
			{ code: 'C.2', statement: 'Count', grade: 0, skills: [] },
			{ code: 'C.3', statement: 'Wonder', grade: null, skills: [] }
		]);
	});

	it.each([
		[['', 'x', '3', ''], 'line 3: no code'],
		[['C.1', 'x', '3', ''], 'line 3: C.1 stands at line 2, too'],
		[['c.1', 'x', '3', ''], 'line 3: c.1 stands at line 2, too'],
		[['C.2', '', '3', ''], 'line 3: no statement'],
		[['C.2', 'x', '13', ''], 'line 3: the grade is none from 0 to 12'],
		[['C.2', 'x', 'three', ''], 'line 3: the grade is none from 0 to 12'],
		[['C.2', 'x', '3', 'Z1'], 'line 3: we have no skill Z1'],
		[['C.2', 'x'.repeat(1_001), '3', ''], 'line 3: a code has at most 60 characters, a statement at most 1,000']
	])('names what is wrong with %j', (row, problem) => {
		const table = [['code', 'statement', 'grade', 'skills'], ['C.1', 'Fine', '3', 'W32'], row];
		expect(readStandardTable(table, skills).problems).toEqual([problem]);
	});

	it('says which column is missing, and when there are no rows', () => {
		expect(readStandardTable([['name']], skills).problems).toEqual(['line 1: no column is called code or statement']);
		expect(readStandardTable([['code', 'statement']], skills).problems[0]).toContain('no standards below');
		expect(readStandardTable([], skills).problems.length).toBe(1);
	});
});

describe('standards of a CASE package', () => {
	const node = (identifier: string) => ({ identifier });
	const item = (identifier: string, code: string | undefined, change: object = {}) => ({
		identifier,
		fullStatement: `Statement ${identifier}`,
		humanCodingScheme: code,
		...change
	});
	const source = (associations: object[] = []) => ({
		CFDocument: { identifier: 'doc', title: 'County' },
		CFItems: [
			item('a', 'C'),
			item('b', 'C.1', { educationLevel: ['03'] }),
			item('c', 'C.2', { educationLevel: ['KG'] }),
			item('d', undefined)
		],
		CFAssociations: [
			{ associationType: 'isChildOf', originNodeURI: node('b'), destinationNodeURI: node('a') },
			{ associationType: 'isChildOf', originNodeURI: node('c'), destinationNodeURI: node('a') },
			...(associations as never[])
		]
	});
	const ours = new Map([
		['uuid-5', 'W32'],
		['uuid-6', 'W33']
	]);

	it('are its items with a code and nothing below them', () => {
		expect(standardsFromCase(source(), ours).standards).toEqual([
			{ code: 'C.1', statement: 'Statement b', grade: 3, skills: [] },
			{ code: 'C.2', statement: 'Statement c', grade: 0, skills: [] }
		]);
	});

	it('are linked to our skills by associations in either direction, and by no other kind', () => {
		const { standards } = standardsFromCase(
			source([
				{ associationType: 'exactMatchOf', originNodeURI: node('b'), destinationNodeURI: node('uuid-5') },
				{ associationType: 'isRelatedTo', originNodeURI: node('uuid-6'), destinationNodeURI: node('b') },
				{ associationType: 'precedes', originNodeURI: node('c'), destinationNodeURI: node('uuid-6') }
			]),
			ours
		);
		expect(standards.map((one) => one.skills)).toEqual([['W32', 'W33'], []]);
	});

	it('that are none are said to be none', () => {
		expect(standardsFromCase({ ...source(), CFItems: [] }, ours).problems).toEqual([
			'the file has no items with a code'
		]);
	});
});
