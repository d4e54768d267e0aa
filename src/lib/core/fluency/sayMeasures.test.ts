import { describe, expect, it } from 'vitest';
import { addDays } from '../calendar';
import { readMeasureSeries, sayEquivalence, sayMeasureReading, sayMeasureSeries } from '.';

const read = (counts: number[], goalOn = '2026-11-16') =>
	readMeasureSeries(
		counts.map((reached, week) => ({ on: addDays('2026-09-14', 7 * week), reached, missed: [], seconds: 60 })),
		{ startsOn: '2026-09-14', goalOn, goal: 70 }
	);
const says = (counts: number[], goalOn?: string) => sayMeasureReading(read(counts, goalOn), 'Nov 16');

describe('what a series of a measure says', () => {
	it('is how few there are, while there are few', () => {
		expect(says([])).toEqual(['Nothing was given yet: from 6 on a rise is told.']);
		expect(says([50])).toEqual(['1 giving so far: from 6 on a rise is told.']);
	});

	it('is what the goal asks, how many of the newest lie on the way to it, the rise, and what may come', () => {
		const [aim, above, rise, then, ...more] = says([50, 54, 53, 57, 59, 62]);
		// From 53 in week 1 to 70 in week 9.
		expect(aim).toBe(
			'To reach 70 by Nov 16 asks for 2.1 a minute more each week, from 53 (the middle one of the first three).'
		);
		// Aimed at in weeks 3 to 5: 57.3, 59.4, 61.5.
		expect(above).toBe('Of the 3 newest, 1 is on the line to the goal or above.');
		expect(rise).toMatch(/^So far about 2\.\d a minute more each week, likely between [\d.]+ and [\d.]+ \(95%\)\.$/);
		expect(then).toMatch(
			/^If it goes on in a straight line, one giving on Nov 16 lies between \d+ and \d+ in 80 of 100 cases\.$/
		);
		expect(more).toEqual([]);
		expect(says([50, 54, 53, 57, 59, 62], '2027-02-12')).toHaveLength(3);
	});

	it('begins with its givings where a student’s growth is told', () => {
		const counts = [50, 54, 53];
		expect(sayMeasureSeries('reading aloud', read(counts), 'Nov 16')).toEqual([
			'Reading aloud, correct words a minute: 50, 54, 53.',
			...says(counts)
		]);
		expect(sayMeasureSeries('number fluency', read([]), 'Nov 16')).toEqual(['Number fluency.', ...says([])]);
	});

	it('tells how far two givings can be held against each other', () => {
		expect(sayEquivalence('reading aloud')).toContain('5 passages a grade');
		expect(sayEquivalence('number fluency')).toContain('Other facts each week');
	});
});
