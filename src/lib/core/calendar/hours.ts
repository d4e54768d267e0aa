import { dayOff, schoolDateOf, weekday, type SchoolCalendar } from './index';

/** A part of every day of school, `HH:MM` in the school's time zone; the end does not belong to it. */
export interface SchoolHours {
	from: string;
	until: string;
}

const clocks = new Map<string, Intl.DateTimeFormat>();

/** The time of an instant in a time zone, `HH:MM`. */
function clockOf(instant: Date, timeZone: string): string {
	let clock = clocks.get(timeZone);
	if (!clock) {
		clock = new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
		clocks.set(timeZone, clock);
	}
	return clock.format(instant);
}

/** Whether an instant lies in some hours of a day of school. */
export function isWithin(
	{ from, until }: SchoolHours,
	instant: Date,
	timeZone: string,
	calendar: SchoolCalendar
): boolean {
	const [day, clock] = [schoolDateOf(instant, timeZone), clockOf(instant, timeZone)];
	return calendar.schoolDays.includes(weekday(day)) && !dayOff(day, calendar) && from <= clock && clock < until;
}
