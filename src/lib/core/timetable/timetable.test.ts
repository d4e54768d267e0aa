import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { addDays, weekday } from '../calendar';
import {
	blocksAt,
	clashes,
	isWithin,
	meetingDays,
	minutesOf,
	openTimes,
	overlaps,
	releasing,
	timeOf,
	type ClassBlock,
	type WeeklyTime
} from '.';

const at = (startsAt: string, minutes: number, days = [1, 3, 5]): WeeklyTime => ({ days, startsAt, minutes });
const weekly = fc.record({
	days: fc.subarray([1, 2, 3, 4, 5], { minLength: 1 }),
	startsAt: fc.integer({ min: 480, max: 900 }).map(timeOf),
	minutes: fc.integer({ min: 5, max: 120 })
});

describe('weekly times', () => {
	it('overlap when a minute of some day belongs to both, and only then', () => {
		fc.assert(
			fc.property(weekly, weekly, (a, b) => {
				const minutes = ({ days, startsAt, minutes: length }: WeeklyTime) =>
					new Set(days.flatMap((day) => Array.from({ length }, (_, m) => 1_440 * day + minutesOf(startsAt) + m)));
				const [own, other] = [minutes(a), minutes(b)];
				expect(overlaps(a, b)).toBe([...own].some((minute) => other.has(minute)));
				expect(overlaps(a, b)).toBe(overlaps(b, a));
			})
		);
	});

	it('do not overlap when one ends as the other begins, or on other days', () => {
		expect(overlaps(at('09:00', 30), at('09:30', 30))).toBe(false);
		expect(overlaps(at('09:00', 31), at('09:30', 30))).toBe(true);
		expect(overlaps(at('09:00', 30), at('09:00', 30, [2, 4]))).toBe(false);
	});
});

describe('what classes release', () => {
	const blocks: ClassBlock[] = [
		{ classId: 1, kind: 'core lesson', ...at('09:00', 60) },
		{ classId: 2, kind: 'recess', ...at('09:20', 20, [3]) },
		{ classId: 3, kind: 'lunch', ...at('11:30', 40, [1, 2, 3, 4, 5]) }
	];

	it('is nobody in a core lesson, and nobody when recess falls on a single one of the days', () => {
		expect(releasing(at('09:30', 30), [1, 2, 3], blocks)).toEqual([3]);
		expect(releasing(at('09:40', 30, [2, 4]), [1, 2, 3], blocks)).toEqual([1, 2, 3]);
	});

	it('comes with what stands in the way', () => {
		expect(blocksAt(at('09:30', 30), 2, blocks).map(({ kind }) => kind)).toEqual(['recess']);
		expect(blocksAt(at('10:30', 30), 2, blocks)).toEqual([]);
	});
});

describe('meeting days', () => {
	it('fall on the weekdays of the meeting, both ends counted, and leave out days away', () => {
		const away = [{ fromOn: '2026-11-25', untilOn: '2026-11-28' }];
		expect(meetingDays(at('09:00', 30), '2026-11-23', '2026-12-04')).toEqual([
			'2026-11-23',
			'2026-11-25',
			'2026-11-27',
			'2026-11-30',
			'2026-12-02',
			'2026-12-04'
		]);
		expect(meetingDays(at('09:00', 30), '2026-11-23', '2026-11-30', away)).toEqual(['2026-11-23', '2026-11-30']);
		expect(meetingDays(at('09:00', 30), '2026-11-23', '2026-12-31', [{ fromOn: '2026-11-24', untilOn: null }])).toEqual(
			['2026-11-23']
		);
	});

	it('are every such day of the span and no other', () => {
		fc.assert(
			fc.property(fc.subarray([1, 2, 3, 4, 5], { minLength: 1 }), fc.integer({ min: 0, max: 60 }), (days, length) => {
				const found = meetingDays({ days }, '2026-09-01', addDays('2026-09-01', length));
				const all = Array.from({ length: length + 1 }, (_, i) => addDays('2026-09-01', i));
				expect(found).toEqual(all.filter((day) => days.includes(weekday(day))));
			})
		);
	});

	it('a range begins with its first day and ends before its last', () => {
		const range = [{ fromOn: '2026-11-25', untilOn: '2026-11-27' }];
		expect(['2026-11-24', '2026-11-25', '2026-11-26', '2026-11-27'].map((day) => isWithin(day, range))).toEqual([
			false,
			true,
			true,
			false
		]);
	});
});

describe('clashes', () => {
	const slot = (id: number, staffId: number, room: string, time = at('09:00', 30)) => ({ id, staffId, room, ...time });

	it('are one person, or one room, needed twice', () => {
		expect(clashes([slot(2, 1, 'Gull'), slot(1, 1, 'Tern')])).toEqual([{ why: 'staff', slotIds: [1, 2] }]);
		expect(clashes([slot(1, 1, 'Gull '), slot(2, 2, 'gull')])).toEqual([{ why: 'room', slotIds: [1, 2] }]);
		expect(clashes([slot(1, 1, 'Gull'), slot(2, 2, 'Gull', at('10:00', 30))])).toEqual([]);
	});

	it('are not two meetings without a room', () => {
		expect(clashes([slot(1, 1, ''), slot(2, 2, '')])).toEqual([]);
	});
});

describe('times somebody could take on', () => {
	it('are those in use anywhere at which they hold nothing, each once', () => {
		const inUse = [at('09:00', 30), at('09:00', 30), at('10:00', 30), at('10:00', 30, [2])];
		expect(openTimes(inUse, [at('09:15', 30)])).toEqual([at('10:00', 30), at('10:00', 30, [2])]);
	});
});
