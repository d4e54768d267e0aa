import { describe, expect, it } from 'vitest';
import { moved } from './moving';

const days = { opensOn: '2026-11-27', dueOn: '2026-12-04' };

describe('a set that is moved in the calendar', () => {
	it('moves with both ends, over the end of a month', () => {
		expect(moved(days, 5, false)).toEqual({ opensOn: '2026-12-02', dueOn: '2026-12-09' });
		expect(moved(days, -7, false)).toEqual({ opensOn: '2026-11-20', dueOn: '2026-11-27' });
	});

	it('moves its due date only, never to before it opens', () => {
		expect(moved(days, 3, true)).toEqual({ opensOn: '2026-11-27', dueOn: '2026-12-07' });
		expect(moved(days, -30, true)).toEqual({ opensOn: '2026-11-27', dueOn: '2026-11-27' });
	});

	it('has no due date to move where it is never due', () => {
		expect(moved({ opensOn: '2026-11-27', dueOn: null }, 2, true)).toEqual({ opensOn: '2026-11-27', dueOn: null });
		expect(moved({ opensOn: '2026-11-27', dueOn: null }, 2, false)).toEqual({ opensOn: '2026-11-29', dueOn: null });
	});
});
