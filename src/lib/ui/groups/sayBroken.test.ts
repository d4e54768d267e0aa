import { describe, expect, it } from 'vitest';
import { brokenLimits, type GroupingProblem } from '$lib/core/grouping';
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
const names: Record<string, string> = { '1': 'Ana', '2': 'Ben', '3': 'Cleo', '4': 'Dov' };
const said = (...groups: string[][]) =>
	brokenLimits(
		problem,
		groups.map((studentIds, i) => ({ slotId: ['5', '6'][i], focusId: '10', studentIds }))
	).map((text) =>
		sayBroken(
			text,
			['5', '6'],
			(id) => names[id],
			(id) => ({ '5': 'Mon 09:00', '6': 'Tue 10:05' })[id]!
		)
	);

describe('limits that a draft breaks', () => {
	it('are told by the names of students and times', () => {
		const broken = said(['1', '2', '3', '4']);
		expect(broken).toContain('Ana and Ben must be apart');
		expect(broken).toContain('Cleo is not free at Mon 09:00');
		expect(broken).toContain('Dov does not need this focus');
		expect(broken).toContain('the group at Mon 09:00 has 4 students; tier 2 takes 2 to 3');
		for (const text of broken) expect(text).not.toMatch(/\b(slot|at) [56]\b|^\d/);
	});

	it('name students in two groups, and are none where none is broken', () => {
		expect(said(['1', '3'], ['2', '1'])).toContain('Ana is in 2 groups');
		expect(said(['1'])).toEqual(['the group at Mon 09:00 has 1 student; tier 2 takes 2 to 3']);
		expect(said([])).toEqual([]);
	});
});
