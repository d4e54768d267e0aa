import { addDays, mondayOf, schoolDayBy, schoolDayFrom, type SchoolCalendar, type SchoolDate } from '../calendar';
import type { SetDates } from './setDates';

/** The days that a plan of weeks goes by. */
export interface WeeklyDays {
	calendar: SchoolCalendar;
	/** Coming days on which the group meets, in order; none for students of no group, or where the weekday is to stay. */
	meetings: SchoolDate[];
}

/**
 * When a set of a plan of weeks opens and is due, so many weeks after the first. Where the group meets in that week it opens on the
 * first of its meeting days and is due on the last after it; else the weekdays of the first stay, moved to days of school.
 *
 * @example
 * // The group meets Mondays and Wednesdays.
 * weeksLater({ opensOn: '2026-11-24', dueOn: '2026-11-27' }, 1, days); // opens Mon, Nov 30, due Wed, Dec 2
 */
export function weeksLater(
	{ opensOn, dueOn }: Pick<SetDates, 'opensOn' | 'dueOn'>,
	weeks: number,
	{ calendar, meetings }: WeeklyDays
): Pick<SetDates, 'opensOn' | 'dueOn'> {
	const wanted = addDays(opensOn, 7 * weeks);
	const monday = mondayOf(wanted);
	const inWeek = meetings.filter((day) => day >= monday && day < addDays(monday, 7));
	const opens = inWeek[0] ?? schoolDayFrom(wanted, calendar);
	if (dueOn === null) return { opensOn: opens, dueOn };
	const lastMeeting = inWeek.length > 1 ? inWeek[inWeek.length - 1] : null;
	return { opensOn: opens, dueOn: lastMeeting ?? dueLater(dueOn, weeks, opens, calendar) };
}

/** A due date so many weeks later, on a day of school, and never before the set opens. */
export function dueLater(dueOn: SchoolDate, weeks: number, opensOn: SchoolDate, calendar: SchoolCalendar): SchoolDate {
	const due = schoolDayBy(addDays(dueOn, 7 * weeks), calendar);
	return due < opensOn ? opensOn : due;
}
