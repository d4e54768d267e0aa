import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { may, type Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { lockMeeting, ownOf, putOn, type ToReview } from './agendas';

/** A conference on students. */
export interface ReviewMeeting {
	id: number;
	on: SchoolDate;
	/** Where, and what it is about. */
	note: string;
	plannedBy: string;
	isCalledOff: boolean;
	/** Reviews on its agenda, and how many of them have a verdict: of all students, seen by who asks or not. */
	reviews: number;
	decided: number;
}

interface Invited {
	id: number;
	name: string;
	wasThere: boolean;
}

const MEETING = `SELECT meeting.id, meeting.on_date AS \`on\`, meeting.note, account.display_name AS plannedBy,
		meeting.called_off_at IS NOT NULL AS isCalledOff,
		(SELECT COUNT(*) FROM review WHERE review.meeting_id = meeting.id) AS reviews,
		(SELECT COUNT(*) FROM review WHERE review.meeting_id = meeting.id AND review.verdict IS NOT NULL) AS decided
	FROM review_meeting AS meeting
	JOIN account ON account.id = meeting.planned_by`;

type MeetingRow = Omit<ReviewMeeting, 'isCalledOff'> & { isCalledOff: number };
const toMeeting = ({ isCalledOff, reviews, decided, ...row }: MeetingRow): ReviewMeeting => ({
	...row,
	isCalledOff: Boolean(isCalledOff),
	reviews: Number(reviews),
	decided: Number(decided)
});

/** SQL that says which meetings somebody may see: who decides sees all of the school, others those they are invited to. */
function seenMeetings(staff: Staff): { sql: string; values: number[] } {
	if (may(staff.role, 'decide')) return { sql: 'meeting.school_id = ?', values: [staff.schoolId] };
	return {
		sql: `meeting.school_id = ? AND EXISTS (SELECT 1 FROM review_meeting_adult AS adult
			WHERE adult.meeting_id = meeting.id AND adult.account_id = ?)`,
		values: [staff.schoolId, staff.id]
	};
}

/** Meetings from a day on, the soonest first, or before it, the latest first; a part of the list, and how many there are. */
export async function reviewMeetings(
	database: Database,
	staff: Staff,
	which: 'from' | 'before',
	today: SchoolDate,
	part: { from: number; most: number }
): Promise<{ meetings: ReviewMeeting[]; total: number }> {
	const seen = seenMeetings(staff);
	const where = `${seen.sql} AND meeting.on_date ${which === 'from' ? '>=' : '<'} ? AND meeting.called_off_at IS NULL`;
	const order = which === 'from' ? 'meeting.on_date, meeting.id' : 'meeting.on_date DESC, meeting.id DESC';
	const [rows, counted] = await Promise.all([
		database.rows<MeetingRow>(
			`${MEETING} WHERE ${where} ORDER BY ${order} LIMIT ${Number(part.most)} OFFSET ${Number(part.from)}`,
			[...seen.values, today]
		),
		database.row<{ total: number }>(`SELECT COUNT(*) AS total FROM review_meeting AS meeting WHERE ${where}`, [
			...seen.values,
			today
		])
	]);
	return { meetings: rows.map(toMeeting), total: Number(counted!.total) };
}

/** A meeting that somebody may see, or null. */
export async function findReviewMeeting(database: Database, staff: Staff, id: number): Promise<ReviewMeeting | null> {
	const seen = seenMeetings(staff);
	const row = await database.row<MeetingRow>(`${MEETING} WHERE meeting.id = ? AND ${seen.sql}`, [id, ...seen.values]);
	return row && toMeeting(row);
}

/** Who is invited to meetings, by name. */
export async function invitedTo(
	database: Database,
	staff: Staff,
	meetingIds: number[]
): Promise<Map<number, Invited[]>> {
	const found = new Map<number, Invited[]>();
	if (meetingIds.length === 0) return found;
	const rows = await database.rows<{ meetingId: number; id: number; name: string; wasThere: number }>(
		`SELECT adult.meeting_id AS meetingId, account.id, account.display_name AS name, adult.was_there AS wasThere
		FROM review_meeting AS meeting
		STRAIGHT_JOIN review_meeting_adult AS adult ON adult.meeting_id = meeting.id
		STRAIGHT_JOIN account ON account.id = adult.account_id
		WHERE meeting.id IN (?) AND meeting.school_id = ? ORDER BY account.display_name, account.id`,
		[meetingIds, staff.schoolId]
	);
	for (const { meetingId, id, name, wasThere } of rows)
		found.set(meetingId, [...(found.get(meetingId) ?? []), { id, name, wasThere: Boolean(wasThere) }]);
	return found;
}

/** Plans a meeting with who is invited and what is on its agenda. @returns its id */
export async function planReviewMeeting(
	database: RootDatabase,
	staff: Staff,
	{ on, note, adults, reviews }: { on: SchoolDate; note: string; adults: number[]; reviews: ToReview[] },
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, ownOf(adults, reviews));
		const { insertId: id } = await transaction.run(
			'INSERT INTO review_meeting (school_id, on_date, note, planned_by, planned_at) VALUES (?, ?, ?, ?, ?)',
			[staff.schoolId, on, note, staff.id, at]
		);
		await transaction.insertMany(
			'INSERT INTO review_meeting_adult (meeting_id, account_id) VALUES ?',
			adults.map((adult) => [id, adult])
		);
		const put = await putOn(transaction, staff, { id, on }, reviews);
		await audit(transaction, staff, at, 'plan a review meeting', { meeting: id, reviews: put });
		return id;
	});
}

