import { describe, expect, it } from 'vitest';
import { sayGroupChange, type ShownChange } from './sayGroupChange';

const change = (one: Partial<ShownChange>): ShownChange => ({
	kind: 'join',
	studentIds: [],
	skillId: null,
	untilOn: null,
	name: null,
	...one
});
const say = (one: Partial<ShownChange>) =>
	sayGroupChange(change(one), new Map([[1, 'Ana Wick']]), new Map([[7, 'Compare fractions']]));

describe('a line of a group’s history', () => {
	it('names students and skills', () => {
		expect(say({ kind: 'start', studentIds: [1], skillId: 7 })).toBe('started on Compare fractions with Ana Wick');
		expect(say({ kind: 'focus', skillId: 7 })).toBe('focus is Compare fractions from then on');
		expect(say({ kind: 'leave', studentIds: [1] })).toBe('Ana Wick left');
	});

	it('does not name students that the reader may not see', () => {
		expect(say({ kind: 'join', studentIds: [1, 9] })).toBe('Ana Wick, a student of another class joined');
	});

	it('tells pauses with and without an end, and the name before', () => {
		expect(say({ kind: 'pause', untilOn: '2026-12-07' })).toBe('paused until Dec 7');
		expect(say({ kind: 'pause' })).toBe('paused');
		expect(say({ kind: 'rename', name: 'Fractions 09:00' })).toBe('renamed, before “Fractions 09:00”');
		expect(say({ kind: 'hand over', name: 'Ida Sol' })).toBe('handed over, before with Ida Sol');
	});
});
