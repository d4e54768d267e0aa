import { describe, expect, it } from 'vitest';
import { hasOpened, isPastDue } from './setDates';

const at = (day: string, minute: number) => ({ day, minute });

describe('when a set is open and due', () => {
	it.each([
		[{ opensOn: '2026-11-23', opensMinute: null }, at('2026-11-22', 1439), false],
		[{ opensOn: '2026-11-23', opensMinute: null }, at('2026-11-23', 0), true],
		[{ opensOn: '2026-11-23', opensMinute: 480 }, at('2026-11-23', 479), false],
		[{ opensOn: '2026-11-23', opensMinute: 480 }, at('2026-11-23', 480), true],
		[{ opensOn: '2026-11-23', opensMinute: 480 }, at('2026-11-24', 0), true]
	])('%j is seen at %j: %s', (dates, now, seen) => {
		expect(hasOpened(dates, now)).toBe(seen);
	});

	it.each([
		[{ dueOn: null, dueMinute: null }, at('2999-01-01', 0), false],
		[{ dueOn: '2026-11-27', dueMinute: null }, at('2026-11-27', 1439), false],
		[{ dueOn: '2026-11-27', dueMinute: null }, at('2026-11-28', 0), true],
		[{ dueOn: '2026-11-27', dueMinute: 960 }, at('2026-11-27', 959), false],
		[{ dueOn: '2026-11-27', dueMinute: 960 }, at('2026-11-27', 960), true]
	])('%j is over at %j: %s', (dates, now, over) => {
		expect(isPastDue(dates, now)).toBe(over);
	});
});
