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

/**
 * A student's sessions in a group up to a day, in their order: planned ones, and those that took place at another time than
 * planned. Today's counts once it is on record.
 *
 * @param memberships when the student is in the group
 * @param records of sessions that took place, one a day
 */
export function sessionDays(
	memberships: DayRange[],
	time: Pick<WeeklyTime, 'days'>,
	pauses: DayRange[],
	records: { on: SchoolDate; present: boolean }[],
	today: SchoolDate
): SessionDay[] {
	const presence = new Map(records.map(({ on, present }) => [on, present]));
	const days = new Set(presence.keys());
	for (const { fromOn, untilOn } of memberships) {
		const last = untilOn !== null && untilOn <= today ? addDays(untilOn, -1) : today;
		for (const day of meetingDays(time, fromOn, last, pauses)) if (day < today) days.add(day);
	}
	return [...days].sort().map((on) => {
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
