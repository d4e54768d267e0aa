import { describe, expect, it } from 'vitest';
import type { StandingNow } from '../mastery';
import { failedInARow, MUCH_WAITING_MINUTES, muchWaiting, practiceWarnings, type AskedToPractice } from './warnings';

const now = (standing: StandingNow['standing']) => ({ standing });
const student = (id: number, more: Partial<AskedToPractice> = {}): AskedToPractice => ({
	id,
	waitingMinutes: 0,
	waitingSkills: new Set(),
	standings: new Map(),
	failed: new Map(),
	skills: [2],
	isInScope: true,
	...more
});
/** 1 comes before 2. */
const prerequisitesOf = (skillId: number) => (skillId === 2 ? [1] : []);

describe('what speaks against giving a set', () => {
	it('is nothing where nothing does', () => {
		expect(practiceWarnings([student(1)], prerequisitesOf)).toEqual([]);
	});

	it('is said once, with all of whom it is so', () => {
		const students = [
			student(1, { waitingMinutes: MUCH_WAITING_MINUTES, isInScope: false }),
			student(2, { waitingMinutes: MUCH_WAITING_MINUTES - 1 }),
			student(3, { waitingMinutes: MUCH_WAITING_MINUTES + 9 })
		];
		expect(practiceWarnings(students, prerequisitesOf)).toEqual([
			{ kind: 'from elsewhere', studentIds: [1] },
			{ kind: 'much waiting', studentIds: [1, 3] }
		]);
	});

	it('goes by the skills that each student would work on', () => {
		const students = [
			student(1, { standings: new Map([[2, now('secure')]]), waitingSkills: new Set([2]) }),
			student(2, { standings: new Map([[1, now('gap')]]) }),
			student(3, { standings: new Map([[1, now('gap')]]), skills: [1, 2] }),
			student(4, { failed: new Map([[2, 3]]) }),
			student(5, { failed: new Map([[2, 2]]) })
		];
		expect(practiceWarnings(students, prerequisitesOf)).toEqual([
			{ kind: 'waits already', skillId: 2, studentIds: [1] },
			{ kind: 'secure already', skillId: 2, studentIds: [1] },
			{ kind: 'prerequisite is a gap', skillId: 2, prerequisiteId: 1, studentIds: [2] },
			{ kind: 'failed often', skillId: 2, studentIds: [4] }
		]);
	});
});

describe('failing a skill again and again', () => {
	const set = (right: number, of = 5) => ({ right, of });
	it.each([
		[[], 0],
		[[set(2), set(1), set(2)], 3],
		[[set(2), set(3), set(2)], 1],
		[[set(5), set(0), set(2)], 2],
		[[set(2), set(5)], 0],
		[[set(5, 10), set(6, 10)], 0]
	])('%j: %i in a row', (outcomes, times) => {
		expect(failedInARow(outcomes)).toBe(times);
	});
});

describe('how much waits', () => {
	it('is much from a lesson’s time on, and from more than twice what usually waits in the group', () => {
		expect(muchWaiting(MUCH_WAITING_MINUTES, [])).toBe('a lesson');
		expect(muchWaiting(25, [5, 12, 9])).toBe('twice the usual');
		expect(muchWaiting(18, [5, 12, 9])).toBeNull();
		expect(muchWaiting(19, [5, 12, 9])).toBe('twice the usual');
	});

	it('is nothing to speak of below ten minutes, or where hardly anybody else is in the group', () => {
		expect(muchWaiting(9, [0, 0, 0])).toBeNull();
		expect(muchWaiting(10, [0, 0, 0])).toBe('twice the usual');
		expect(muchWaiting(30, [2])).toBeNull();
		expect(muchWaiting(30, [])).toBeNull();
	});
});
