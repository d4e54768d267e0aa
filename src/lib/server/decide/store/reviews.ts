import type { SchoolDate } from '../../../core/calendar';
import type { Advice, Verdict } from '../../../core/growth';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { changeWithin, endGroupWork, type GroupDeed, restoreGroupWork, undoWithin } from '../../groups';
import type { Staff, VisibleId } from '../../request';
import { refreshStudents } from '../../standing';
import { rosterSql, type Roster, type RosterCount, seenBy, SUMMARY } from '../../people';

export interface Review {
	id: number;
	studentId: VisibleId;
	groupId: number;
	groupName: string;
	dueOn: SchoolDate;
	verdict: Verdict | null;
	advice: Advice | null;
	reasons: string[];
	note: string;
	effectiveOn: SchoolDate | null;
	newTier: number | null;
	decidedAt: Date | null;
	decidedBy: string | null;
}

const REVIEW = `SELECT review.id, review.student_id AS studentId, review.group_id AS groupId, small_group.name AS groupName,
	review.due_on AS dueOn, review.verdict, review.advice, review.reasons, review.note, review.effective_on AS effectiveOn,
	review.new_tier AS newTier, review.decided_at AS decidedAt, account.display_name AS decidedBy
	FROM review
	JOIN small_group ON small_group.id = review.group_id
	LEFT JOIN account ON account.id = review.decided_by`;

type ReviewRow = Omit<Review, 'reasons'> & { reasons: string | null };
const toReview = (row: ReviewRow): Review => ({ ...row, reasons: JSON.parse(row.reasons ?? '[]') });

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
	later: { where: 'review.verdict IS NULL AND review.due_on > ?', order: 'review.due_on, review.id' },
	decided: { where: 'review.verdict IS NOT NULL AND ? IS NOT NULL', order: 'review.decided_at DESC, review.id DESC' }
};

/** Reviews of a roster: due, planned for later, or decided (newest first); a part of the list, and how many there are. */
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

/** An open review of a student whom a staff member may see, or null. */
export async function openReview(
	database: Database,
	staff: Staff,
	id: number,
	today: SchoolDate
): Promise<Review | null> {
	const seen = seenBy(staff, today, 'review.student_id');
	const row = await database.row<ReviewRow>(
		`${REVIEW} WHERE review.id = ? AND review.verdict IS NULL AND ${seen.sql}`,
		[id, ...seen.values]
	);
	return row && toReview(row);
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

export interface Decision {
	verdict: Verdict;
	/** From when tier and membership change. */
	effectiveOn: SchoolDate;
	/** The tier from then on; equal to the old one when nothing changes. */
	newTier: 1 | 2 | 3;
	/** Whether the student leaves the group the review is about. */
	leavesGroup: boolean;
	/** The group that the student moves to then, with the skill it works on. */
	movesTo?: { groupId: number; skillId: number } | null;
	note: string;
	/** When to look again; none after an exit. */
	nextReviewOn: SchoolDate | null;
	advice: Advice;
	reasons: string[];
}

/**
 * Records a verdict and what follows from it in one step: tier interval, membership, next review.
 *
 * @returns false when the review is not open any more, or not in this school
 */
export async function decide(
	database: RootDatabase,
	staff: Staff,
	reviewId: number,
	decision: Decision,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const review = await transaction.row<{ studentId: number; groupId: number }>(
			`SELECT review.student_id AS studentId, review.group_id AS groupId
			FROM review JOIN student ON student.id = review.student_id
			WHERE review.id = ? AND student.school_id = ? AND review.verdict IS NULL FOR UPDATE`,
			[reviewId, staff.schoolId]
		);
		if (!review) return false;
		const { studentId, groupId } = review;
		if (decision.movesTo) await requireOwn(transaction, staff, { group: [decision.movesTo.groupId] });
		await transaction.run(
			`UPDATE review SET verdict = ?, advice = ?, reasons = ?, note = ?, effective_on = ?, new_tier = ?, decided_by = ?, decided_at = ?
			WHERE id = ?`,
			[
				decision.verdict,
				decision.advice,
				JSON.stringify(decision.reasons),
				decision.note,
				decision.effectiveOn,
				decision.newTier,
				staff.id,
				at,
				reviewId
			]
		);
		const tier = await transaction.row<{ id: number; tier: number }>(
			'SELECT id, tier FROM tier_interval WHERE student_id = ? AND until_on IS NULL FOR UPDATE',
			[studentId]
		);
		if ((tier?.tier ?? 1) !== decision.newTier) {
			if (tier) {
				await transaction.run('UPDATE tier_interval SET until_on = GREATEST(?, from_on) WHERE id = ?', [
					decision.effectiveOn,
					tier.id
				]);
				await transaction.run('UPDATE review SET ended_tier_id = ? WHERE id = ?', [tier.id, reviewId]);
			}
			await transaction.run('INSERT INTO tier_interval (student_id, tier, from_on, review_id) VALUES (?, ?, ?, ?)', [
				studentId,
				decision.newTier,
				decision.effectiveOn,
				reviewId
			]);
		}
		if (decision.leavesGroup) {
			const membership = await transaction.row<{ id: number; untilOn: SchoolDate | null }>(
				`SELECT id, until_on AS untilOn FROM group_membership
				WHERE group_id = ? AND student_id = ? AND (until_on IS NULL OR until_on > ?) FOR UPDATE`,
				[groupId, studentId, decision.effectiveOn]
			);
			if (membership) {
				await transaction.run('UPDATE group_membership SET until_on = GREATEST(?, from_on) WHERE id = ?', [
					decision.effectiveOn,
					membership.id
				]);
				const { effectiveOn, movesTo } = decision;
				const ended = await endGroupWork(transaction, groupId, [studentId], effectiveOn, movesTo ?? null);
				await transaction.run(
					'UPDATE review SET ended_membership_id = ?, membership_until_on = ?, ended_waiting = ? WHERE id = ?',
					[membership.id, membership.untilOn, JSON.stringify(ended), reviewId]
				);
			}
		}
		if (decision.movesTo) {
			// What was agreed is in the review; the next one is about the new group.
			const reviewOn = decision.nextReviewOn ?? decision.effectiveOn;
			const join: GroupDeed = { kind: 'join', studentIds: [studentId], reviewOn, on: decision.effectiveOn };
			const joined = await changeWithin(transaction, staff, decision.movesTo.groupId, join, '', at);
			// Who is in that group already is looked at when that group says.
			await transaction.run('UPDATE review SET joined_change_id = ? WHERE id = ?', [joined, reviewId]);
		} else if (decision.nextReviewOn) {
			await transaction.run('INSERT INTO review (student_id, group_id, due_on, follows_id) VALUES (?, ?, ?, ?)', [
				studentId,
				groupId,
				decision.nextReviewOn,
				reviewId
			]);
		}
		await refreshStudents(transaction, [studentId]);
		await audit(transaction, staff, at, 'decide', {
			review: reviewId,
			student: studentId,
			verdict: decision.verdict,
			tier: decision.newTier
		});
		return true;
	});
}

