import { expect, it } from 'vitest';
import { practiceDue } from './practiceDates';

const WEEKDAYS = { schoolDays: [1, 2, 3, 4, 5], off: [] };
const on = (today: string) => ({ today, calendar: WEEKDAYS });

it('a set is due in four days, on no day off and not after its group', () => {
	expect(practiceDue(on('2026-11-23'), null)).toBe('2026-11-27');
	expect(practiceDue(on('2026-11-24'), null)).toBe('2026-11-30');
	expect(practiceDue(on('2026-11-24'), '2026-12-18')).toBe('2026-11-30');
	expect(practiceDue(on('2026-11-24'), '2026-11-29')).toBe('2026-11-27');
	expect(practiceDue(on('2026-11-24'), '2026-11-24')).toBe('2026-11-24');
	const off = [{ fromOn: '2026-11-26', untilOn: '2026-11-30', name: 'Harvest' }];
	const calendar = { ...WEEKDAYS, off };
	expect(practiceDue({ today: '2026-11-23', calendar }, null)).toBe('2026-11-30');
	expect(practiceDue({ today: '2026-11-23', calendar }, '2026-11-27')).toBe('2026-11-25');
});
