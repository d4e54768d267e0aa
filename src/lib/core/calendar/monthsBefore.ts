import type { SchoolDate } from './index';

/** The day as many months before another; where that month is shorter, its last day. */
export function monthsBefore(day: SchoolDate, months: number): SchoolDate {
	const [year, month, date] = day.split('-').map(Number);
	const last = new Date(Date.UTC(year, month - months, 0)).getUTCDate();
	return new Date(Date.UTC(year, month - 1 - months, Math.min(date, last))).toISOString().slice(0, 10);
}
