import { addDays, type SchoolDate } from '../../../core/calendar';
import type { SetDates } from '../../../core/practice';
import type { Database } from '../../database';
import { type Roster, rosterSql } from '../../people';
import type { Staff, VisibleId } from '../../request';
import { idsIn, type SetNamed } from './practice';

/** Which sets are asked for, by what is in them and who assigned them. */
export interface SetsAsked {
	skillId: number | null;
	authorId: number | null;
}

/** A set that is open in some days. */
interface SpannedSet extends SetNamed, SetDates {
	id: number;
	groupId: number | null;
	authorId: number;
	/** Who need do it, and who of them have: of those who may be seen. */
	students: number;
	finished: number;
}

/** A set as the students of one class have it. */
export interface ClassSet extends SpannedSet {
	classId: number;
	/** Students with a later due date of their own, and the last of these; null without one. */
	later: { students: number; until: SchoolDate } | null;
}

/** So many days after a set was due it is looked for by the later due dates of its students. */
const LOOKED_BACK = 60;

/** A set as one student has it; due when it is for them. */
export interface StudentSet extends SpannedSet {
	studentId: number;
	/** First tries of the run that is theirs now. */
	answered: number;
	right: number;
	/** Whether only counts that it is done. */
	doneOnly: boolean;
	itemCount: number;
	createdBy: string;
}

const SET = `practice_set.id, practice_set.name, practice_set.is_own_step AS isOwnStep, practice_set.group_id AS groupId,
	practice_set.created_by AS authorId, practice_set.opens_on AS opensOn, practice_set.opens_minute AS opensMinute,
	practice_set.due_minute AS dueMinute, practice_set.closes,
	(SELECT GROUP_CONCAT(part.skill_id ORDER BY part.number) FROM practice_set_skill AS part
		WHERE part.set_id = practice_set.id) AS skillIds`;

/** SQL of what is asked for, of `practice_set`. */
const askedSql = ({ skillId, authorId }: SetsAsked) => ({
	sql: `${authorId === null ? '' : 'AND practice_set.created_by = ?'} ${
		skillId === null
			? ''
			: 'AND EXISTS (SELECT 1 FROM practice_set_skill AS part WHERE part.set_id = practice_set.id AND part.skill_id = ?)'
	}`,
	values: [authorId, skillId].filter((id) => id !== null)
});

/** Sets of some groups only, or all but those of some groups. */
type GroupsAsked = { only: number[] } | { but: number[] };
const groupsSql = (groups: GroupsAsked) =>
	'only' in groups
		? { sql: 'AND practice_set.group_id IN (?)', values: [[0, ...groups.only]] }
		: { sql: 'AND COALESCE(practice_set.group_id, 0) NOT IN (?)', values: [[-1, ...groups.but]] };

/** Sets of a roster's students that are open on some day from one to another, class by class, the earliest first. */
export async function classSets(
	database: Database,
	roster: Roster,
	{ from, until }: { from: SchoolDate; until: SchoolDate },
	asked: SetsAsked,
	groups: GroupsAsked = { but: [] }
): Promise<ClassSet[]> {
	const among = rosterSql(roster);
	const wanted = askedSql(asked);
	const ofGroups = groupsSql(groups);
	const rows = await database.rows<
		Omit<ClassSet, 'skillIds' | 'later'> & { skillIds: string; laterStudents: number; laterUntil: SchoolDate | null }
	>(
		`SELECT ${SET}, practice_set.due_on AS dueOn, roster.class_id AS classId,
			SUM(given.excused_at IS NULL OR given.marked_done OR sitting.finished_at IS NOT NULL) AS students,
			SUM(given.marked_done OR sitting.finished_at IS NOT NULL) AS finished,
			SUM(given.due_on > practice_set.due_on AND given.excused_at IS NULL) AS laterStudents,
			MAX(IF(given.due_on > practice_set.due_on AND given.excused_at IS NULL, given.due_on, NULL)) AS laterUntil
		FROM practice_set FORCE INDEX (by_due)
		STRAIGHT_JOIN practice_set_student AS given ON given.set_id = practice_set.id
		JOIN ${among.sql} AS roster ON roster.id = given.student_id
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		WHERE practice_set.school_id = ? AND (practice_set.due_on >= ? OR practice_set.due_on IS NULL)
			AND practice_set.opens_on <= ? AND practice_set.withdrawn_at IS NULL ${wanted.sql} ${ofGroups.sql}
		GROUP BY practice_set.id, roster.class_id
		HAVING COALESCE(GREATEST(dueOn, COALESCE(laterUntil, dueOn)), ?) >= ?
		ORDER BY practice_set.opens_on, practice_set.id`,
		[
			...[...among.values, roster.staff.schoolId, addDays(from, -LOOKED_BACK), until],
			...[...wanted.values, ...ofGroups.values, from, from]
		]
	);
	return rows.map(({ laterStudents, laterUntil, ...row }) => ({
		...read(row),
		later: laterUntil === null ? null : { students: Number(laterStudents), until: laterUntil }
	}));
}

