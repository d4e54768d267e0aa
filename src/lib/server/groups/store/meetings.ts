import type { SchoolDate } from '../../../core/calendar';
import type { Away, NotHeld } from '../../../core/timetable';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { seenAmong } from '../../people';

/** Who was at a meeting of a group, and how each did on its exit ticket. */
export interface MeetingRecord {
	groupId: number;
	on: SchoolDate;
	/** Not held: nobody's attendance counts. */
	held: boolean;
	/** Why it was not; null where it was, or nobody said. */
	whyNot: NotHeld | null;
	/** The planned day in place of which it was held. */
	makesUp: SchoolDate | null;
	note: string;
	students: { studentId: number; present: boolean; whyAway: Away | null; ticketRight: number | null }[];
}

/** What is on record where nothing is. */
const NOTHING = { held: true, whyNot: null, makesUp: null, note: '', students: [] };

/**
 * Meetings on record of some groups within some days, the latest first, with those students whom a staff member may see
 * today. Class teachers do not read what was noted, since that may be about others.
 */
export async function meetingRecords(
	database: Database,
	staff: Staff,
	groupIds: number[],
	{ from, until, today }: { from: SchoolDate; until: SchoolDate; today: SchoolDate }
): Promise<MeetingRecord[]> {
	const records = await recordsOf(database, staff.schoolId, groupIds, from, until);
	if (staff.role !== 'teacher') return records;
	const ids = new Set(records.flatMap(({ students }) => students.map(({ studentId }) => studentId)));
	const seen = await seenAmong(database, staff, [...ids], today);
	return records.map((record) => ({
		...record,
		note: '',
		students: record.students.filter(({ studentId }) => seen.has(studentId))
	}));
}

async function recordsOf(
	database: Database,
	schoolId: number,
	groupIds: number[],
	from: SchoolDate,
	until: SchoolDate
): Promise<MeetingRecord[]> {
	if (groupIds.length === 0) return [];
	const [meetings, attended] = await Promise.all([
		database.rows<Omit<MeetingRecord, 'students'>>(
			`SELECT group_id AS groupId, on_date AS \`on\`, held, why_not AS whyNot, makes_up AS makesUp, note FROM group_meeting
			JOIN small_group ON small_group.id = group_meeting.group_id AND small_group.school_id = ?
			WHERE group_id IN (?) AND on_date BETWEEN ? AND ?`,
			[schoolId, groupIds, from, until]
		),
		database.rows<{ groupId: number; on: SchoolDate } & MeetingRecord['students'][number]>(
			`SELECT group_id AS groupId, on_date AS \`on\`, student_id AS studentId, present, why_away AS whyAway,
				ticket_right AS ticketRight
			FROM attendance
			JOIN small_group ON small_group.id = attendance.group_id AND small_group.school_id = ?
			WHERE group_id IN (?) AND on_date BETWEEN ? AND ?
			ORDER BY student_id`,
			[schoolId, groupIds, from, until]
		)
	]);
	const records = new Map<string, MeetingRecord>();
	const recordOf = (groupId: number, on: SchoolDate) => {
		const key = `${groupId} ${on}`;
		const record = records.get(key) ?? { groupId, on, ...NOTHING, students: [] };
		records.set(key, record);
		return record;
	};
	for (const { groupId, on, ...meeting } of meetings) Object.assign(recordOf(groupId, on), meeting);
	for (const { groupId, on, ...student } of attended) recordOf(groupId, on).students.push(student);
	return [...records.values()].sort((a, b) => (a.on < b.on ? 1 : a.on > b.on ? -1 : a.groupId - b.groupId));
}

/**
 * Writes down a meeting. What was on record of it is replaced, and returned, so that it can be put back.
 *
 * @returns the record before, without students where there was none; null when there is no such group
 */
export async function recordMeeting(
	database: RootDatabase,
	staff: Staff,
	record: MeetingRecord,
	at: Date
): Promise<MeetingRecord | null> {
	return database.transaction(async (transaction) => {
		const { groupId, on, held, whyNot, makesUp, note, students } = record;
		const group = await transaction.row<{ id: number }>(
			'SELECT id FROM small_group WHERE id = ? AND school_id = ? FOR UPDATE',
			[groupId, staff.schoolId]
		);
		if (!group) return null;
		const [before = { groupId, on, ...NOTHING }] = await recordsOf(transaction, staff.schoolId, [groupId], on, on);
		await transaction.run('DELETE FROM attendance WHERE group_id = ? AND on_date = ?', [groupId, on]);
		await transaction.run('DELETE FROM group_meeting WHERE group_id = ? AND on_date = ?', [groupId, on]);
		// A record of nothing is none.
		if (students.length || note || !held) {
			await transaction.run(
				`INSERT INTO group_meeting (group_id, on_date, held, why_not, makes_up, note, recorded_by, recorded_at)
				VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
				[groupId, on, held, held ? null : whyNot, held ? makesUp : null, note, staff.id, at]
			);
		}
		if (held) {
			await transaction.insertMany(
				'INSERT INTO attendance (group_id, student_id, on_date, present, why_away, ticket_right) VALUES ?',
				students.map(({ studentId, present, whyAway, ticketRight }) => [
					...[groupId, studentId, on, present],
					...[present ? null : whyAway, ticketRight]
				])
			);
		}
		await audit(transaction, staff, at, 'record a meeting', {
			group: groupId,
			on,
			held,
			present: students.filter(({ present }) => present).length,
			students: students.length
		});
		return before;
	});
}
