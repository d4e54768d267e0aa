import type { SchoolDate } from '../../../core/calendar';
import { FIRST_PRACTICE_SEED } from '../../../core/items';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Roster, rosterSql } from '../../people';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { refreshStudents } from '../../standing';

interface PracticeSet {
	id: number;
	skillId: number;
	groupId: number | null;
	itemCount: number;
	firstSeed: number;
	opensOn: SchoolDate;
	dueOn: SchoolDate;
	createdAt: Date;
	createdBy: string;
	/** Who need do it: without those who are excused. */
	students: number;
	finished: number;
	started: number;
}

/** Which sets of a list: those from a place on, from 0; of one group or on one skill where that is named. */
interface Part {
	from: number;
	most: number;
	groupId?: number;
	skillId?: number;
}

/**
 * Sets of a roster's students that were not withdrawn, newest first, with how far those students are; a part of the list,
 * and how many there are.
 */
export async function practiceSets(
	database: Database,
	roster: Roster,
	{ from, most, groupId, skillId }: Part
): Promise<{ sets: PracticeSet[]; total: number }> {
	const among = rosterSql(roster);
	const wanted = `practice_set.school_id = ? AND practice_set.withdrawn_at IS NULL
		${groupId === undefined ? '' : 'AND practice_set.group_id = ?'} ${skillId === undefined ? '' : 'AND practice_set.skill_id = ?'}`;
	const values = [roster.staff.schoolId, groupId, skillId].filter((value) => value !== undefined);
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
		return { sets: [], total: (await practiceSets(database, roster, { from: 0, most: 1, groupId, skillId })).total };
	if (found.length === 0) return { sets: [], total };
	const rows = await database.rows<PracticeSet>(
		`SELECT practice_set.id, skill_id AS skillId, group_id AS groupId, practice_set.item_count AS itemCount, first_seed AS firstSeed,
			practice_set.opens_on AS opensOn, practice_set.due_on AS dueOn, created_at AS createdAt, account.display_name AS createdBy,
			SUM(given.excused_at IS NULL OR sitting.finished_at IS NOT NULL) AS students,
			COUNT(sitting.finished_at) AS finished, COUNT(sitting.id) AS started
		FROM practice_set
		JOIN practice_set_student AS given ON given.set_id = practice_set.id
		JOIN ${among.sql} AS roster ON roster.id = given.student_id
		JOIN account ON account.id = practice_set.created_by
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
		WHERE practice_set.id IN (?)
		GROUP BY practice_set.id
		ORDER BY practice_set.created_at DESC, practice_set.id DESC`,
		[...among.values, found.map(({ id }) => id)]
	);
	const sets = rows.map((row) => ({
		...row,
		students: Number(row.students),
		finished: Number(row.finished),
		started: Number(row.started)
	}));
	return { sets, total };
}

interface NewSet {
	skillId: number;
	groupId: number | null;
	itemCount: number;
	opensOn: SchoolDate;
	dueOn: SchoolDate;
	studentIds: number[];
}

/** Assigns a set. Its items start where no earlier set of the skill has been, so that nobody meets one twice. */
export async function assignSet(database: RootDatabase, staff: Staff, set: NewSet, at: Date): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: set.studentIds, group: [set.groupId], skill: [set.skillId] });
		// Two sets of one skill that are assigned at the same moment wait for each other here.
		await transaction.row('SELECT id FROM skill WHERE id = ? FOR UPDATE', [set.skillId]);
		const last = await transaction.row<{ next: number | null }>(
			'SELECT MAX(first_seed + item_count) AS next FROM practice_set WHERE skill_id = ?',
			[set.skillId]
		);
		const { insertId } = await transaction.run(
			`INSERT INTO practice_set (school_id, skill_id, group_id, item_count, first_seed, opens_on, due_on, created_by, created_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)`,
			[
				staff.schoolId,
				set.skillId,
				set.groupId,
				set.itemCount,
				Number(last?.next ?? FIRST_PRACTICE_SEED),
				set.opensOn,
				set.dueOn,
				staff.id,
				at
			]
		);
		await transaction.insertMany(
			'INSERT INTO practice_set_student (set_id, student_id) VALUES ?',
			set.studentIds.map((studentId) => [insertId, studentId])
		);
		await refreshStudents(transaction, set.studentIds);
		await audit(transaction, staff, at, 'assign practice', {
			set: insertId,
			skill: set.skillId,
			students: set.studentIds.length
		});
		return insertId;
	});
}

