import { expect, it } from 'vitest';
import { windowState } from './windowState';

it('a window opens later, is open through its last day, and is closed after it', () => {
	const days = { opensOn: '2026-11-16', closesOn: '2026-11-18' };
	expect(
		['2026-11-15', '2026-11-16', '2026-11-17', '2026-11-18', '2026-11-19'].map((day) => windowState(days, day))
	).toEqual(['opens later', 'open', 'open', 'open, last day', 'closed']);
});
