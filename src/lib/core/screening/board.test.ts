import { describe, expect, it } from 'vitest';
import { arrangeSittings, tallyByClass } from './board';
import type { ScreeningStatus } from './status';

const row = (id: number, change: { status?: ScreeningStatus; classId?: number; className?: string } = {}) => ({
	id,
	classId: 1,
	className: 'Avocet',
	grade: 4,
	status: 'not started' as ScreeningStatus,
	...change
});

describe('the board of sittings', () => {
	const rows = [
		row(1, { status: 'finished' }),
		row(2),
		row(3, { status: 'needs another look' }),
		row(4, { status: 'finished', classId: 2, className: 'Curlew' })
	];

	it('puts what asks for attention first and keeps everybody', () => {
		expect(arrangeSittings(rows, 'all').map(({ id }) => id)).toEqual([3, 2, 1, 4]);
		expect(arrangeSittings(rows, 'finished').map(({ id }) => id)).toEqual([1, 4]);
		expect(rows.map(({ id }) => id)).toEqual([1, 2, 3, 4]);
	});

	it('counts each class, with all of its students', () => {
		const tallies = tallyByClass(rows);
		expect(tallies.map(({ className, students }) => [className, students])).toEqual([
			['Avocet', 3],
			['Curlew', 1]
		]);
		for (const { students, counts } of tallies)
			expect([...counts.values()].reduce((sum, count) => sum + count, 0)).toBe(students);
	});
});
