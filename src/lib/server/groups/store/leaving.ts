import type { SchoolDate } from '../../../core/calendar';
import type { GroupWork } from '../../../core/grouping';
import { refreshStudents } from '../../standing';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';

/** What leaving ended, as it is stored to be restored. */
export interface EndedWork {
	/** Plans of probes; those that went on in another group had `groupId` before. */
	plans: { id: number; groupId: number | null; wentOn: boolean }[];
	sets: {
		setId: number;
		studentId: number;
		/** What was their own within it; absent where it was ended before that was kept. */
		own?: (string | number | boolean | null)[];
	}[];
	reviews: {
		id: number;
		studentId: number;
		groupId: number | null;
		dueOn: SchoolDate;
		followsId: number | null;
		/** Where it stood on an agenda; absent where it was ended before there were any. */
		meetingId?: number | null;
		madeFor?: number | null;
		place?: number;
		raisedBy?: string | null;
	}[];
}

/** What is a student's own within a set. */
const OWN = ['skill_id', 'place', 'due_on', 'practice_count', 'families', 'hints', 'read_aloud', 'larger_type'];

/** SQL about `practice_set_student`: what is not begun, and what nobody was excused from. */
const NOT_BEGUN = `excused_at IS NULL AND NOT EXISTS (
	SELECT 1 FROM sitting
	WHERE sitting.set_id = practice_set_student.set_id AND sitting.student_id = practice_set_student.student_id)`;

/** SQL: an open review, as it is put back. */
const REVIEW = `id, student_id AS studentId, group_id AS groupId, due_on AS dueOn, follows_id AS followsId,
	meeting_id AS meetingId, made_for_id AS madeFor, place, raised_by AS raisedBy`;

const readPlans = (database: Database, groupId: number, studentIds: number[]) =>
	database.rows<{ id: number; studentId: number; skillId: number }>(
		`SELECT id, student_id AS studentId, skill_id AS skillId FROM probe_plan
		WHERE student_id IN (?) AND group_id = ? AND ended_on IS NULL ORDER BY id`,
		[studentIds, groupId]
	);

const readSets = (database: Database, groupId: number, studentIds: number[]) =>
	database.rows<{ studentId: number; begun: number }>(
		`SELECT membership.student_id AS studentId, sitting.id IS NOT NULL OR membership.attempt > 1 AS begun
		FROM practice_set_student AS membership
		JOIN practice_set ON practice_set.id = membership.set_id
		LEFT JOIN sitting ON sitting.set_id = membership.set_id AND sitting.student_id = membership.student_id
			AND sitting.attempt = membership.attempt
		WHERE membership.student_id IN (?) AND practice_set.group_id = ? AND practice_set.withdrawn_at IS NULL
			AND membership.excused_at IS NULL AND sitting.finished_at IS NULL
		ORDER BY membership.set_id`,
		[studentIds, groupId]
	);

const readReviews = (database: Database, groupId: number, studentIds: number[]) =>
	database.rows<{ studentId: number; dueOn: SchoolDate }>(
		`SELECT student_id AS studentId, due_on AS dueOn FROM review
		WHERE student_id IN (?) AND group_id = ? AND verdict IS NULL ORDER BY id`,
		[studentIds, groupId]
	);

/** What a group has waiting for students of it: what leaving ends or takes off. */
export async function groupWork(
	database: Database,
	groupId: number,
	studentIds: VisibleId[]
): Promise<Map<number, GroupWork>> {
	if (studentIds.length === 0) return new Map();
	const [plans, sets, reviews] = await Promise.all([
		readPlans(database, groupId, studentIds),
		readSets(database, groupId, studentIds),
		readReviews(database, groupId, studentIds)
	]);
	return new Map(
		studentIds.map((id) => {
			const own = <Row extends { studentId: number }>(rows: Row[]) => rows.filter(({ studentId }) => studentId === id);
			return [
				id,
				{
					probes: own(plans).map(({ skillId }) => skillId),
					sets: own(sets).filter(({ begun }) => !begun).length,
					begun: own(sets).filter(({ begun }) => begun).length,
					reviews: own(reviews).map(({ dueOn }) => dueOn)
				}
			];
		})
	);
}

/** From today until a day. */
interface TimeLeft {
	today: SchoolDate;
	on: SchoolDate;
}

/** Takes sets that students have not begun away from them, but for those due in a time that is left. @param which SQL about `practice_set` */
async function endSets(
	transaction: Database,
	studentIds: number[],
	which: 'group_id = ?' | 'school_id = ?',
	id: number,
	left: TimeLeft
): Promise<EndedWork['sets']> {
	const rows = await transaction.rows<Record<string, string | number | boolean | null>>(
		`DELETE FROM practice_set_student
		WHERE student_id IN (?) AND set_id IN (SELECT id FROM practice_set WHERE ${which} AND withdrawn_at IS NULL)
			AND ${NOT_BEGUN}
			AND NOT COALESCE(COALESCE(due_on, (SELECT due_on FROM practice_set WHERE id = set_id)) BETWEEN ? AND ? - INTERVAL 1 DAY, FALSE)
		RETURNING set_id, student_id, ${OWN.join(', ')}`,
		[studentIds, id, left.today, left.on]
	);
	return rows.map((row) => ({
		setId: Number(row.set_id),
		studentId: Number(row.student_id),
		own: OWN.map((column) => row[column])
	}));
}

