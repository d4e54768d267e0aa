import type { SchoolDate } from '../../../core/calendar';
import type { FollowOn, NoticeReason } from '../../../core/practice';
import { audit, type Database, type RootDatabase } from '../../database';
import { undoesAll, type Staff, type VisibleId } from '../../request';
import { refreshStudents } from '../../standing';
import { beginAgain } from './furtherRuns';
import { assignWithin, givenTo, insertGiven, type NewSet } from './assigning';

/** Notes runs through sets that have just ended, where anything is to follow; `followOn` is asked of them by a job. */
export async function noteFinishedRuns(transaction: Database, sittingIds: number[], at: Date): Promise<void> {
	if (sittingIds.length === 0) return;
	await transaction.run(
		`INSERT IGNORE INTO follow_on (sitting_id, set_id, kind, made_at)
		SELECT sitting.id, practice_set.id, 'waiting', ?
		FROM sitting JOIN practice_set ON practice_set.id = sitting.set_id
		WHERE sitting.id IN (?) AND (practice_set.above <> 'nothing' OR practice_set.below <> 'nothing')
			AND NOT practice_set.done_only`,
		[at, sittingIds]
	);
}

/** Asks of runs anew what is to follow, because their answers are judged otherwise: where nothing was given yet. */
export async function askFollowOnAgain(transaction: Database, sittingIds: number[], at: Date): Promise<void> {
	if (sittingIds.length === 0) return;
	await transaction.run(
		`UPDATE follow_on SET kind = 'waiting', why = NULL, seen_at = NULL, made_at = ?
		WHERE sitting_id IN (?) AND kind IN ('notice', 'nothing')`,
		[at, sittingIds]
	);
}

/** A run that ended, and of which it is not said yet what follows. */
export interface WaitingRun {
	sittingId: number;
	setId: number;
	studentId: VisibleId;
	schoolId: number;
	/** Who assigned the set. */
	authorId: number;
	groupId: number | null;
	depth: number;
	answered: number;
	/** At the first try. */
	right: number;
}

/** Runs of which it is to be said what follows, the first ended first. */
export async function waitingRuns(database: Database, most: number): Promise<WaitingRun[]> {
	const rows = await database.rows<Omit<WaitingRun, 'right'> & { right: string | number }>(
		`SELECT sitting.id AS sittingId, practice_set.id AS setId, sitting.student_id AS studentId,
			practice_set.school_id AS schoolId, practice_set.created_by AS authorId, practice_set.group_id AS groupId,
			GREATEST(practice_set.follow_depth, sitting.attempt - 1 - (SELECT COUNT(*) FROM sitting AS earlier
				WHERE earlier.set_id = sitting.set_id AND earlier.student_id = sitting.student_id
					AND earlier.set_aside_at IS NOT NULL)) AS depth, sitting.answered,
			(SELECT COALESCE(SUM(answer.correct), 0) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1) AS \`right\`
		FROM follow_on
		JOIN sitting ON sitting.id = follow_on.sitting_id
		JOIN practice_set ON practice_set.id = follow_on.set_id
		WHERE follow_on.kind = 'waiting' AND sitting.set_aside_at IS NULL
		ORDER BY follow_on.made_at, follow_on.sitting_id LIMIT ?`,
		[most]
	);
	return rows.map((row) => ({ ...row, right: Number(row.right) }));
}

/** Whether a set that was set off by another still waits for a student. */
export async function hasFollowOnWaiting(database: Database, studentId: VisibleId): Promise<boolean> {
	const row = await database.row(
		`SELECT 1 FROM practice_set_student AS given
		JOIN practice_set ON practice_set.id = given.set_id AND practice_set.follows_id IS NOT NULL
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		WHERE given.student_id = ? AND given.excused_at IS NULL AND given.closed_at IS NULL
			AND practice_set.withdrawn_at IS NULL AND sitting.finished_at IS NULL
		LIMIT 1`,
		[studentId]
	);
	return row !== null;
}

/**
 * Lets follow what follows: a set for the student, the same for all who get it from one set on one day, or word to a
 * person. What another process has done already stays.
 *
 * @param given.set what is to be given; null for a notice, the same once more, or nothing
 * @param given.dueOn by when the same is due once more; null for what was so before
 */
export async function letFollow(
	database: RootDatabase,
	run: WaitingRun,
	what: FollowOn,
	{ set, dueOn }: { set: NewSet | null; dueOn: SchoolDate | null },
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		const row = await transaction.row<{ kind: string }>('SELECT kind FROM follow_on WHERE sitting_id = ? FOR UPDATE', [
			run.sittingId
		]);
		if (row?.kind !== 'waiting') return;
		let followSetId: number | null = null;
		if (set) {
			followSetId = await sameFollowOn(transaction, run.setId, set);
			if (followSetId === null) {
				const author = { id: run.authorId as Staff['id'], schoolId: run.schoolId };
				followSetId = await assignWithin(transaction, author, set, at);
			} else await insertGiven(transaction, followSetId, givenTo([run.studentId]), 0);
			await refreshStudents(transaction, [run.studentId]);
		}
		if (what.kind === 'again') await beginAgain(transaction, run.setId, [run.studentId], { isWithOthers: true, dueOn });
		await transaction.run(
			'UPDATE follow_on SET kind = ?, why = ?, follow_set_id = ?, made_at = ? WHERE sitting_id = ?',
			[what.kind, what.kind === 'notice' ? what.why : null, followSetId, at, run.sittingId]
		);
	});
}

