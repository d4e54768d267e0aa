import type { SchoolDate } from '../../../core/calendar';
import type { Advice, Reason, Verdict } from '../../../core/growth';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { changeWithin, endGroupWork, type GroupDeed, restoreGroupWork, undoWithin } from '../../groups';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';
import { beginWatch, changeGoal, endWatch, forgetReadingsOf, type NewGoal } from '../../track';

/** What is agreed beside tier and group. */
export interface Agreement {
	/** Why it is not as advised; empty where it is. */
	against: string;
	/** What is done in another way from then on, in a few words; empty for nothing. */
	change: string;
	/** What the group that the student stays in works on from then on, for all its members; null where that stays. */
	focusSkillId: number | null;
	/** Another goal of weekly probes; null where it stays. */
	goal: NewGoal | null;
	tasks: { accountId: number; what: string; dueOn: SchoolDate }[];
	/** What the family is told; empty where nobody said. */
	familyTold: string;
}

/** Nothing of it. */
export const NOTHING_MORE: Agreement = {
	against: '',
	change: '',
	focusSkillId: null,
	goal: null,
	tasks: [],
	familyTold: ''
};

export interface Decision extends Agreement {
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
	/** The day on which it is decided: what is due from then on up to the day it takes effect stays. */
	decidedOn: SchoolDate;
	/** When to look again; none after an exit. */
	nextReviewOn: SchoolDate | null;
	advice: Advice;
	reasons: Reason[];
}

/** A verdict on a review that was open. */
interface Decided extends Decision {
	id: number;
	studentId: number;
	/** Null where the student was in none. */
	groupId: number | null;
}

/** Begins the tier of a verdict, where it is another than the student's. */
async function changeTier(transaction: Database, review: Decided): Promise<void> {
	const tier = await transaction.row<{ id: number; tier: number }>(
		'SELECT id, tier FROM tier_interval WHERE student_id = ? AND until_on IS NULL FOR UPDATE',
		[review.studentId]
	);
	if ((tier?.tier ?? 1) !== review.newTier) {
		if (tier) {
			await transaction.run('UPDATE tier_interval SET until_on = GREATEST(?, from_on) WHERE id = ?', [
				review.effectiveOn,
				tier.id
			]);
			await transaction.run('UPDATE review SET ended_tier_id = ? WHERE id = ?', [tier.id, review.id]);
		}
		await transaction.run('INSERT INTO tier_interval (student_id, tier, from_on, review_id) VALUES (?, ?, ?, ?)', [
			review.studentId,
			review.newTier,
			review.effectiveOn,
			review.id
		]);
	}
}

/** Ends the membership in the group of the review, and what that group had waiting for the student. */
async function leaveGroup(transaction: Database, staff: Staff, review: Decided): Promise<void> {
	const { groupId, effectiveOn, movesTo, decidedOn } = review;
	if (groupId === null) return;
	const membership = await transaction.row<{ id: number; untilOn: SchoolDate | null }>(
		`SELECT id, until_on AS untilOn FROM group_membership
		WHERE group_id = ? AND student_id = ? AND (until_on IS NULL OR until_on > ?) FOR UPDATE`,
		[groupId, review.studentId, effectiveOn]
	);
	if (!membership) return;
	await transaction.run('UPDATE group_membership SET until_on = GREATEST(?, from_on) WHERE id = ?', [
		effectiveOn,
		membership.id
	]);
	const { studentId } = review;
	const ended = await endGroupWork(transaction, groupId, [studentId], effectiveOn, movesTo ?? null, decidedOn);
	const plans = ended.plans.filter(({ wentOn }) => !wentOn).map(({ id }) => id);
	const watch = review.verdict === 'exit' ? await beginWatch(transaction, staff, plans, effectiveOn) : [];
	await transaction.run(
		`UPDATE review SET ended_membership_id = ?, membership_until_on = ?, ended_waiting = ?, watch_plans = ? WHERE id = ?`,
		[membership.id, membership.untilOn, JSON.stringify(ended), JSON.stringify(watch), review.id]
	);
}

/** Joins the group that the student moves to, or plans the next review of the one they stay in. */
async function planNext(transaction: Database, staff: Staff, review: Decided, at: Date): Promise<void> {
	if (review.movesTo) {
		// What was agreed is in the review; the next one is about the new group.
		const reviewOn = review.nextReviewOn ?? review.effectiveOn;
		const join: GroupDeed = { kind: 'join', studentIds: [review.studentId], reviewOn, on: review.effectiveOn };
		const joined = await changeWithin(transaction, staff, review.movesTo.groupId, join, '', at);
		// Who is in that group already is looked at when that group says.
		await transaction.run('UPDATE review SET joined_change_id = ? WHERE id = ?', [joined, review.id]);
	} else if (review.nextReviewOn) {
		await transaction.run('INSERT INTO review (student_id, group_id, due_on, follows_id) VALUES (?, ?, ?, ?)', [
			review.studentId,
			review.groupId,
			review.nextReviewOn,
			review.id
		]);
	}
}

