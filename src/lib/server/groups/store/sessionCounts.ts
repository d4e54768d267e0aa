import type { SchoolDate } from '../../../core/calendar';
import { partedBy } from '../../../core/collect';
import {
	type Away,
	countSessions,
	daysOf,
	plannedDays,
	sessionDays,
	type SessionDay,
	type Sessions
} from '../../../core/timetable';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import type { School } from '../../school';
import { groupPauses } from './groupHistory';

/** Sessions of students in each of their groups up to today, counted, by `student group`. */
export async function sessionCounts(
	database: Database,
	studentIds: VisibleId[],
	school: Pick<School, 'today' | 'calendar'>
): Promise<Map<string, Sessions>> {
	const days = await sessionDaysOf(database, studentIds, school);
	return new Map([...days].map(([key, own]) => [key, countSessions(own, school.today)]));
}

/** Sessions of students in each of their groups up to today, day by day, none planned on days off, by `student group`. */
export async function sessionDaysOf(
	database: Database,
	studentIds: VisibleId[],
	{ today, calendar }: Pick<School, 'today' | 'calendar'>
): Promise<Map<string, SessionDay[]>> {
	if (studentIds.length === 0) return new Map();
	const [memberships, records] = await Promise.all([
		database.rows<{
			studentId: number;
			groupId: number;
			fromOn: SchoolDate;
			untilOn: SchoolDate | null;
			days: number;
		}>(
			`SELECT membership.student_id AS studentId, membership.group_id AS groupId, membership.from_on AS fromOn,
				membership.until_on AS untilOn, slot.days
			FROM group_membership AS membership
			JOIN small_group ON small_group.id = membership.group_id
			JOIN slot ON slot.id = small_group.slot_id
			WHERE membership.student_id IN (?) AND membership.from_on <= ?`,
			[studentIds, today]
		),
		// One row a student and group: a session by itself costs as much to read as all of them.
		database.rows<{ studentId: number; groupId: number; sessions: string }>(
			// A session that makes up for another stands in its place.
			`SELECT attendance.student_id AS studentId, attendance.group_id AS groupId,
				GROUP_CONCAT(COALESCE(meeting.makes_up, attendance.on_date), attendance.present
					ORDER BY attendance.on_date) AS sessions
			FROM attendance FORCE INDEX (PRIMARY)
			LEFT JOIN group_meeting AS meeting
				ON meeting.group_id = attendance.group_id AND meeting.on_date = attendance.on_date
			WHERE attendance.student_id IN (?) AND attendance.on_date <= ?
			GROUP BY attendance.student_id, attendance.group_id`,
			[studentIds, today]
		)
	]);
	const pauses = await groupPauses(database, [...new Set(memberships.map(({ groupId }) => groupId))]);
	const recordsOf = new Map(records.map((row) => [keyOf(row), toRecords(row.sessions)]));
	const membershipsOf = partedBy(memberships, keyOf);
	// Members of a group have mostly been in it for the same time.
	const known = new Map<string, SchoolDate[]>();
	const plannedFor = ({ groupId, days, ...range }: (typeof memberships)[number]): SchoolDate[] => {
		const key = `${groupId} ${range.fromOn} ${range.untilOn}`;
		let planned = known.get(key);
		if (!planned) {
			const paused = pauses.filter((pause) => pause.groupId === groupId);
			planned = plannedDays(range, { days: daysOf(days) }, [...paused, ...calendar.off], today);
			known.set(key, planned);
		}
		return planned;
	};
	return new Map(
		[...new Set(memberships.map(keyOf))].map((key) => [
			key,
			sessionDays(membershipsOf(key).flatMap(plannedFor), recordsOf.get(key) ?? [])
		])
	);
}

/** How often students were not at sessions of some groups from one day to another, by the reason; null where nobody said. The most frequent first. */
export async function absencesByReason(
	database: Database,
	studentIds: VisibleId[],
	groupIds: number[],
	{ from, until }: { from: SchoolDate; until: SchoolDate }
): Promise<{ why: Away | null; times: number }[]> {
	if (studentIds.length === 0 || groupIds.length === 0) return [];
	const rows = await database.rows<{ why: Away | null; times: number | string }>(
		// By the groups: a range for each student in each of them would be as many as both multiplied.
		`SELECT why_away AS why, COUNT(*) AS times FROM attendance FORCE INDEX (by_group)
		WHERE student_id IN (?) AND on_date BETWEEN ? AND ? AND group_id IN (?) AND NOT present
		GROUP BY why_away ORDER BY times DESC, why`,
		[studentIds, from, until, groupIds]
	);
	return rows.map(({ why, times }) => ({ why, times: Number(times) }));
}

const keyOf = ({ studentId, groupId }: { studentId: number; groupId: number }) => `${studentId} ${groupId}`;

/** Sessions as they are read: each a day, and 1 where the student was present. */
const toRecords = (sessions: string): { on: SchoolDate; present: boolean }[] =>
	sessions.split(',').map((one) => ({ on: one.slice(0, 10), present: one[10] === '1' }));
