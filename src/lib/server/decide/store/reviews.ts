import type { SchoolDate } from '../../../core/calendar';
import type { Advice, Reason, Verdict } from '../../../core/growth';
import type { Database } from '../../database';
import type { Staff, VisibleId } from '../../request';
import { rosterSql, type Roster, type RosterCount, seenBy, SUMMARY } from '../../people';

export interface Review {
	id: number;
	studentId: VisibleId;
	/** Null where the student was in no group. */
	groupId: number | null;
	groupName: string | null;
	/** The meeting on whose agenda it stands. */
	meetingId: number | null;
	dueOn: SchoolDate;
	verdict: Verdict | null;
	advice: Advice | null;
	/** Of the advice when it was decided; sentences where that was before reasons were kept as facts. */
	reasons: (Reason | string)[];
	note: string;
	/** Why the verdict is not as advised; empty where it is. */
	against: string;
	/** What is done in another way from then on. */
	change: string;
	familyTold: string;
	effectiveOn: SchoolDate | null;
	newTier: number | null;
	decidedAt: Date | null;
	decidedBy: string | null;
}

/** SQL of reviews, for `toReview`. */
export const REVIEW = `SELECT review.id, review.student_id AS studentId, review.group_id AS groupId, small_group.name AS groupName,
	review.due_on AS dueOn, review.verdict, review.advice, review.reasons, review.note, review.effective_on AS effectiveOn,
	review.new_tier AS newTier, review.meeting_id AS meetingId, review.against, review.plan_change AS \`change\`,
	review.family_told AS familyTold, review.decided_at AS decidedAt, account.display_name AS decidedBy
	FROM review
	LEFT JOIN small_group ON small_group.id = review.group_id
	LEFT JOIN account ON account.id = review.decided_by`;

/** As it is stored: reasons as text. */
export type ReviewRow = Omit<Review, 'reasons'> & { reasons: string | null };
export const toReview = (row: ReviewRow): Review => ({ ...row, reasons: JSON.parse(row.reasons ?? '[]') });

/** Open reviews of students, the earliest due first; those whose day has not come are included. */
export async function openReviews(database: Database, studentIds: VisibleId[]): Promise<Review[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<ReviewRow>(
		`${REVIEW} WHERE review.student_id IN (?) AND review.verdict IS NULL ORDER BY review.due_on, review.id`,
		[studentIds]
	);
	return rows.map(toReview);
}

/** Which reviews of a list: those from a place on, from 0. */
export interface Part {
	from: number;
	most: number;
}

const LISTS = {
	due: { where: 'review.verdict IS NULL AND review.due_on <= ?', order: 'review.due_on, review.id' },
	later: { where: 'review.verdict IS NULL AND review.due_on > ?', order: 'review.due_on, review.id' }
};

/** Open reviews of a roster, due or planned for later; a part of the list, and how many there are. */
export async function reviewList(
	database: Database,
	roster: Roster,
	list: keyof typeof LISTS,
	{ from, most }: Part
): Promise<{ reviews: Review[]; total: number }> {
	const among = rosterSql(roster);
	const { where, order } = LISTS[list];
	const values = [...among.values, roster.today];
	// In this order: else the reviews of a whole district may be read.
	const [counted, rows] = await Promise.all([
		database.row<{ total: number }>(
			`SELECT COUNT(*) AS total FROM ${among.sql} AS roster
			STRAIGHT_JOIN review ON review.student_id = roster.id WHERE ${where}`,
			values
		),
		database.rows<ReviewRow>(
			`${REVIEW} JOIN ${among.sql} AS roster ON roster.id = review.student_id
			WHERE ${where} ORDER BY ${order} LIMIT ${Number(most)} OFFSET ${Number(from)}`,
			values
		)
	]);
	return { reviews: rows.map(toReview), total: Number(counted!.total) };
}

/** Open reviews whose day has come. */
export const dueReviews = (today: SchoolDate): RosterCount => ({
	sql: `IF(summary.review_from <= ?, (SELECT COUNT(*) FROM review
		WHERE review.student_id = roster.id AND review.verdict IS NULL AND review.due_on <= ?), 0)`,
	values: [today, today],
	join: SUMMARY
});

/** How many open reviews of a roster were due before a day and stand on no agenda of today or later. */
export async function countOverdueReviews(database: Database, roster: Roster, day: SchoolDate): Promise<number> {
	const among = rosterSql(roster);
	const counted = await database.row<{ total: number }>(
		`SELECT COUNT(*) AS total FROM ${among.sql} AS roster
		STRAIGHT_JOIN review ON review.student_id = roster.id
		LEFT JOIN review_meeting AS meeting ON meeting.id = review.meeting_id AND meeting.called_off_at IS NULL
			AND meeting.on_date >= ?
		WHERE review.verdict IS NULL AND review.due_on < ? AND meeting.id IS NULL`,
		[...among.values, roster.today, day]
	);
	return Number(counted!.total);
}

/** A review of a student whom a staff member may see, decided or not, or null. */
export async function findReview(
	database: Database,
	staff: Staff,
	id: number,
	today: SchoolDate
): Promise<Review | null> {
	const seen = seenBy(staff, today, 'review.student_id');
	const row = await database.row<ReviewRow>(`${REVIEW} WHERE review.id = ? AND ${seen.sql}`, [id, ...seen.values]);
	return row && toReview(row);
}

/** An open review of a student whom a staff member may see, or null. */
export async function openReview(
	database: Database,
	staff: Staff,
	id: number,
	today: SchoolDate
): Promise<Review | null> {
	const review = await findReview(database, staff, id, today);
	return review?.verdict === null ? review : null;
}

/** Reviews with a verdict that stands, newest first. */
export async function decidedReviews(database: Database, studentIds: VisibleId[]): Promise<Review[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<ReviewRow>(
		`${REVIEW} WHERE review.student_id IN (?) AND review.verdict IS NOT NULL ORDER BY review.decided_at DESC, review.id DESC LIMIT 200`,
		[studentIds]
	);
	return rows.map(toReview);
}

interface TierInterval {
	tier: number;
	fromOn: SchoolDate;
	untilOn: SchoolDate | null;
}

/** A student's tiers through time, newest first. */
export async function tierHistory(database: Database, studentId: VisibleId): Promise<TierInterval[]> {
	return database.rows<TierInterval>(
		'SELECT tier, from_on AS fromOn, until_on AS untilOn FROM tier_interval WHERE student_id = ? ORDER BY from_on DESC, id DESC',
		[studentId]
	);
}
