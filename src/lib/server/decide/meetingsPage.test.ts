import { describe, expect, it } from 'vitest';
import { type Proposed, proposedAtFirst } from './meetingsPage';

const on = '2026-11-30';
const proposed = (studentId: number, dueOn: string | null): Proposed => ({
	...{ reviewId: dueOn ? studentId : null, studentId, givenName: 'Given', familyName: 'Family', className: 'Avocet' },
	...{ tier: 2, group: null, dueOn, stake: { is: 'no group' }, meetingId: null }
});
const due = Array.from({ length: 50 }, (_, i) => proposed(i + 1, on));
const others = Array.from({ length: 60 }, (_, i) => proposed(100 + i, i % 2 ? null : '2026-12-01'));

describe('who is proposed for a meeting at first', () => {
	it('is everybody whose review is due, however many, and forty after them', () => {
		const { proposed: first, total } = proposedAtFirst([...due, ...others], on, false);
		expect(first).toEqual([...due, ...others.slice(0, 40)]);
		expect(total).toBe(110);
	});

	it('is everybody where all are asked for, and where there are few', () => {
		expect(proposedAtFirst([...due, ...others], on, true).proposed).toHaveLength(110);
		expect(proposedAtFirst(others.slice(0, 40), on, false)).toEqual({ proposed: others.slice(0, 40), total: 40 });
	});
});
