import { describe, expect, it } from 'vitest';
import { saySessions } from './saySessions';

describe('sessions so far in words', () => {
	it('say what was attended of what was planned, and what did not take place', () => {
		const all = { planned: 8, held: 8, attended: 7, emptyWeeks: [] };
		expect(saySessions(all)).toBe('7 of 8 planned sessions attended.');
		expect(saySessions({ ...all, held: 6, attended: 6 })).toBe('6 of 8 planned sessions attended, 6 took place.');
		expect(saySessions({ ...all, held: 4, attended: 4, emptyWeeks: ['2026-11-09', '2026-11-16'] })).toBe(
			'4 of 8 planned sessions attended, 4 took place; none in the weeks of Nov 9, Nov 16.'
		);
	});
});
