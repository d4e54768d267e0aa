import { describe, expect, it } from 'vitest';
import { cycleDates, firstReview } from './groupDates';

const TODAY = '2026-11-23';

describe('dates that groups begin with', () => {
	it('are the end of the cycle, or eight weeks on where none runs, and a review on a weekday', () => {
		expect(cycleDates({ endsOn: '2026-12-20' }, TODAY)).toEqual({ endsOn: '2026-12-20', reviewOn: '2026-12-17' });
		expect(cycleDates({ endsOn: '2026-12-22' }, TODAY).reviewOn).toBe('2026-12-18');
		// Who joins late is looked at on the last weekday, or on the last day where none is left.
		const joining = ['2026-12-17', '2026-12-18', '2026-12-19'];
		expect(joining.map((on) => firstReview('2026-12-20', on))).toEqual(['2026-12-17', '2026-12-18', '2026-12-20']);
		expect(cycleDates({ endsOn: '2026-11-01' }, TODAY).endsOn).toBe('2027-01-17');
		expect(cycleDates(null, TODAY).endsOn).toBe('2027-01-17');
	});
});
