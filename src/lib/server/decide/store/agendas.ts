import type { SchoolDate } from '../../../core/calendar';
import type { Stake } from '../../../core/growth';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { seenBy } from '../../people';
import type { Staff, VisibleId } from '../../request';
import { refreshStudents } from '../../standing';

/** One step of an agenda. */
export interface AgendaStep {
	reviewId: number;
	studentId: VisibleId;
	groupId: number | null;
	/** What was at stake when it was put on; null where its day had come. */
	raisedBy: Stake | null;
	isDecided: boolean;
}

/** What is put on an agenda: an open review, or a student without one, with why. */
export type ToReview = { reviewId: number } | { studentId: VisibleId; groupId: number | null; raisedBy: Stake | null };

/** The agenda of a meeting in its order, as far as somebody may see its students. */
export async function agendaOf(
	database: Database,
	staff: Staff,
	meetingId: number,
	today: SchoolDate
): Promise<AgendaStep[]> {
	const seen = seenBy(staff, today, 'review.student_id');
	const rows = await database.rows<
		Omit<AgendaStep, 'isDecided' | 'raisedBy'> & { isDecided: number; raisedBy: string }
	>(
		`SELECT review.id AS reviewId, review.student_id AS studentId, review.group_id AS groupId,
			review.raised_by AS raisedBy, review.verdict IS NOT NULL AS isDecided
		FROM review FORCE INDEX (by_meeting) WHERE review.meeting_id = ? AND ${seen.sql} ORDER BY review.place, review.id`,
		[meetingId, ...seen.values]
	);
	return rows.map(({ isDecided, raisedBy, ...row }) => ({
		...row,
		raisedBy: JSON.parse(raisedBy ?? 'null'),
		isDecided: Boolean(isDecided)
	}));
}

/** A meeting of the school that is not called off, held until the transaction ends. */
export const lockMeeting = (transaction: Database, staff: Staff, id: number) =>
	transaction.row<{ id: number; on: SchoolDate }>(
		`SELECT id, on_date AS \`on\` FROM review_meeting
		WHERE id = ? AND school_id = ? AND called_off_at IS NULL FOR UPDATE`,
		[id, staff.schoolId]
	);

/** Puts reviews at the end of an agenda, each once; somebody without an open review gets one for the day. @returns how many */
export async function putOn(
	transaction: Database,
	staff: Staff,
	{ id, on }: { id: number; on: SchoolDate },
	reviews: ToReview[]
): Promise<number> {
	const last = await transaction.row<{ place: number }>(
		'SELECT COALESCE(MAX(place), 0) AS place FROM review WHERE meeting_id = ?',
		[id]
	);
	let place = Number(last!.place);
	let put = 0;
	const without: number[] = [];
	for (const one of reviews) {
		place++;
		if ('reviewId' in one) {
			const { affected } = await transaction.run(
				`UPDATE review JOIN student ON student.id = review.student_id
				SET review.place = ?, review.meeting_id = ?
				WHERE review.id = ? AND student.school_id = ? AND review.verdict IS NULL`,
				[place, id, one.reviewId, staff.schoolId]
			);
			put += affected;
		} else {
			await transaction.run(
				`INSERT INTO review (student_id, group_id, due_on, meeting_id, made_for_id, place, raised_by)
				VALUES (?, ?, ?, ?, ?, ?, ?)`,
				[one.studentId, one.groupId, on, id, id, place, one.raisedBy && JSON.stringify(one.raisedBy)]
			);
			without.push(one.studentId);
			put++;
		}
	}
	await refreshStudents(transaction, without);
	return put;
}

/** What somebody who plans a meeting names, as it must be of their school. */
export const ownOf = (adults: number[], reviews: ToReview[]) => ({
	staff: adults,
	student: reviews.flatMap((one) => ('studentId' in one ? [one.studentId as number] : [])),
	group: reviews.flatMap((one) => ('studentId' in one && one.groupId ? [one.groupId] : []))
});

/** Puts more on the agenda of a meeting. @returns how many; null where there is no such meeting */
export async function putOnAgenda(
	database: RootDatabase,
	staff: Staff,
	meetingId: number,
	reviews: ToReview[],
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, ownOf([], reviews));
		const meeting = await lockMeeting(transaction, staff, meetingId);
		if (!meeting) return null;
		const put = await putOn(transaction, staff, meeting, reviews);
		await audit(transaction, staff, at, 'put on an agenda', { meeting: meetingId, reviews: put });
		return put;
	});
}

/** Takes an open review off an agenda; one that was made for the meeting is due on its day all the same. @returns whether it was on */
export async function takeOffAgenda(
	database: RootDatabase,
	staff: Staff,
	meetingId: number,
	reviewId: number,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		if (!(await lockMeeting(transaction, staff, meetingId))) return false;
		const { affected } = await transaction.run(
			'UPDATE review SET meeting_id = NULL WHERE id = ? AND meeting_id = ? AND verdict IS NULL',
			[reviewId, meetingId]
		);
		if (affected) await audit(transaction, staff, at, 'take off an agenda', { meeting: meetingId, review: reviewId });
		return affected > 0;
	});
}

/** Puts the steps of an agenda into another order. @param reviewIds all of them, as they are to follow @returns whether they are */
export async function orderAgenda(
	database: RootDatabase,
	staff: Staff,
	meetingId: number,
	reviewIds: number[],
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		if (!(await lockMeeting(transaction, staff, meetingId))) return false;
		const on = await transaction.rows<{ id: number }>('SELECT id FROM review WHERE meeting_id = ?', [meetingId]);
		if (on.length !== reviewIds.length || !on.every(({ id }) => reviewIds.includes(id))) return false;
		for (const [i, reviewId] of reviewIds.entries())
			await transaction.run('UPDATE review SET place = ? WHERE id = ? AND meeting_id = ?', [
				i + 1,
				reviewId,
				meetingId
			]);
		await audit(transaction, staff, at, 'order an agenda', { meeting: meetingId });
		return true;
	});
}
