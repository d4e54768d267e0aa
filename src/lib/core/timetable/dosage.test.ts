import { describe, expect, it } from 'vitest';
import { dosageByWeek, dosageOf, minutesAWeek, type StudentSession } from './dosage';

const one = (
	groupId: number,
	studentId: number,
	on: string,
	is: StudentSession['is'],
	minutes = 30
): StudentSession => ({
	...{ groupId, studentId, on, is, minutes }
});
const sessions = [
	one(1, 10, '2026-11-02', 'attended'),
	one(1, 11, '2026-11-02', 'missed'),
	one(1, 10, '2026-11-04', 'not held'),
	one(1, 11, '2026-11-04', 'not held'),
	one(1, 10, '2026-11-09', 'attended'),
	one(1, 11, '2026-11-09', 'attended'),
	one(2, 12, '2026-11-09', 'missed', 20)
];

describe('dosage', () => {
	it('counts a session once, and each place in it', () => {
		expect(dosageOf(sessions)).toEqual({
			planned: 4,
			held: 3,
			minutesPlanned: 110,
			minutesHeld: 80,
			places: 7,
			attended: 3
		});
		expect(dosageOf([])).toMatchObject({ planned: 0, held: 0, places: 0 });
	});

	it('takes a session as held when anybody was on record, there or not', () => {
		expect(dosageOf([one(1, 10, '2026-11-02', 'missed'), one(1, 11, '2026-11-02', 'not held')])).toMatchObject({
			planned: 1,
			held: 1
		});
	});

	it('goes week by week, with nothing planned in an empty one', () => {
		const weeks = dosageByWeek(sessions, ['2026-11-02', '2026-11-09', '2026-11-16']);
		expect(weeks.map(({ planned, held, attended }) => [planned, held, attended])).toEqual([
			[2, 1, 1],
			[2, 2, 2],
			[0, 0, 0]
		]);
		const whole = dosageOf(sessions);
		expect(weeks.reduce((sum, { places }) => sum + places, 0)).toBe(whole.places);
	});

	it('says how many minutes a week a student has, planned and attended', () => {
		// Three students over two weeks: 6 × 30 + 20 minutes planned, 90 attended.
		expect(minutesAWeek(sessions, 2)).toEqual({ planned: 200 / 6, attended: 90 / 6 });
		expect(minutesAWeek([], 2)).toEqual({ planned: 0, attended: 0 });
	});
});
