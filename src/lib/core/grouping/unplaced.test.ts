import { describe, expect, it } from 'vitest';
import { solveGrouping, type GroupingProblem } from '.';

const base: Omit<GroupingProblem, 'students'> = {
	slots: [{ id: 's' }],
	sizes: { 2: { minimum: 2, maximum: 2 }, 3: { minimum: 1, maximum: 1 } },
	apart: [],
	together: []
};
const student = (id: string, change: object = {}) => ({
	id,
	tier: 2 as const,
	needs: { x: 0.5 } as Record<string, number>,
	available: ['s'],
	...change
});
async function reasonFor(id: string, problem: Partial<GroupingProblem>): Promise<string | undefined> {
	const { unplaced } = await solveGrouping({ ...base, ...problem } as GroupingProblem);
	return unplaced.find(({ studentId }) => studentId === id)?.reason;
}

describe('the reason for a student left out', () => {
	it('is that no meeting time is left, when others who need it as much fill the only one', async () => {
		const students = [
			student('a', { needs: { x: 0.9 } }),
			student('b', { needs: { x: 0.9 } }),
			student('c'),
			student('d')
		];
		expect(await reasonFor('c', { students })).toMatch(/No meeting time is left/);
		expect(await reasonFor('c', { students, slots: [{ id: 's' }, { id: 't' }] })).toMatch(/No meeting time is left/);
	});

	it('is that those who share the need sit elsewhere, when a slot stays empty', async () => {
		const students = [
			student('a', { needs: { x: 0.9 }, available: ['s', 't'] }),
			student('b', { needs: { x: 0.9 }, available: ['s'] }),
			student('c', { available: ['t'] })
		];
		expect(await reasonFor('c', { students, slots: [{ id: 's' }, { id: 't' }] })).toMatch(/in other groups/);
	});

	it('is that no more groups may be formed, when more could be', async () => {
		const students = [
			student('a', { needs: { x: 0.9 }, available: ['s', 't'] }),
			student('b', { needs: { x: 0.9 } }),
			student('c', { available: ['t'] }),
			student('d', { available: ['t'] })
		];
		const slots = [{ id: 's' }, { id: 't' }];
		expect(await reasonFor('c', { students, slots, mostGroups: 1 })).toMatch(/^Only 1 group may be formed/);
		expect(await reasonFor('c', { students, slots })).toBeUndefined();
	});

	it('is a rule that cannot be kept', async () => {
		const students = [student('a'), student('b', { tier: 3 }), student('c'), student('d')];
		expect(await reasonFor('a', { students, together: [['a', 'b']] })).toMatch(/another tier/);
		expect(await reasonFor('c', { students, together: [['c', 'd']], apart: [['c', 'd']] })).toMatch(
			/together with and apart from/
		);
	});

	it('is a missing prerequisite, a time, or company', async () => {
		const students = [student('a', { needs: {} }), student('b', { available: [] }), student('c', { needs: { y: 1 } })];
		expect(await reasonFor('a', { students })).toMatch(/check a prerequisite/);
		expect(await reasonFor('b', { students })).toMatch(/Free at no time/);
		expect(await reasonFor('c', { students })).toMatch(/Too few others/);
	});

	it('is given to nobody who has a group', async () => {
		expect(await reasonFor('a', { students: [student('a'), student('b')] })).toBeUndefined();
	});
});
