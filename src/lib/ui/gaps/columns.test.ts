import { describe, expect, it } from 'vitest';
import { mapColumns } from './columns';
import type { MapSkill } from './map';

const skill = (id: number, domainId: number): MapSkill => ({
	id,
	domainId,
	code: `W${id}`,
	shortName: `Skill ${id}`,
	statement: 'Says more',
	grade: 3,
	term: 1,
	place: id
});
const domains = [
	{ id: 1, name: 'Numbers' },
	{ id: 2, name: 'Shapes' },
	{ id: 3, name: 'Data' }
];
const all = [skill(1, 1), skill(2, 1), skill(3, 2), skill(4, 3)];
const says = (columns: ReturnType<typeof mapColumns>) =>
	columns.map((column) => (column.kind === 'skill' ? column.skill.id : column.name));

describe('columns of the needle map', () => {
	it('are the skills, domain by domain, the first of each marked', () => {
		const columns = mapColumns(domains, all, all, new Set());
		expect(says(columns)).toEqual([1, 2, 3, 4]);
		expect(columns.map(({ isFirst }) => isFirst)).toEqual([true, false, true, true]);
	});

	it('fold a domain into one, which stands for all of its skills and not only those shown', () => {
		const columns = mapColumns(domains, [all[2]], all, new Set([1]));
		expect(says(columns)).toEqual(['Numbers', 3]);
		expect(columns[0].kind === 'folded' && columns[0].skills.map(({ id }) => id)).toEqual([1, 2]);
	});

	it('leave out a domain of which nothing is shown', () => {
		expect(says(mapColumns(domains, [all[0]], all, new Set()))).toEqual([1]);
		expect(says(mapColumns(domains, [], all, new Set()))).toEqual([]);
	});
});
