import { expect, it } from 'vitest';
import { monthsBefore } from './index';

it.each([
	['2026-11-23', 12, '2025-11-23'],
	['2026-03-31', 1, '2026-02-28'],
	['2024-03-31', 1, '2024-02-29'],
	['2026-01-15', 1, '2025-12-15'],
	['2026-01-31', 2, '2025-11-30'],
	['2026-05-31', 120, '2016-05-31']
])('%s less %i months is %s', (day, months, before) => {
	expect(monthsBefore(day, months)).toBe(before);
});
