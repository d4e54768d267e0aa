import { FIRST_PRACTICE_SEED } from '../../../core/items';
import {
	NO_VARIATION,
	questionsFor,
	seedsOf,
	type SetDates,
	type SetHow,
	type SetSkill,
	type Variation
} from '../../../core/practice';
import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { refreshStudents } from '../../standing';

/** A student to whom a set is given, with what is their own within it. */
export interface GivenTo {
	studentId: number;
	/** Of a set in which each has a next step of their own. */
	skillId: number | null;
	/** Another due date than that of the set; null for that. */
	dueOn: SchoolDate | null;
	variation: Variation;
}

/** Students to whom a set is given as it is. */
export const givenTo = (studentIds: number[]): GivenTo[] =>
	studentIds.map((studentId) => ({ studentId, skillId: null, dueOn: null, variation: NO_VARIATION }));

/** In whose name a set is assigned. */
export type Author = Pick<Staff, 'id' | 'schoolId'>;

/** A practice set as it is assigned. */
export interface NewSet {
	/** Null: called by its skills. */
	name: string | null;
	groupId: number | null;
	skills: SetSkill[];
	/** Whether each student works on one of the skills, their own next step. */
	isOwnStep: boolean;
	how: SetHow;
	dates: SetDates;
	students: GivenTo[];
	/** A material that is looked at before the first question. */
	lessonId?: number | null;
	/** What an adult leads beside it. */
	task?: string | null;
	/** Of a set that is set off by another: that one, and how many were in a row; absent where a person assigns it. */
	follows?: { setId: number; depth: number };
}

/**
 * Assigns a set. The questions of each of its skills start where no earlier set of the skill has been, so that nobody
 * meets one twice.
 */
export const assignSet = async (database: RootDatabase, staff: Staff, set: NewSet, at: Date): Promise<number> =>
	(await assignSets(database, staff, [set], at))[0];

/** Assigns several sets, all or none. */
export async function assignSets(database: RootDatabase, staff: Staff, sets: NewSet[], at: Date): Promise<number[]> {
	return database.transaction(async (transaction) => {
		const ids: number[] = [];
		for (const set of sets) ids.push(await assignWithin(transaction, staff, set, at));
		// What waits for whom is counted once, for all of them.
		await refreshStudents(transaction, [
			...new Set(sets.flatMap((set) => set.students.map(({ studentId }) => studentId)))
		]);
		return ids;
	});
}

/** Assigns a set within a transaction. */
export async function assignWithin(transaction: Database, staff: Author, set: NewSet, at: Date): Promise<number> {
	const studentIds = set.students.map(({ studentId }) => studentId);
	const skillIds = set.skills.map(({ skillId }) => skillId);
	await requireOwn(transaction, staff, {
		student: studentIds,
		group: [set.groupId],
		skill: skillIds,
		material: [set.lessonId]
	});
	const firstSeeds = await nextSeeds(transaction, skillIds);
	const setId = await insertSet(transaction, staff, set, at);
	const places = set.how.ownQuestions ? set.students.length : 1;
	await transaction.insertMany(
		`INSERT INTO practice_set_skill (set_id, skill_id, number, first_seed, seeds, practice_count, check_count, has_example)
			VALUES ?`,
		set.skills.map((skill, number) => [
			...[setId, skill.skillId, number, firstSeeds.get(skill.skillId)!, places * seedsOf(skill)],
			...[skill.practice, skill.checks, skill.hasExample]
		])
	);
	await insertGiven(transaction, setId, set.students, 0);
	await audit(transaction, staff, at, 'assign practice', {
		set: setId,
		skills: skillIds,
		students: studentIds.length,
		...(set.follows && { follows: set.follows.setId })
	});
	return setId;
}

/** Where the questions of skills go on; sets of one skill that are assigned at the same moment wait for each other here. */
export async function nextSeeds(transaction: Database, skillIds: number[]): Promise<Map<number, number>> {
	const spent = await transaction.rows<{ id: number; seed: number }>(
		'SELECT id, spent_seed AS seed FROM skill WHERE id IN (?) ORDER BY id FOR UPDATE',
		[skillIds]
	);
	const rows = await transaction.rows<{ skillId: number; next: number }>(
		`SELECT skillId, MAX(next) AS next FROM (
			SELECT skill_id AS skillId, MAX(first_seed + seeds) AS next FROM practice_set_skill
			WHERE skill_id IN (?) GROUP BY skill_id
			UNION ALL
			SELECT skill_id, MAX(first_seed + seeds) FROM practice_set_numbers
			WHERE skill_id IN (?) GROUP BY skill_id
		) AS taken GROUP BY skillId`,
		[skillIds, skillIds]
	);
	const next = new Map(rows.map((row) => [row.skillId, Number(row.next)]));
	return new Map(spent.map(({ id, seed }) => [id, Math.max(FIRST_PRACTICE_SEED, seed, next.get(id) ?? 0)]));
}

async function insertSet(
	transaction: Database,
	staff: Author,
	{ name, groupId, skills, isOwnStep, how, dates, follows, lessonId = null, task = null }: NewSet,
	at: Date
): Promise<number> {
	const { insertId } = await transaction.run(
		`INSERT INTO practice_set (school_id, name, is_own_step, group_id, item_count, opens_on, opens_minute, due_on, due_minute,
			closes, older_count, until_right, own_questions, feedback, hints, second_try, solutions, pausing, done_only, line, above,
			below, lesson_id, task, follows_id, follow_depth, created_by, created_at)
		VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
		[
			...[staff.schoolId, name, isOwnStep, groupId],
			// Where each has a step of their own, all of these are as long.
			questionsFor(isOwnStep ? skills.slice(0, 1) : skills, how, NO_VARIATION),
			...[dates.opensOn, dates.opensMinute, dates.dueOn, dates.dueMinute, dates.closes],
			...[how.older, how.untilRight, how.ownQuestions, how.feedback, how.hints, how.secondTry, how.solutions],
			...[how.pausing, how.doneOnly],
			...[how.line, how.above, how.below, lessonId, task, follows?.setId ?? null, follows?.depth ?? 0],
			...[staff.id, at]
		]
	);
	return insertId;
}

/** Gives a set to students. @param firstPlace the place of the first among those who get numbers of their own */
export async function insertGiven(
	transaction: Database,
	setId: number,
	students: GivenTo[],
	firstPlace: number
): Promise<void> {
	await transaction.insertMany(
		`INSERT INTO practice_set_student (set_id, student_id, skill_id, place, due_on, practice_count, families, hints,
			read_aloud, larger_type) VALUES ?`,
		students.map(({ studentId, skillId, dueOn, variation }, i) => [
			...[setId, studentId, skillId, firstPlace + i, dueOn],
			...[variation.practice, variation.families, variation.hints, variation.readAloud, variation.largerType]
		])
	);
}
