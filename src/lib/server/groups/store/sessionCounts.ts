import type { SchoolDate } from '../../../core/calendar';
import { daysOf, sessionsSoFar, type Sessions } from '../../../core/timetable';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';
import type { School } from '../../school';
import { groupPauses } from './groupHistory';

/** Sessions of students in each of their groups up to today, none planned on days off, by `student group`. */
export async function sessionCounts(
	database: Database,
	studentIds: VisibleId[],
	{ today, calendar }: Pick<School, 'today' | 'calendar'>
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
	const recordsOf = byStudentAndGroup(records);
	return new Map(
		[...byStudentAndGroup(memberships)].map(([key, own]) => {
			const [{ groupId, days }] = own;
			const paused = pauses.filter((pause) => pause.groupId === groupId);
			return [
				key,
				sessionsSoFar(own, { days: daysOf(days) }, [...paused, ...calendar.off], recordsOf.get(key) ?? [], today)
			];
		})
	);
}

function byStudentAndGroup<Row extends { studentId: number; groupId: number }>(rows: Row[]): Map<string, Row[]> {
	const lists = new Map<string, Row[]>();
	for (const row of rows) {
		const key = `${row.studentId} ${row.groupId}`;
		const list = lists.get(key);
		if (list) list.push(row);
		else lists.set(key, [row]);
	}
	return lists;
}
