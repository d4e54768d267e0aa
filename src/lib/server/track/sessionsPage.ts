import { addDays, mondayOf, type SchoolDate } from '../../core/calendar';
import { dosageByWeek, dosageOf, minutesAWeek, type NotHeld, type StudentSession } from '../../core/timetable';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { currentGroups, meetingRecords, sessionDaysOf, sessionWatches } from '../groups';
import { slotList } from '../groups/timetable';
import { visibleAmong } from '../people';
import { oneIn, type Staff } from '../request';
import { currentCycle, type School } from '../school';
import type { Scope } from '../shell';

/** What sessions are added up by. */
const BY = ['group', 'student', 'adult'] as const;
/** Weeks that are shown at most, the last of them this one. */
const MOST_WEEKS = 10;

/** Sessions of the cycle: planned, held and attended, by group, student or adult, week by week. */
export async function sessionsPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const { today } = school;
	const [groups, slots, cycle, inScope] = await Promise.all([
		currentGroups(database, staff, today),
		slotList(database, school.id),
		currentCycle(database, school.id, today),
		scope.students()
	]);
	const scoped = new Set<number>(inScope.map(({ id }) => id));
	const own = groups.filter(({ studentIds }) => studentIds.some((id) => scoped.has(id)));
	const students = await visibleAmong(
		database,
		staff,
		[...new Set(own.flatMap(({ studentIds }) => studentIds))].filter((id) => scoped.has(id)),
		today
	);
	const since = cycle ? cycle.startsOn : addDays(mondayOf(today), -7 * (MOST_WEEKS - 1));
	const ids = students.map(({ id }) => id);
	const groupIds = own.map(({ id }) => id);
	const [days, records, watches] = await Promise.all([
		sessionDaysOf(database, ids, school),
		meetingRecords(database, staff, groupIds, { from: since, until: today, today }),
		sessionWatches(database, staff, groupIds, since)
	]);
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const sessions = own.flatMap((group) => {
		const { minutes } = slotOf.get(group.slotId)!;
		return students.flatMap(({ id }): StudentSession[] =>
			(days.get(`${id} ${group.id}`) ?? [])
				.filter(({ on }) => on >= since)
				.map((day) => ({ ...day, groupId: group.id, studentId: id, minutes }))
		);
	});
	const mondays = mondaysOf(since, today);
	const row = (key: number, name: string, more: string, some: StudentSession[]) => ({
		...{ key, name, more },
		whole: dosageOf(some),
		weeks: dosageByWeek(some, mondays),
		minutes: minutesAWeek(some, mondays.length)
	});
	const by = oneIn(url, 'by', BY) ?? 'group';
	const ofGroup = (groupId: number) => sessions.filter((session) => session.groupId === groupId);
	const rows = {
		group: () =>
			own.map(({ id, name, slotId }) => ({
				...row(id, name, slotOf.get(slotId)!.staffName, ofGroup(id)),
				...lookInto(
					ofGroup(id),
					records.filter(({ groupId }) => groupId === id),
					today
				),
				members: students.flatMap(({ id: student }) =>
					own.find((group) => group.id === id)!.studentIds.includes(student) ? student : []
				),
				watched: watches.filter(({ groupId }) => groupId === id)
			})),
		student: () =>
			students.map((student) =>
				row(
					student.id,
					fullName(student),
					student.className,
					sessions.filter(({ studentId }) => studentId === student.id)
				)
			),
		adult: () =>
			[...new Map(own.map(({ slotId }) => slotOf.get(slotId)!).map((slot) => [slot.staffId, slot.staffName]))].map(
				([staffId, name]) =>
					row(
						staffId,
						name,
						'',
						own.filter(({ slotId }) => slotOf.get(slotId)!.staffId === staffId).flatMap(({ id }) => ofGroup(id))
					)
			)
	};
	return {
		...{ by, since, mondays, today },
		whole: dosageOf(sessions),
		groups: by === 'group' ? rows.group() : null,
		others: by === 'group' ? null : rows[by](),
		/** Absences by their reason, of those that have one or not. */
		away: count(
			records.flatMap(({ students: there }) =>
				there.filter(({ present, studentId }) => !present && scoped.has(studentId)).map(({ whyAway }) => whyAway)
			)
		),
		without: inScope.length - students.length
	};
}

/** Planned days of a group on which it did not meet and that nothing made up for, the latest first, and why. */
function lookInto(
	sessions: StudentSession[],
	records: { on: SchoolDate; held: boolean; whyNot: NotHeld | null }[],
	today: SchoolDate
) {
	const held = new Set(sessions.filter(({ is }) => is !== 'not held').map(({ on }) => on));
	const notHeld = [...new Set(sessions.map(({ on }) => on))].filter((on) => !held.has(on) && on < today).sort();
	const whyOf = new Map(records.map(({ on, whyNot }) => [on, whyNot]));
	return { notHeld: notHeld.reverse().map((on) => ({ on, why: whyOf.get(on) ?? null })) };
}

/** How often each value comes, the most frequent first. */
function count<Value>(values: Value[]): { value: Value; times: number }[] {
	const times = new Map<Value, number>();
	for (const value of values) times.set(value, (times.get(value) ?? 0) + 1);
	return [...times].map(([value, n]) => ({ value, times: n })).sort((a, b) => b.times - a.times);
}

function mondaysOf(since: SchoolDate, today: SchoolDate): SchoolDate[] {
	const last = mondayOf(today);
	const found: SchoolDate[] = [];
	for (let monday = last; monday >= mondayOf(since) && found.length < MOST_WEEKS; monday = addDays(monday, -7))
		found.push(monday);
	return found.reverse();
}
