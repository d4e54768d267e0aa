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

/**
 * Counts sessions. Dosage is attended of planned, so that a week in which nothing took place is not passed over. Today's
 * session counts once it is on record; one that took place at another time than planned counts as planned, too.
 *
 * @param memberships when the student is in the group
 * @param records of sessions that took place, one a day
 */
export function sessionsSoFar(
	memberships: DayRange[],
	time: Pick<WeeklyTime, 'days'>,
	pauses: DayRange[],
	records: { on: SchoolDate; present: boolean }[],
	today: SchoolDate
): Sessions {
	const onRecord = new Set(records.map(({ on }) => on));
	const planned = new Set(onRecord);
	for (const { fromOn, untilOn } of memberships) {
		const last = untilOn !== null && untilOn <= today ? addDays(untilOn, -1) : today;
		for (const day of meetingDays(time, fromOn, last, pauses)) if (day < today) planned.add(day);
	}
	const weeks = new Map<SchoolDate, boolean>();
	for (const day of planned) {
		const monday = mondayOf(day);
		weeks.set(monday, (weeks.get(monday) ?? false) || onRecord.has(day));
	}
	return {
		planned: planned.size,
		held: onRecord.size,
		attended: records.filter(({ present }) => present).length,
		emptyWeeks: [...weeks]
			.filter(([monday, isHeld]) => !isHeld && monday < mondayOf(today))
			.map(([monday]) => monday)
			.sort()
	};
}
