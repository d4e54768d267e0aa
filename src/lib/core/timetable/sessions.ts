import { addDays, mondayOf, type SchoolDate } from '../calendar';
import { meetingDays, type DayRange, type WeeklyTime } from '.';

/** One student's sessions in one group, up to a day. */
export interface Sessions {
	/** That should have been by then: at the group's times, while the student was in it and it did not pause. */
	planned: number;
	/** That took place. */
	held: number;
	attended: number;
	/** Mondays of past weeks in which some were planned and none took place. */
	emptyWeeks: SchoolDate[];
}

/** What became of one session of a student. */
export interface SessionDay {
	on: SchoolDate;
	is: 'attended' | 'missed' | 'not held';
}

/** Days before today on which a group should have met while somebody was in it: at its times, while it did not pause. */
export function plannedDays(
	{ fromOn, untilOn }: DayRange,
	time: Pick<WeeklyTime, 'days'>,
	pauses: DayRange[],
	today: SchoolDate
): SchoolDate[] {
	const until = untilOn !== null && untilOn < today ? untilOn : today;
	return meetingDays(time, fromOn, addDays(until, -1), pauses);
}

/**
 * A student's sessions in a group up to a day, in their order: planned ones, and those that took place at another time than
 * planned. Today's counts once it is on record.
 *
 * @param planned before today
 * @param records of sessions that took place, one a day
 */
export function sessionDays(planned: SchoolDate[], records: { on: SchoolDate; present: boolean }[]): SessionDay[] {
	const presence = new Map(records.map(({ on, present }) => [on, present]));
	return [...new Set([...presence.keys(), ...planned])].sort().map((on) => {
		const present = presence.get(on);
		return { on, is: present === undefined ? 'not held' : present ? 'attended' : 'missed' };
	});
}

/** Counts session days. Dosage is attended of planned, so that a week in which nothing took place is not passed over. */
export function countSessions(days: SessionDay[], today: SchoolDate): Sessions {
	const weeks = new Map<SchoolDate, boolean>();
	for (const { on, is } of days) {
		const monday = mondayOf(on);
		weeks.set(monday, (weeks.get(monday) ?? false) || is !== 'not held');
	}
	return {
		planned: days.length,
		held: days.filter(({ is }) => is !== 'not held').length,
		attended: days.filter(({ is }) => is === 'attended').length,
		emptyWeeks: [...weeks]
			.filter(([monday, isHeld]) => !isHeld && monday < mondayOf(today))
			.map(([monday]) => monday)
			.sort()
	};
}
