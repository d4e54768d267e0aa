import type { SchoolDate, SchoolMoment } from '../../../core/calendar';
import type { SetDates, SetStage } from '../../../core/practice';
import { type Database, type RootDatabase } from '../../database';
import { type Roster, rosterSql } from '../../people';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { refreshStudents } from '../../standing';
import { noteChange } from './history';
import { LAST_ANSWER_SQL } from './setContent';

/** The end of a day, in minutes. */
const DAY_ENDS = 24 * 60;

/** What a set is called by. */
export interface SetNamed {
	/** Null: called by its skills. */
	name: string | null;
	isOwnStep: boolean;
	/** In their order. */
	skillIds: number[];
}

interface PracticeSet extends SetNamed, SetDates {
	id: number;
	groupId: number | null;
	itemCount: number;
	createdAt: Date;
	createdBy: string;
	/** Who need do it: without those who are excused. */
	students: number;
	finished: number;
	started: number;
}

/** Which sets of a list: those from a place on, from 0; of what is named. */
interface Part {
	from: number;
	most: number;
	groupId?: number | null;
	skillId?: number | null;
	authorId?: number | null;
	/** Where they are by their dates, at a moment. */
	stage?: SetStage | null;
	now?: SchoolMoment;
}

/** SQL: where a set is by its dates, as `stageOf` says it. */
function stageSql(stage: SetStage, { day, minute }: SchoolMoment): { sql: string; values: unknown[] } {
	const notOpen =
		'(practice_set.opens_on > ? OR practice_set.opens_on = ? AND COALESCE(practice_set.opens_minute, 0) > ?)';
	const pastDue = `(practice_set.due_on < ? OR practice_set.due_on = ? AND COALESCE(practice_set.due_minute, ${DAY_ENDS}) <= ?)`;
	const now = [day, day, minute];
	if (stage === 'not open yet') return { sql: notOpen, values: now };
	if (stage === 'past due') return { sql: `NOT ${notOpen} AND ${pastDue}`, values: [...now, ...now] };
	return { sql: `NOT ${notOpen} AND COALESCE(NOT ${pastDue}, TRUE)`, values: [...now, ...now] };
}

/**
 * Sets of a roster's students that were not withdrawn, newest first, with how far those students are; a part of the list,
 * and how many there are.
 */
export async function practiceSets(
	database: Database,
	roster: Roster,
	{ from, most, ...asked }: Part
): Promise<{ sets: PracticeSet[]; total: number }> {
	const among = rosterSql(roster);
	const conditions = [
		{ sql: 'practice_set.school_id = ? AND practice_set.withdrawn_at IS NULL', values: [roster.staff.schoolId] },
		asked.groupId && { sql: 'practice_set.group_id = ?', values: [asked.groupId] },
		asked.authorId && { sql: 'practice_set.created_by = ?', values: [asked.authorId] },
		asked.skillId && {
			sql: 'EXISTS (SELECT 1 FROM practice_set_skill AS part WHERE part.set_id = practice_set.id AND part.skill_id = ?)',
			values: [asked.skillId]
		},
		asked.stage && asked.now && stageSql(asked.stage, asked.now)
	].filter((condition) => typeof condition === 'object' && condition !== null);
	const wanted = conditions.map(({ sql }) => sql).join(' AND ');
	const values = conditions.flatMap((condition) => condition.values as unknown[]);
	// In this order: else the sets of a whole district may be read.
	const theirs = `(SELECT DISTINCT given.set_id FROM ${among.sql} AS roster
			STRAIGHT_JOIN practice_set_student AS given ON given.student_id = roster.id) AS theirs
		STRAIGHT_JOIN practice_set ON practice_set.id = theirs.set_id
		WHERE ${wanted}`;
	const found = await database.rows<{ id: number; total: number }>(
		`SELECT practice_set.id, COUNT(*) OVER () AS total FROM ${theirs}
		ORDER BY practice_set.created_at DESC, practice_set.id DESC LIMIT ${Number(most)} OFFSET ${Number(from)}`,
		[...among.values, ...values]
	);
	const total = Number(found[0]?.total ?? 0);
	// A part behind the end of the list says how many there are, too.
	if (found.length === 0 && from > 0)
		return { sets: [], total: (await practiceSets(database, roster, { from: 0, most: 1, ...asked })).total };
	if (found.length === 0) return { sets: [], total };
	const rows = await database.rows<PracticeSet & { skillIds: string }>(
		`SELECT practice_set.id, practice_set.name, is_own_step AS isOwnStep, group_id AS groupId,
			(SELECT GROUP_CONCAT(skill_id ORDER BY number) FROM practice_set_skill AS part
				WHERE part.set_id = practice_set.id) AS skillIds,
			practice_set.item_count AS itemCount, opens_on AS opensOn, opens_minute AS opensMinute,
			practice_set.due_on AS dueOn, due_minute AS dueMinute, closes, created_at AS createdAt,
			account.display_name AS createdBy,
			SUM(given.excused_at IS NULL OR given.marked_done OR sitting.finished_at IS NOT NULL) AS students,
			SUM(given.marked_done OR sitting.finished_at IS NOT NULL) AS finished, COUNT(sitting.id) AS started
		FROM practice_set
		JOIN practice_set_student AS given ON given.set_id = practice_set.id
		JOIN ${among.sql} AS roster ON roster.id = given.student_id
		JOIN account ON account.id = practice_set.created_by
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		WHERE practice_set.id IN (?)
		GROUP BY practice_set.id
		ORDER BY practice_set.created_at DESC, practice_set.id DESC`,
		[...among.values, found.map(({ id }) => id)]
	);
	const sets = rows.map((row) => ({
		...row,
		skillIds: idsIn(row.skillIds),
		students: Number(row.students),
		finished: Number(row.finished),
		started: Number(row.started)
	}));
	return { sets, total };
}