/** Takes the planning of a meeting back, with the reviews that were made for it; others stay due. @returns whether it was: not once something was decided */
export async function undoPlanning(
	database: RootDatabase,
	staff: Staff,
	meetingId: number,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		if (!(await lockMeeting(transaction, staff, meetingId))) return false;
		const reviews = await transaction.rows<{ verdict: string | null; madeFor: number | null; studentId: number }>(
			`SELECT verdict, made_for_id AS madeFor, student_id AS studentId FROM review
			WHERE meeting_id = ? FOR UPDATE`,
			[meetingId]
		);
		if (reviews.some(({ verdict }) => verdict !== null)) return false;
		await transaction.run('DELETE FROM review WHERE meeting_id = ? AND made_for_id = ?', [meetingId, meetingId]);
		await transaction.run('UPDATE review SET meeting_id = NULL WHERE meeting_id = ?', [meetingId]);
		await transaction.run('UPDATE review_meeting SET called_off_at = ? WHERE id = ?', [at, meetingId]);
		await refreshStudents(
			transaction,
			reviews.filter(({ madeFor }) => madeFor === meetingId).map(({ studentId }) => studentId)
		);
		await audit(transaction, staff, at, 'undo planning a review meeting', { meeting: meetingId });
		return true;
	});
}

/** Notes who of those invited was there, with others who came. @returns whether there is such a meeting */
export async function noteWhoWasThere(
	database: RootDatabase,
	staff: Staff,
	meetingId: number,
	adults: number[],
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { staff: adults });
		if (!(await lockMeeting(transaction, staff, meetingId))) return false;
		await transaction.run('UPDATE review_meeting_adult SET was_there = FALSE WHERE meeting_id = ?', [meetingId]);
		await transaction.insertMany(
			`INSERT INTO review_meeting_adult (meeting_id, account_id) VALUES ?
			ON DUPLICATE KEY UPDATE was_there = TRUE`,
			adults.map((adult) => [meetingId, adult])
		);
		await audit(transaction, staff, at, 'note who was at a review meeting', { meeting: meetingId, accounts: adults });
		return true;
	});
}

/** Calls a meeting off, or takes that back. Its open reviews stay due. @returns whether anything was changed */
export async function callOff(
	database: RootDatabase,
	staff: Staff,
	meetingId: number,
	isOff: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE review_meeting SET called_off_at = ?
			WHERE id = ? AND school_id = ? AND called_off_at IS ${isOff ? 'NULL' : 'NOT NULL'}`,
			[isOff ? at : null, meetingId, staff.schoolId]
		);
		if (affected)
			await audit(transaction, staff, at, isOff ? 'call off a review meeting' : 'undo calling off a review meeting', {
				meeting: meetingId
			});
		return affected > 0;
	});
}