/** Sets of some students that are open for them on some day from one to another, the newest first. */
export async function studentSets(
	database: Database,
	studentIds: VisibleId[],
	{ from, until }: { from: SchoolDate; until: SchoolDate },
	asked: SetsAsked
): Promise<StudentSet[]> {
	if (studentIds.length === 0) return [];
	const wanted = askedSql(asked);
	const rows = await database.rows<Omit<StudentSet, 'skillIds'> & { skillIds: string; ownSkillId: number | null }>(
		`SELECT ${SET}, COALESCE(given.due_on, practice_set.due_on) AS dueOn, given.student_id AS studentId,
			given.skill_id AS ownSkillId, given.excused_at IS NULL OR given.marked_done OR sitting.finished_at IS NOT NULL AS students,
			given.marked_done OR sitting.finished_at IS NOT NULL AS finished,
			COALESCE(sitting.answered, 0) AS answered, COALESCE(sitting.item_count, practice_set.item_count) AS itemCount,
			COALESCE((SELECT SUM(answer.correct) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1), 0) AS \`right\`,
			practice_set.done_only AS doneOnly, account.display_name AS createdBy
		FROM practice_set_student AS given FORCE INDEX (by_student)
		STRAIGHT_JOIN practice_set ON practice_set.id = given.set_id
		JOIN account ON account.id = practice_set.created_by
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		WHERE given.student_id IN (?)
			AND COALESCE(given.due_on, practice_set.due_on, '9999-12-31') >= ?
			AND practice_set.opens_on <= ? AND practice_set.withdrawn_at IS NULL ${wanted.sql}
		ORDER BY practice_set.opens_on DESC, practice_set.id DESC`,
		[studentIds, from, until, ...wanted.values]
	);
	return rows.map(({ ownSkillId, ...row }) => ({
		...read(row),
		...(ownSkillId !== null && { skillIds: [ownSkillId] })
	}));
}

function read<
	Row extends { skillIds: string; isOwnStep: unknown; closes: unknown; students: unknown; finished: unknown }
>(row: Row) {
	return {
		...row,
		skillIds: idsIn(row.skillIds),
		isOwnStep: Boolean(row.isOwnStep),
		closes: Boolean(row.closes),
		students: Number(row.students),
		finished: Number(row.finished),
		...('right' in row && { right: Number(row.right), answered: Number((row as { answered?: unknown }).answered) })
	};
}

/** Who has assigned sets at a school, by name. */
export async function setAuthors(database: Database, staff: Staff): Promise<{ id: number; name: string }[]> {
	return database.rows(
		`SELECT account.id, account.display_name AS name FROM account
		WHERE account.school_id = ? AND (SELECT id FROM practice_set WHERE practice_set.created_by = account.id LIMIT 1) IS NOT NULL
		ORDER BY account.display_name, account.id`,
		[staff.schoolId]
	);
}