async function studentsOf(database: Database, setIds: number[]): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		'SELECT DISTINCT student_id AS id FROM practice_set_student WHERE set_id IN (?) ORDER BY id',
		[setIds]
	);
	return rows.map(({ id }) => id);
}

/**
 * Takes sets back: they vanish from the students' pages. Answers already given stay in the log and keep counting.
 *
 * @returns how many students had started; null when none of the sets is theirs to take back
 */
export async function withdrawSets(
	database: RootDatabase,
	staff: Staff,
	setIds: number[],
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		const ids = await changeable(transaction, staff, setIds, 'withdrawn_at IS NULL');
		if (ids.length === 0) return null;
		await transaction.run('UPDATE practice_set SET withdrawn_at = ? WHERE id IN (?)', [at, ids]);
		await refreshStudents(transaction, await studentsOf(transaction, ids));
		for (const set of ids) await noteChange(transaction, staff, at, set, { kind: 'taken back' });
		const started = await transaction.row<{ started: number }>(
			'SELECT COUNT(DISTINCT student_id) AS started FROM sitting WHERE set_id IN (?)',
			[ids]
		);
		return Number(started?.started ?? 0);
	});
}

/** Gives sets that were taken back to their students again. @returns to how many; null when there is no such set */
export async function restoreSets(
	database: RootDatabase,
	staff: Staff,
	setIds: number[],
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		const ids = await changeable(transaction, staff, setIds, 'withdrawn_at IS NOT NULL');
		if (ids.length === 0) return null;
		await transaction.run('UPDATE practice_set SET withdrawn_at = NULL WHERE id IN (?)', [ids]);
		const students = await studentsOf(transaction, ids);
		await refreshStudents(transaction, students);
		for (const set of ids) await noteChange(transaction, staff, at, set, { kind: 'given back' });
		return students.length;
	});
}

/** Which of some sets of the school a person may change, of those that are as said; locked until the end. */
async function changeable(
	transaction: Database,
	staff: Staff,
	setIds: number[],
	are: 'withdrawn_at IS NULL' | 'withdrawn_at IS NOT NULL'
): Promise<number[]> {
	const rows = await transaction.rows<{ id: number; by: number }>(
		`SELECT id, created_by AS \`by\` FROM practice_set
		WHERE id IN (?) AND school_id = ? AND ${are} ORDER BY id FOR UPDATE`,
		[setIds, staff.schoolId]
	);
	return rows.filter(({ by }) => undoesAll(staff.role) || by === staff.id).map(({ id }) => id);
}

/** Ids as GROUP_CONCAT gives them. */
export const idsIn = (text: string): number[] => text.split(',').map(Number);