/**
 * Ends what a group has waiting for students who leave it: weekly probes, sets that are not begun, open reviews. A set
 * that is begun can be finished.
 *
 * @param to the group they move to, with the skill it works on: probes on it go on there; null for none
 * @param today where they leave later: what is due until then stays
 */
export async function endGroupWork(
	transaction: Database,
	groupId: number,
	studentIds: number[],
	on: SchoolDate,
	to: { groupId: number; skillId: number } | null,
	today = on
): Promise<EndedWork> {
	const plans = await readPlans(transaction, groupId, studentIds);
	const goOn = plans.filter(({ skillId }) => skillId === to?.skillId);
	const end = plans.filter(({ skillId }) => skillId !== to?.skillId);
	if (goOn.length && to)
		await transaction.run('UPDATE probe_plan SET group_id = ? WHERE id IN (?)', [to.groupId, goOn.map(({ id }) => id)]);
	if (end.length)
		await transaction.run('UPDATE probe_plan SET ended_on = GREATEST(?, starts_on) WHERE id IN (?)', [
			on,
			end.map(({ id }) => id)
		]);
	// What is taken away is told by the statement that does it: a set begun, or a verdict given, a moment before stays.
	const sets = await endSets(transaction, studentIds, 'group_id = ?', groupId, { today, on });
	const reviews = await transaction.rows<EndedWork['reviews'][number]>(
		`DELETE FROM review WHERE student_id IN (?) AND group_id = ? AND verdict IS NULL
		RETURNING ${REVIEW}`,
		[studentIds, groupId]
	);
	await refreshStudents(transaction, studentIds);
	return {
		plans: plans.map(({ id, skillId }) => ({ id, groupId, wentOn: skillId === to?.skillId })),
		sets,
		reviews
	};
}

/**
 * Ends what waits for any student of a school, in a group or not: weekly probes, sets that are not begun, open reviews. A
 * set that is begun can be finished.
 */
export async function endSchoolWork(
	transaction: Database,
	schoolId: number,
	studentIds: number[],
	on: SchoolDate
): Promise<EndedWork> {
	if (studentIds.length === 0) return { plans: [], sets: [], reviews: [] };
	const plans = await transaction.rows<{ id: number; groupId: number | null }>(
		'SELECT id, group_id AS groupId FROM probe_plan WHERE student_id IN (?) AND ended_on IS NULL ORDER BY id FOR UPDATE',
		[studentIds]
	);
	if (plans.length)
		await transaction.run('UPDATE probe_plan SET ended_on = GREATEST(?, starts_on) WHERE id IN (?)', [
			on,
			plans.map(({ id }) => id)
		]);
	const sets = await endSets(transaction, studentIds, 'school_id = ?', schoolId, { today: on, on });
	const reviews = await transaction.rows<EndedWork['reviews'][number]>(
		`DELETE FROM review WHERE student_id IN (?) AND verdict IS NULL RETURNING ${REVIEW}`,
		[studentIds]
	);
	await refreshStudents(transaction, studentIds);
	return { plans: plans.map((plan) => ({ ...plan, wentOn: false })), sets, reviews };
}

/** Puts back what leaving ended. What was done since stays: a set that was given again is not given twice. */
export async function restoreGroupWork(
	transaction: Database,
	{ plans, sets, reviews }: EndedWork,
	studentIds: number[]
): Promise<void> {
	for (const { id, groupId, wentOn } of plans)
		await transaction.run(
			wentOn
				? 'UPDATE probe_plan SET group_id = ? WHERE id = ?'
				: 'UPDATE probe_plan SET group_id = ?, ended_on = NULL WHERE id = ?',
			[groupId, id]
		);
	await transaction.insertMany(
		`INSERT IGNORE INTO practice_set_student (set_id, student_id, ${OWN.join(', ')}) VALUES ?`,
		sets.map(({ setId, studentId, own = [null, 0, null, null, null, null, null, null] }) => [setId, studentId, ...own])
	);
	await transaction.insertMany(
		'INSERT INTO review (id, student_id, group_id, due_on, follows_id, meeting_id, made_for_id, place, raised_by) VALUES ?',
		reviews.map(
			({ id, studentId, groupId, dueOn, followsId, meetingId = null, madeFor = null, place = 0, raisedBy = null }) => [
				...[id, studentId, groupId, dueOn, followsId],
				...[meetingId, madeFor, place, raisedBy]
			]
		)
	);
	await refreshStudents(transaction, studentIds);
}
