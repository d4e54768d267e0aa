import type { SchoolDate } from '../../../core/calendar';
import type { SetDates, SetHow, Variation } from '../../../core/practice';
import type { Database } from '../../database';
import { type Roster, rosterSql } from '../../people';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { HOW_SQL, howFrom, LAST_ANSWER_SQL, VARIATION_SQL, variationOf, type VariationRow } from './setContent';

/** One practice set, as its page tells of it. */
export interface OneSet {
	id: number;
	/** Null: called by its skills. */
	name: string | null;
	isOwnStep: boolean;
	groupId: number | null;
	itemCount: number;
	dates: SetDates;
	how: SetHow;
	createdBy: string;
	createdAt: Date;
	/** A material that is looked at before the first question. */
	lessonId: number | null;
	/** What an adult leads beside it. */
	task: string | null;
	/** The set that set this one off; null where a person assigned it. */
	followsId: number | null;
	isWithdrawn: boolean;
	/** Whether the person may change it for everybody: their own, and anybody's for those who may undo all. */
	isTheirs: boolean;
}

/** A set of the school; null for no such set. */
export async function findSet(database: Database, staff: Staff, id: number): Promise<OneSet | null> {
	const row = await database.row<
		Omit<OneSet, 'dates' | 'how' | 'isWithdrawn' | 'isTheirs'> &
			SetDates &
			SetHow & { withdrawnAt: Date | null; by: number }
	>(
		`SELECT practice_set.id, practice_set.name, is_own_step AS isOwnStep, group_id AS groupId, item_count AS itemCount,
			follows_id AS followsId, lesson_id AS lessonId, task, opens_on AS opensOn, opens_minute AS opensMinute, due_on AS dueOn, due_minute AS dueMinute, closes, ${HOW_SQL},
			account.display_name AS createdBy, created_at AS createdAt, withdrawn_at AS withdrawnAt, created_by AS \`by\`
		FROM practice_set JOIN account ON account.id = practice_set.created_by
		WHERE practice_set.id = ? AND practice_set.school_id = ?`,
		[id, staff.schoolId]
	);
	if (!row) return null;
	const { id: setId, name, isOwnStep, groupId, itemCount, createdBy, createdAt, followsId, lessonId, task } = row;
	const { withdrawnAt, by, opensOn, opensMinute, dueOn, dueMinute, closes } = row;
	return {
		...{ id: setId, name, isOwnStep, groupId, itemCount, createdBy, createdAt, followsId, lessonId, task },
		dates: { opensOn, opensMinute, dueOn, dueMinute, closes },
		how: howFrom(row),
		isWithdrawn: withdrawnAt !== null,
		isTheirs: undoesAll(staff.role) || by === staff.id
	};
}

/** How a student stands with a set. */
export interface StudentOfSet {
	id: VisibleId;
	/** Of a set in which each has a next step of their own. */
	skillId: number | null;
	/** Another due date than that of the set; null for that. */
	ownDueOn: SchoolDate | null;
	variation: Variation;
	/** Questions of theirs; null until they begin. */
	itemCount: number | null;
	isExcused: boolean;
	/** A person said that it counts as done. */
	isMarkedDone: boolean;
	/** The how-manieth run through the set is theirs now, from 1. */
	attempt: number;
	/** First tries right and answered in the run before, and whether it is kept aside; null where there was none. */
	before: { right: number; answered: number; isAside: boolean } | null;
	hasBegun: boolean;
	answered: number;
	/** Right at the first try. */
	right: number;
	finishedAt: Date | null;
	/** When the task was done with them. */
	taskDoneAt: Date | null;
	/** When their last answer was given; null before the first. */
	lastAnswerAt: Date | null;
	/** When a person last let them go on with it; null where nobody had to. */
	goesOnAt: Date | null;
	/** Whether a person turned it in for them, with questions left. */
	isTurnedIn: boolean;
}

/** Those of a roster to whom a set was given. */
export async function studentsOfSet(database: Database, roster: Roster, setId: number): Promise<StudentOfSet[]> {
	const among = rosterSql(roster);
	const rows = await database.rows<
		Omit<StudentOfSet, 'variation' | 'isExcused' | 'isMarkedDone' | 'before' | 'hasBegun' | 'isTurnedIn'> &
			VariationRow & {
				excusedAt: Date | null;
				isMarked: number;
				turnedInAt: Date | null;
				sittingId: number | null;
				beforeRight: number | null;
				beforeAnswered: number | null;
				beforeAside: boolean;
			}
	>(
		`SELECT given.student_id AS id, given.skill_id AS skillId, given.due_on AS ownDueOn, given.excused_at AS excusedAt,
			given.marked_done AS isMarked, given.attempt, ${VARIATION_SQL}, sitting.id AS sittingId, sitting.item_count AS itemCount,
			COALESCE(sitting.answered, 0) AS answered, sitting.finished_at AS finishedAt,
			sitting.turned_in_at AS turnedInAt, given.task_done_at AS taskDoneAt, given.goes_on_at AS goesOnAt,
			${LAST_ANSWER_SQL} AS lastAnswerAt,
			COALESCE((SELECT SUM(answer.correct) FROM answer
				WHERE answer.sitting_id = sitting.id AND answer.attempt = 1), 0) AS \`right\`,
			earlier.answered AS beforeAnswered, earlier.set_aside_at IS NOT NULL AS beforeAside,
			(SELECT SUM(answer.correct) FROM answer
				WHERE answer.sitting_id = earlier.id AND answer.attempt = 1) AS beforeRight
		FROM practice_set_student AS given
		JOIN ${among.sql} AS roster ON roster.id = given.student_id
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		LEFT JOIN sitting AS earlier ON earlier.set_id = given.set_id AND earlier.student_id = given.student_id
			AND earlier.attempt = given.attempt - 1
		WHERE given.set_id = ?`,
		[...among.values, setId]
	);
	return rows.map((row) => {
		const { excusedAt, isMarked, turnedInAt, sittingId, beforeRight, beforeAnswered, beforeAside, ...known } = row;
		const { practice, families, ownHints, readAloud, largerType, ...student } = known;
		return {
			...student,
			variation: variationOf({ practice, families, ownHints, readAloud, largerType }),
			answered: Number(row.answered),
			right: Number(row.right),
			isExcused: excusedAt !== null,
			isMarkedDone: Boolean(isMarked),
			before:
				beforeAnswered === null
					? null
					: { right: Number(beforeRight ?? 0), answered: beforeAnswered, isAside: Boolean(beforeAside) },
			isTurnedIn: turnedInAt !== null,
			hasBegun: sittingId !== null
		};
	});
}
