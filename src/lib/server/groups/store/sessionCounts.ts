import type { SchoolDate } from '../../../core/calendar';
import { sessionsSoFar, type Sessions } from '../../../core/timetable';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import { daysOf } from '../timetable';
import { groupPauses } from './groupHistory';

/** Sessions of students in each of their groups up to a day, by `student group`. */
export async function sessionCounts(
	database: Database,
	studentIds: VisibleId[],
	today: SchoolDate
): Promise<Map<string, Sessions>> {
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
		database.rows<{ studentId: number; groupId: number; on: SchoolDate; present: boolean }>(
			`SELECT student_id AS studentId, group_id AS groupId, on_date AS \`on\`, present
			FROM attendance
			WHERE student_id IN (?) AND on_date <= ?`,
			[studentIds, today]
		)
	]);
	const pauses = await groupPauses(database, [...new Set(memberships.map(({ groupId }) => groupId))]);
	const keyOf = (row: { studentId: number; groupId: number }) => `${row.studentId} ${row.groupId}`;
	const counts = new Map<string, Sessions>();
	for (const { studentId, groupId, days } of memberships) {
		const key = keyOf({ studentId, groupId });
		if (counts.has(key)) continue;
		counts.set(
			key,
			sessionsSoFar(
				memberships.filter((row) => keyOf(row) === key),
				{ days: daysOf(days) },
				pauses.filter((pause) => pause.groupId === groupId),
				records.filter((row) => keyOf(row) === key),
				today
			)
		);
	}
	return counts;
}
