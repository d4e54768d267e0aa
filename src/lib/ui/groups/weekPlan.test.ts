import { describe, expect, it } from 'vitest';
import { hourMarks, hoursOf, placeOf } from './weekPlan';

const at = (startsAt: string, minutes: number) => ({ days: [1], startsAt, minutes });

describe('a drawn week', () => {
	it('shows whole hours around all its times, and a usual day without any', () => {
		expect(hoursOf([at('09:05', 30), at('13:15', 50)])).toEqual({ from: 540, until: 900 });
		expect(hoursOf([at('09:00', 60)])).toEqual({ from: 540, until: 600 });
		expect(hoursOf([])).toEqual({ from: 480, until: 900 });
	});

	it('places a time by its start and length', () => {
		expect(placeOf(at('10:30', 45), { from: 540, until: 900 })).toEqual({ start: 0.25, length: 0.125 });
		expect(hourMarks({ from: 540, until: 660 })).toEqual([540, 600, 660]);
	});
});
