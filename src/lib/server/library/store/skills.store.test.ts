import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { smallSchool, type SmallSchool } from '../../../../../tests/smallSchool';
import { domainList, skillGraph } from './skills';

let small: SmallSchool;
beforeAll(async () => {
	small = await smallSchool('skills');
});
afterAll(() => small.database.close());

describe('skills', () => {
	it('come in teaching order with a graph of their prerequisites', async () => {
		const graph = await skillGraph(small.database, small.school.id, small.skills);
		const code = new Map(small.skills.map((skill) => [skill.id, skill.code]));
		const multiply = small.skills.find((skill) => skill.code === 'W42')!;
		expect(
			graph.prerequisites
				.get(multiply.id)!
				.map((id) => code.get(id))
				.sort()
		).toEqual(['W35', 'W36']);
		expect((await domainList(small.database, small.school.id)).map((domain) => domain.code)).toEqual([
			'W',
			'F',
			'P',
			'M',
			'S',
			'D'
		]);
		expect(small.skills.map((skill) => skill.code.slice(0, 1)).join('')).toMatch(/^W+F+P+M+S+D+$/);
	});
});
