import { describe, expect, it } from 'vitest';
import { brokenLimits, type BrokenLimit, type GroupingProblem } from '$lib/core/grouping';
import { sayBroken } from './sayBroken';

const problem: GroupingProblem = {
	students: [1, 2, 3, 4].map((id): GroupingProblem['students'][number] => ({
		id: String(id),
		tier: 2,
		needs: id === 4 ? { '20': 0.3 } : { '10': 0.25 * id },
		available: id === 3 ? [] : ['5', '6']
	})),
	slots: [{ id: '5' }, { id: '6' }],
	sizes: { 2: { minimum: 2, maximum: 3 }, 3: { minimum: 1, maximum: 3 } },
	apart: [['1', '2']],
	together: []
};
const students: Record<string, string> = { '1': 'Ana', '2': 'Ben', '3': 'Cleo', '4': 'Dov' };
const slots: Record<string, string> = { '5': 'Mon 09:00', '6': 'Tue 10:05' };
const names = { student: (id: string) => students[id], skill: () => 'Fractions', slot: (id: string) => slots[id] };
const said = (...groups: string[][]) =>
	brokenLimits(
		problem,
		groups.map((studentIds, i) => ({ slotId: ['5', '6'][i], focusId: '10', studentIds }))
	).map((broken) => sayBroken(broken, names));

describe('limits that a draft breaks', () => {
	it('are told by the names of students and times', () => {
		const broken = said(['1', '2', '3', '4']);
		expect(broken).toContain('Ana and Ben must be apart');
		expect(broken).toContain('Cleo is not free at Mon 09:00');
		expect(broken).toContain('Dov does not need Fractions');
		expect(broken).toContain('the group at Mon 09:00 has 4 students; tier 2 takes 2 to 3');
	});

	it('name students in two groups, and are none where none is broken', () => {
		expect(said(['1', '3'], ['2', '1'])).toContain('Ana is in 2 groups');
		expect(said(['1'])).toEqual(['the group at Mon 09:00 has 1 student; tier 2 takes 2 to 3']);
		expect(said([])).toEqual([]);
	});

	it('have words each', () => {
		const limits: [BrokenLimit, string][] = [
			[{ limit: 'unknown slot', slotId: '9' }, 'the time of a group is gone'],
			[{ limit: 'slot held twice', slotId: '5' }, 'Mon 09:00 holds two groups'],
			[{ limit: 'mixed tiers', slotId: '5' }, 'the group at Mon 09:00 mixes tiers'],
			[{ limit: 'tier of slot', slotId: '6', tier: 3 }, 'Tue 10:05 is not for tier 3'],
			[{ limit: 'together', studentIds: ['1', '4'] }, 'Ana and Dov must be together'],
			[{ limit: 'groups', count: 3, most: 2 }, 'there are 3 groups; 2 may be formed'],
			[
				{ limit: 'helpers', slotId: '5', count: 0, minimum: 1, maximum: 2 },
				'the group at Mon 09:00 has nobody who can help; it takes 1 or 2'
			],
			[
				{ limit: 'size', slotId: '6', count: 6, tier: null, minimum: 3, maximum: 5 },
				'the group at Tue 10:05 has 6 students; it takes 3 to 5'
			]
		];
		for (const [broken, words] of limits) expect(sayBroken(broken, names)).toBe(words);
	});
});
