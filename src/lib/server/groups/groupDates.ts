import { addDays, schoolDayBy, schoolDayFrom, type SchoolCalendar } from '../../core/calendar';
import type { School } from '../school';

type Day = Pick<School, 'today' | 'calendar'>;

/** When members of a group are first looked at: on a day of school three days or so before it ends, once they have joined. */
export function firstReview(endsOn: string, joinsOn: string, calendar: SchoolCalendar): string {
	const days = [schoolDayBy(addDays(endsOn, -3), calendar), schoolDayBy(endsOn, calendar)];
	return days.find((day) => day >= joinsOn) ?? endsOn;
}

/** The day a cycle's groups should end, and their first review. */
export function cycleDates(cycle: { endsOn: string } | null, { today, calendar }: Day) {
	const last = cycle && schoolDayBy(cycle.endsOn, calendar);
	const endsOn = last && last > today ? last : schoolDayBy(addDays(today, 55), calendar);
	return { endsOn, reviewOn: firstReview(endsOn, today, calendar) };
}

/** From when a change of a group holds unless another day is chosen: the next day of school, or its last day if that is sooner. */
export function changeDay(endsOn: string, { today, calendar }: Day): string {
	const next = schoolDayFrom(addDays(today, 1), calendar);
	return next <= endsOn ? next : endsOn;
}

/** When to look again at somebody in a group unless another day is chosen: in some weeks, and before the group ends. */
export function nextReview(endsOn: string | null, { today, calendar }: Day, weeks = 4): string {
	const soonest = schoolDayFrom(addDays(today, 1), calendar);
	const before = schoolDayBy(addDays(today, 7 * weeks), calendar);
	// That may lie in a break that has begun already.
	const then = before > today ? before : schoolDayFrom(addDays(today, 7 * weeks), calendar);
	if (!endsOn || endsOn < soonest) return then;
	const last = firstReview(endsOn, soonest, calendar);
	return last < then ? last : then;
}
