import { expect, it } from 'vitest';
import { practiceDue } from './practiceDates';

it('a set is due in four days, on no day off and not after its group', () => {
	expect(practiceDue('2026-11-23', null)).toBe('2026-11-27');
	expect(practiceDue('2026-11-24', null)).toBe('2026-11-30');
	expect(practiceDue('2026-11-24', '2026-12-18')).toBe('2026-11-30');
	expect(practiceDue('2026-11-24', '2026-11-29')).toBe('2026-11-27');
	expect(practiceDue('2026-11-24', '2026-11-24')).toBe('2026-11-24');
});