/**
 * Takes a verdict back: tier, membership and the review list are as before it.
 *
 * @returns false when there is no such verdict, or a later one builds on it
 */
export async function undoDecision(database: RootDatabase, staff: Staff, reviewId: number, at: Date): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const review = await transaction.row<{
			studentId: number;
			endedTierId: number | null;
			endedMembershipId: number | null;
			membershipUntilOn: SchoolDate | null;
			endedWaiting: string | null;
			joinedChangeId: number | null;
		}>(
			`SELECT review.student_id AS studentId, review.ended_tier_id AS endedTierId,
				review.ended_membership_id AS endedMembershipId, review.membership_until_on AS membershipUntilOn,
				review.ended_waiting AS endedWaiting, review.joined_change_id AS joinedChangeId
			FROM review JOIN student ON student.id = review.student_id
			WHERE review.id = ? AND student.school_id = ? AND review.verdict IS NOT NULL FOR UPDATE`,
			[reviewId, staff.schoolId]
		);
		if (!review) return false;
		const later = await transaction.row<{ id: number }>(
			`SELECT later.id FROM review AS later JOIN review AS own ON own.id = ?
			WHERE later.student_id = own.student_id AND later.id <> own.id AND later.decided_at > own.decided_at LIMIT 1`,
			[reviewId]
		);
		if (later) return false;
		// Where something rests on the student's being in the new group, nothing is taken back.
		if (review.joinedChangeId && !(await undoWithin(transaction, staff, review.joinedChangeId, at))) return false;
		await transaction.run('DELETE FROM tier_interval WHERE review_id = ?', [reviewId]);
		if (review.endedTierId)
			await transaction.run('UPDATE tier_interval SET until_on = NULL WHERE id = ?', [review.endedTierId]);
		if (review.endedMembershipId) {
			await transaction.run('UPDATE group_membership SET until_on = ? WHERE id = ?', [
				review.membershipUntilOn,
				review.endedMembershipId
			]);
		}
		if (review.endedWaiting) await restoreGroupWork(transaction, JSON.parse(review.endedWaiting), [review.studentId]);
		await transaction.run('DELETE FROM review WHERE follows_id = ?', [reviewId]);
		await transaction.run(
			`UPDATE review SET verdict = NULL, advice = NULL, reasons = NULL, note = '', effective_on = NULL, new_tier = NULL,
				decided_by = NULL, decided_at = NULL, ended_tier_id = NULL, ended_membership_id = NULL, membership_until_on = NULL,
				ended_waiting = NULL, joined_change_id = NULL
			WHERE id = ?`,
			[reviewId]
		);
		await refreshStudents(transaction, [review.studentId]);
		await audit(transaction, staff, at, 'undo decide', { review: reviewId, student: review.studentId });
		return true;
	});
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