async function studentsOf(database: Database, setId: number): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		'SELECT student_id AS id FROM practice_set_student WHERE set_id = ? ORDER BY student_id',
		[setId]
	);
	return rows.map(({ id }) => id);
}

/**
 * Takes a set back: it vanishes from the students' pages. Answers already given stay in the log and keep counting.
 *
 * @returns how many students had started it; null when there is no such set
 */
export async function withdrawSet(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND created_by = ?';
		const { affected } = await transaction.run(
			`UPDATE practice_set SET withdrawn_at = ? WHERE id = ? AND school_id = ? AND withdrawn_at IS NULL ${ownOnly}`,
			[at, setId, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (affected === 0) return null;
		await refreshStudents(transaction, await studentsOf(transaction, setId));
		await audit(transaction, staff, at, 'withdraw practice', { set: setId });
		const started = await transaction.row<{ started: number }>(
			'SELECT COUNT(*) AS started FROM sitting WHERE set_id = ?',
			[setId]
		);
		return Number(started?.started ?? 0);
	});
}

/** Gives a set that was taken back to its students again. @returns to how many; null when there is no such set */
export async function restoreSet(
	database: RootDatabase,
	staff: Staff,
	setId: number,
	at: Date
): Promise<number | null> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND created_by = ?';
		const { affected } = await transaction.run(
			`UPDATE practice_set SET withdrawn_at = NULL
			WHERE id = ? AND school_id = ? AND withdrawn_at IS NOT NULL ${ownOnly}`,
			[setId, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (affected === 0) return null;
		const students = await studentsOf(transaction, setId);
		await refreshStudents(transaction, students);
		await audit(transaction, staff, at, 'undo withdraw practice', { set: setId });
		return students.length;
	});
}

interface QueuedSet {
	id: number;
	studentId: number;
	skillId: number;
	skillCode: string;
	itemCount: number;
	firstSeed: number;
	dueOn: SchoolDate;
	sittingId: number | null;
	answered: number | null;
}

/** Open sets that students have not finished, the earliest due first. */
export async function queuedSets(database: Database, studentIds: VisibleId[], today: SchoolDate): Promise<QueuedSet[]> {
	if (studentIds.length === 0) return [];
	return database.rows<QueuedSet>(
		`SELECT practice_set.id, membership.student_id AS studentId, practice_set.skill_id AS skillId, skill.code AS skillCode,
			practice_set.item_count AS itemCount, practice_set.first_seed AS firstSeed,
			COALESCE(membership.due_on, practice_set.due_on) AS dueOn,
			sitting.id AS sittingId, sitting.answered
		FROM practice_set_student AS membership
		JOIN practice_set ON practice_set.id = membership.set_id
		JOIN skill ON skill.id = practice_set.skill_id
		LEFT JOIN sitting ON sitting.set_id = membership.set_id AND sitting.student_id = membership.student_id
		WHERE membership.student_id IN (?) AND membership.excused_at IS NULL AND practice_set.withdrawn_at IS NULL
			AND practice_set.opens_on <= ? AND sitting.finished_at IS NULL
		ORDER BY dueOn, practice_set.id`,
		[studentIds, today]
	);
}

interface SetResult {
	setId: number;
	skillId: number;
	itemCount: number;
	answered: number;
	correct: number;
	finishedAt: Date | null;
}

/** A student's last practice results: first tries right of those answered. */
export async function recentResults(database: Database, studentId: VisibleId, limit: number): Promise<SetResult[]> {
	const rows = await database.rows<SetResult>(
		`SELECT sitting.set_id AS setId, practice_set.skill_id AS skillId, sitting.item_count AS itemCount, sitting.answered,
			COALESCE(SUM(answer.correct), 0) AS correct, sitting.finished_at AS finishedAt
		FROM sitting
		JOIN practice_set ON practice_set.id = sitting.set_id
		LEFT JOIN answer ON answer.sitting_id = sitting.id AND answer.attempt = 1
		WHERE sitting.student_id = ? AND sitting.set_id IS NOT NULL
		GROUP BY sitting.id
		ORDER BY sitting.started_at DESC
		LIMIT ${Number(limit)}`,
		[studentId]
	);
	return rows.map((row) => ({ ...row, correct: Number(row.correct) }));
}