/** The set that was set off by another today with the same in it. */
async function sameFollowOn(
	transaction: Database,
	setId: number,
	{ skills, how, dates }: NewSet
): Promise<number | null> {
	const row = await transaction.row<{ id: number }>(
		`SELECT practice_set.id FROM practice_set
		JOIN practice_set_skill AS part ON part.set_id = practice_set.id AND part.number = 0
		WHERE practice_set.follows_id = ? AND practice_set.opens_on = ? AND practice_set.withdrawn_at IS NULL
			AND practice_set.older_count = ? AND part.skill_id = ? AND part.practice_count = ?
		ORDER BY practice_set.id LIMIT 1 FOR UPDATE`,
		[setId, dates.opensOn, how.older, skills[0].skillId, skills[0].practice]
	);
	return row?.id ?? null;
}

/** A student under the line, of whom a person should hear. */
export interface LineNotice {
	sittingId: number;
	setId: number;
	/** The set's name and whether each had a step of their own, as it is called by. */
	name: string | null;
	isOwnStep: boolean;
	studentId: number;
	why: NoticeReason;
	answered: number;
	right: number;
}

/** Students under the line of sets that a person assigned, who they have not seen to yet; the newest first. */
export async function lineNotices(database: Database, staff: Staff, since: Date): Promise<LineNotice[]> {
	const rows = await database.rows<Omit<LineNotice, 'right'> & { right: string | number }>(
		`SELECT follow_on.sitting_id AS sittingId, follow_on.set_id AS setId, practice_set.name,
			practice_set.is_own_step AS isOwnStep, sitting.student_id AS studentId, follow_on.why,
			sitting.answered, (SELECT COALESCE(SUM(answer.correct), 0) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1) AS \`right\`
		FROM follow_on
		JOIN practice_set ON practice_set.id = follow_on.set_id
		JOIN sitting ON sitting.id = follow_on.sitting_id
		WHERE follow_on.kind = 'notice' AND follow_on.made_at >= ? AND follow_on.seen_at IS NULL
			AND practice_set.created_by = ? AND practice_set.school_id = ? AND sitting.set_aside_at IS NULL
		ORDER BY follow_on.made_at DESC, follow_on.sitting_id DESC`,
		[since, staff.id, staff.schoolId]
	);
	return rows.map((row) => ({ ...row, isOwnStep: Boolean(row.isOwnStep), right: Number(row.right) }));
}

/** Notes that a person has seen to notices of their sets, or has not after all. @returns of how many */
export async function seeNotices(
	database: RootDatabase,
	staff: Staff,
	sittingIds: number[],
	isSeen: boolean,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE follow_on JOIN practice_set ON practice_set.id = follow_on.set_id
			SET follow_on.seen_at = ?
			WHERE follow_on.sitting_id IN (?) AND follow_on.kind = 'notice' AND practice_set.school_id = ?
				AND (practice_set.created_by = ? OR ?) AND (follow_on.seen_at IS NULL) = ?`,
			[isSeen ? at : null, sittingIds, staff.schoolId, staff.id, undoesAll(staff.role), isSeen]
		);
		if (affected)
			await audit(transaction, staff, at, isSeen ? 'see notices of sets' : 'undo see notices of sets', { sittingIds });
		return affected;
	});
}

/** What a student's run through a set has set off. */
interface SetOff {
	kind: FollowOn['kind'];
	why: NoticeReason | null;
	/** Null where nothing was given, or where that was taken back. */
	followSetId: number | null;
}

/** What a set has set off, by student. */
export async function followOnsOf(database: Database, setId: number): Promise<Map<number, SetOff>> {
	const rows = await database.rows<SetOff & { studentId: number }>(
		`SELECT sitting.student_id AS studentId, follow_on.kind, follow_on.why,
			IF(follows.withdrawn_at IS NULL, follow_on.follow_set_id, NULL) AS followSetId
		FROM follow_on
		JOIN sitting ON sitting.id = follow_on.sitting_id
		LEFT JOIN practice_set AS follows ON follows.id = follow_on.follow_set_id
		WHERE follow_on.set_id = ? AND follow_on.kind <> 'waiting' AND sitting.set_aside_at IS NULL
		ORDER BY sitting.attempt`,
		[setId]
	);
	return new Map(rows.map(({ studentId, ...row }) => [studentId, row]));
}