export interface QueuedSet
	extends Pick<SetNamed, 'name' | 'skillIds'>, Pick<SetDates, 'dueOn' | 'dueMinute' | 'closes'> {
	id: number;
	studentId: number;
	/** Of the group that it is for; null for others. */
	groupId: number | null;
	/** As the student gets it. */
	itemCount: number;
	untilRight: number | null;
	sittingId: number | null;
	answered: number | null;
	/** Whether it can be left and gone on with; else when they last answered, and when a person let them go on. */
	pausing: boolean;
	lastAnswerAt: Date | null;
	goesOnAt: Date | null;
}

/**
 * Sets that students have not finished and that take answers, the earliest due first and those that are never due last.
 *
 * @param minute of the day, up to which sets have opened; all that open on the day where it is left out
 */
export async function queuedSets(
	database: Database,
	studentIds: VisibleId[],
	today: SchoolDate,
	minute = DAY_ENDS
): Promise<QueuedSet[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<
		QueuedSet & { skillIds: string; usual: number; own: number | null; begun: number | null }
	>(
		`SELECT practice_set.id, given.student_id AS studentId, practice_set.name, practice_set.group_id AS groupId,
			GROUP_CONCAT(part.skill_id ORDER BY part.number) AS skillIds, practice_set.item_count AS itemCount,
			SUM(part.practice_count) AS usual, given.practice_count AS own, practice_set.until_right AS untilRight,
			COALESCE(given.due_on, practice_set.due_on) AS dueOn, practice_set.due_minute AS dueMinute,
			practice_set.closes, sitting.id AS sittingId, sitting.answered, sitting.item_count AS begun,
			practice_set.pausing, given.goes_on_at AS goesOnAt, IF(practice_set.pausing, NULL, ${LAST_ANSWER_SQL}) AS lastAnswerAt
		FROM practice_set_student AS given
		JOIN practice_set ON practice_set.id = given.set_id
		JOIN practice_set_skill AS part
			ON part.set_id = given.set_id AND (given.skill_id IS NULL OR part.skill_id = given.skill_id)
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		WHERE given.student_id IN (?) AND given.excused_at IS NULL AND given.closed_at IS NULL
			AND practice_set.withdrawn_at IS NULL
			AND (practice_set.opens_on < ?
				OR practice_set.opens_on = ? AND COALESCE(practice_set.opens_minute, 0) <= ?)
			AND sitting.finished_at IS NULL
		GROUP BY given.set_id, given.student_id
		ORDER BY dueOn IS NULL, dueOn, COALESCE(dueMinute, ${DAY_ENDS}), practice_set.id`,
		[studentIds, today, today, minute]
	);
	return rows.map(({ usual, own, begun, skillIds, ...row }) => ({
		...row,
		skillIds: idsIn(skillIds),
		itemCount: begun ?? row.itemCount + (own === null ? 0 : own - Number(usual))
	}));
}

interface SetResult extends Pick<SetNamed, 'name' | 'skillIds'> {
	setId: number;
	itemCount: number;
	answered: number;
	correct: number;
	/** Whether only counts that it is done. */
	doneOnly: boolean;
	finishedAt: Date | null;
}

/** A student's last practice results: first tries right of those answered. */
export async function recentResults(database: Database, studentId: VisibleId, limit: number): Promise<SetResult[]> {
	const rows = await database.rows<SetResult & { skillIds: string }>(
		`SELECT sitting.set_id AS setId, practice_set.name, practice_set.done_only AS doneOnly, sitting.item_count AS itemCount, sitting.answered,
			(SELECT GROUP_CONCAT(part.skill_id ORDER BY part.number) FROM practice_set_skill AS part
				LEFT JOIN practice_set_student AS given ON given.set_id = part.set_id AND given.student_id = sitting.student_id
				WHERE part.set_id = sitting.set_id AND (given.skill_id IS NULL OR part.skill_id = given.skill_id)) AS skillIds,
			COALESCE(SUM(answer.correct), 0) AS correct, sitting.finished_at AS finishedAt
		FROM sitting
		JOIN practice_set ON practice_set.id = sitting.set_id
		LEFT JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.student_id = ? AND sitting.set_id IS NOT NULL AND sitting.set_aside_at IS NULL
		GROUP BY sitting.id
		ORDER BY sitting.started_at DESC
		LIMIT ${Number(limit)}`,
		[studentId]
	);
	return rows.map((row) => ({ ...row, skillIds: idsIn(row.skillIds), correct: Number(row.correct) }));
}