/** What was agreed beside tier and group: the group's focus, the goal of the probes, and who does what. */
async function agreeOn(transaction: Database, staff: Staff, review: Decided, at: Date): Promise<void> {
	const { id, groupId, focusSkillId, goal, tasks, effectiveOn } = review;
	if (focusSkillId && groupId) {
		const deed: GroupDeed = { kind: 'focus', skillId: focusSkillId, on: effectiveOn };
		const changed = await changeWithin(transaction, staff, groupId, deed, review.note.slice(0, 500), at);
		await transaction.run('UPDATE review SET focus_change_id = ? WHERE id = ?', [changed, id]);
	}
	if (goal) {
		const before = await changeGoal(transaction, staff, goal);
		await transaction.run('UPDATE review SET goal_before = ? WHERE id = ?', [before && JSON.stringify(before), id]);
	}
	await transaction.insertMany(
		'INSERT INTO review_task (review_id, student_id, account_id, what, due_on) VALUES ?',
		tasks.map(({ accountId, what, dueOn }) => [id, review.studentId, accountId, what, dueOn])
	);
}

/**
 * Records a verdict and what follows from it in one step: tier interval, membership, focus, goal, tasks, next review.
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
		const review = await transaction.row<{ studentId: number; groupId: number | null }>(
			`SELECT review.student_id AS studentId, review.group_id AS groupId
			FROM review JOIN student ON student.id = review.student_id
			WHERE review.id = ? AND student.school_id = ? AND review.verdict IS NULL FOR UPDATE`,
			[reviewId, staff.schoolId]
		);
		if (!review) return false;
		const { studentId, groupId } = review;
		await requireOwn(transaction, staff, {
			group: [decision.movesTo?.groupId],
			skill: [decision.focusSkillId],
			staff: decision.tasks.map(({ accountId }) => accountId)
		});
		await transaction.run(
			`UPDATE review SET verdict = ?, advice = ?, reasons = ?, note = ?, effective_on = ?, new_tier = ?, decided_by = ?, decided_at = ?,
				against = ?, plan_change = ?, family_told = ?
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
				...[decision.against, decision.change, decision.familyTold],
				reviewId
			]
		);
		const decided = { ...decision, id: reviewId, studentId, groupId };
		await changeTier(transaction, decided);
		if (decision.leavesGroup) await leaveGroup(transaction, staff, decided);
		await agreeOn(transaction, staff, decided, at);
		await planNext(transaction, staff, decided, at);
		await forgetReadingsOf(transaction, [studentId]);
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
			watchPlans: string;
			focusChangeId: number | null;
			goalBefore: string | null;
			effectiveOn: SchoolDate;
		}>(
			`SELECT review.student_id AS studentId, review.ended_tier_id AS endedTierId,
				review.ended_membership_id AS endedMembershipId, review.membership_until_on AS membershipUntilOn,
				review.ended_waiting AS endedWaiting, review.joined_change_id AS joinedChangeId,
				review.watch_plans AS watchPlans, review.effective_on AS effectiveOn,
				review.focus_change_id AS focusChangeId, review.goal_before AS goalBefore
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
		// Where something rests on the student's being in the new group, or on its focus, nothing is taken back.
		for (const change of [review.joinedChangeId, review.focusChangeId])
			if (change && !(await undoWithin(transaction, staff, change, at))) return false;
		if (review.goalBefore) await changeGoal(transaction, staff, JSON.parse(review.goalBefore));
		await transaction.run('DELETE FROM review_task WHERE review_id = ?', [reviewId]);
		await transaction.run('DELETE FROM tier_interval WHERE review_id = ?', [reviewId]);
		if (review.endedTierId)
			await transaction.run('UPDATE tier_interval SET until_on = NULL WHERE id = ?', [review.endedTierId]);
		if (review.endedMembershipId) {
			await transaction.run('UPDATE group_membership SET until_on = ? WHERE id = ?', [
				review.membershipUntilOn,
				review.endedMembershipId
			]);
		}
		await endWatch(transaction, JSON.parse(review.watchPlans), review.effectiveOn);
		if (review.endedWaiting) await restoreGroupWork(transaction, JSON.parse(review.endedWaiting), [review.studentId]);
		await transaction.run('DELETE FROM review WHERE follows_id = ?', [reviewId]);
		await transaction.run(
			`UPDATE review SET verdict = NULL, advice = NULL, reasons = NULL, note = '', effective_on = NULL, new_tier = NULL,
				decided_by = NULL, decided_at = NULL, ended_tier_id = NULL, ended_membership_id = NULL, membership_until_on = NULL,
				ended_waiting = NULL, joined_change_id = NULL, watch_plans = '[]', against = '', plan_change = '', family_told = '',
				focus_change_id = NULL, goal_before = NULL
			WHERE id = ?`,
			[reviewId]
		);
		await forgetReadingsOf(transaction, [review.studentId]);
		await refreshStudents(transaction, [review.studentId]);
		await audit(transaction, staff, at, 'undo decide', { review: reviewId, student: review.studentId });
		return true;
	});
}
