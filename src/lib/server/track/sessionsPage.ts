import { addDays, mondayOf, type SchoolDate } from '../../core/calendar';
import { partedBy } from '../../core/collect';
import { dosageByWeek, dosageOf, minutesAWeek, type NotHeld, type StudentSession } from '../../core/timetable';
import { fullName } from '../../core/words';
import type { Database } from '../database';
import { absencesByReason, currentGroups, meetingRecords, sessionDaysOf, sessionWatches } from '../groups';
import { slotList } from '../groups/timetable';
import type { RosterStudent } from '../people';
import { idIn, numberIn, oneIn, type Staff } from '../request';
import { currentCycle, type School } from '../school';
import type { Scope } from '../shell';

/** What sessions are added up by. */
const BY = ['group', 'student', 'adult'] as const;
/** Lines that are shown at once. */
const AT_ONCE = 25;
/** Weeks that are shown at most, the last of them this one. */
const MOST_WEEKS = 10;

/** All sessions of a scope since a day, and why students were away from them. */
async function sessionsOf(
	database: Database,
	staff: Staff,
	school: School,
	inScope: RosterStudent[],
	since: SchoolDate
) {
	const { today } = school;
	const [all, slots] = await Promise.all([currentGroups(database, staff, today), slotList(database, school.id)]);
	const slotOf = new Map(slots.map((slot) => [slot.id, slot]));
	const scoped = new Map<number, RosterStudent>(inScope.map((student) => [student.id, student]));
	const groups = all
		.map((group) => ({
			...group,
			slot: slotOf.get(group.slotId)!,
			members: group.studentIds.flatMap((id) => scoped.get(id) ?? [])
		}))
		.filter(({ members }) => members.length);
	const inGroups = new Set(groups.flatMap(({ members }) => members.map(({ id }) => id)));
	const students = inScope.filter(({ id }) => inGroups.has(id));
	const groupIds = groups.map(({ id }) => id);
	const ids = students.map(({ id }) => id);
	const [days, away] = await Promise.all([
		sessionDaysOf(database, ids, school),
		absencesByReason(database, ids, groupIds, { from: since, until: today })
	]);
	const sessions = groups.flatMap(({ id: groupId, slot, members }) =>
		members.flatMap(({ id: studentId }): StudentSession[] =>
			(days.get(`${studentId} ${groupId}`) ?? [])
				.filter(({ on }) => on >= since)
				.map((day) => ({ ...day, groupId, studentId, minutes: slot.minutes }))
		)
	);
	return { groups, students, sessions, away };
}

/** A line of the page: what was planned, held and attended, in all and week by week. */
function lineOf(key: number, name: string, more: string, sessions: StudentSession[], mondays: SchoolDate[]) {
	return {
		...{ key, name, more },
		whole: dosageOf(sessions),
		weeks: dosageByWeek(sessions, mondays),
		minutes: minutesAWeek(sessions, mondays.length)
	};
}

/** Sessions of the cycle: planned, held and attended, by group, student or adult, week by week. */
export async function sessionsPage(database: Database, staff: Staff, school: School, scope: Scope, url: URL) {
	const { today } = school;
	const [cycle, inScope] = await Promise.all([currentCycle(database, school.id, today), scope.students()]);
	const since = cycle ? cycle.startsOn : addDays(mondayOf(today), -7 * (MOST_WEEKS - 1));
	const { groups, students, sessions, away } = await sessionsOf(database, staff, school, inScope, since);
	const mondays = mondaysOf(since, today);
	const by = oneIn(url, 'by', BY) ?? 'group';
	const ofGroup = partedBy(sessions, ({ groupId }) => groupId);
	const part = { from: numberIn(url, 'lines'), most: AT_ONCE };
	const shown = <One>(all: One[]) => all.slice(part.from, part.from + part.most);
	const looked = groups.find(({ id }) => id === idIn(url, 'group'));
	const noted = [...(by === 'group' ? shown(groups) : []), ...(looked ? [looked] : [])].map(({ id }) => id);
	const [records, watches] = await Promise.all([
		meetingRecords(database, staff, noted, { from: since, until: today, today }),
		sessionWatches(database, staff, noted, since)
	]);
	const recordsOf = partedBy(records, ({ groupId }) => groupId);
	const groupLine = ({ id, name, slot, members }: (typeof groups)[number]) => ({
		...lineOf(id, name, slot.staffName, ofGroup(id), mondays),
		notHeld: daysNotHeld(ofGroup(id), recordsOf(id), today),
		members: members.map((student) => student.id as number),
		watched: watches.filter(({ groupId }) => groupId === id)
	});
	const ofStudent = partedBy(sessions, ({ studentId }) => studentId);
	const studentLine = (student: RosterStudent) =>
		lineOf(student.id, fullName(student), student.className, ofStudent(student.id), mondays);
	const groupsOfAdult = partedBy(groups, ({ slot }) => slot.staffId);
	const adults = [...new Map(groups.map(({ slot }) => [slot.staffId, slot.staffName]))];
	const adultLine = ([id, name]: [number, string]) =>
		lineOf(
			id,
			name,
			'',
			groupsOfAdult(id).flatMap((group) => ofGroup(group.id)),
			mondays
		);
	return {
		...{ by, since, mondays, today },
		whole: dosageOf(sessions),
		part: { ...part, total: { group: groups, student: students, adult: adults }[by].length },
		groups: by === 'group' ? shown(groups).map(groupLine) : null,
		others: by === 'student' ? shown(students).map(studentLine) : by === 'adult' ? shown(adults).map(adultLine) : null,
		/** The group whose days are asked about. */
		looked: looked ? groupLine(looked) : null,
		away,
		without: inScope.length - students.length
	};
}

/** Planned days of a group on which it did not meet and that nothing made up for, the latest first, and why. */
function daysNotHeld(
	sessions: StudentSession[],
	records: { on: SchoolDate; held: boolean; whyNot: NotHeld | null }[],
	today: SchoolDate
) {
	const held = new Set(sessions.filter(({ is }) => is !== 'not held').map(({ on }) => on));
	const notHeld = [...new Set(sessions.map(({ on }) => on))].filter((on) => !held.has(on) && on < today).sort();
	const whyOf = new Map(records.map(({ on, whyNot }) => [on, whyNot]));
	return notHeld.reverse().map((on) => ({ on, why: whyOf.get(on) ?? null }));
}

function mondaysOf(since: SchoolDate, today: SchoolDate): SchoolDate[] {
	const last = mondayOf(today);
	const found: SchoolDate[] = [];
	for (let monday = last; monday >= mondayOf(since) && found.length < MOST_WEEKS; monday = addDays(monday, -7))
		found.push(monday);
	return found.reverse();
}
