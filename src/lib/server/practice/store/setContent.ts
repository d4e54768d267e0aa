import {
	type FollowRule,
	USUAL_HOW,
	type SeededSkill,
	type SetDates,
	type SetHow,
	type SetSkill,
	type Variation
} from '../../../core/practice';
import type { SchoolDate, SchoolMoment } from '../../../core/calendar';
import type { Database } from '../../database';
import type { VisibleId } from '../../request';

/** How sets are worked on, as SQL gives it. */
export const HOW_SQL = `practice_set.older_count AS older, practice_set.until_right AS untilRight,
	practice_set.own_questions AS ownQuestions, practice_set.feedback, practice_set.hints, practice_set.second_try AS secondTry,
	practice_set.solutions, practice_set.pausing, practice_set.done_only AS doneOnly, practice_set.line, practice_set.above, practice_set.below`;

/** How a set is worked on, of a row with more in it. */
export const howFrom = (row: SetHow): SetHow =>
	Object.fromEntries(Object.keys(USUAL_HOW).map((key) => [key, row[key as keyof SetHow]])) as unknown as SetHow;

/** What can be changed of a set for all at any time: what it is called, what helps, what follows, what an adult leads. */
export interface SetRules
	extends FollowRule, Pick<SetHow, 'feedback' | 'hints' | 'secondTry' | 'solutions' | 'pausing' | 'doneOnly'> {
	/** Null: called by its skills. */
	name: string | null;
	task: string | null;
}

/** What a set asks: its skills with their parts, and what goes with them. */
export interface SetContent extends Pick<SetHow, 'older' | 'untilRight' | 'ownQuestions'> {
	skills: SetSkill[];
}

/** What is a student's own within a set: a due date, null for that of the set, and what is otherwise than for the others. */
export interface OwnWay extends Variation {
	student: number;
	dueOn: SchoolDate | null;
}

/** What is otherwise for a student within a set, as SQL gives it of `given`. */
export const VARIATION_SQL = `given.practice_count AS practice, given.families, given.hints AS ownHints,
	given.read_aloud AS readAloud, given.larger_type AS largerType`;

/** When the newest answer of `sitting` was given; null before the first. */
export const LAST_ANSWER_SQL = '(SELECT MAX(answer.answered_at) FROM answer WHERE answer.sitting_id = sitting.id)';

export type VariationRow = Omit<Variation, 'hints'> & { ownHints: Variation['hints'] };

export const variationOf = ({ practice, families, ownHints, readAloud, largerType }: VariationRow): Variation => ({
	...{ practice, families, readAloud, largerType },
	hints: ownHints
});

/** The skills of some sets, each set's in their order. */
export async function skillsOfSets(database: Database, setIds: number[]): Promise<Map<number, SeededSkill[]>> {
	const found = new Map<number, SeededSkill[]>(setIds.map((id) => [id, []]));
	if (setIds.length === 0) return found;
	const rows = await database.rows<SeededSkill & { setId: number }>(
		`SELECT part.set_id AS setId, part.skill_id AS skillId, skill.code, part.first_seed AS firstSeed, part.seeds,
			part.practice_count AS practice, part.check_count AS checks, part.has_example AS hasExample
		FROM practice_set_skill AS part JOIN skill ON skill.id = part.skill_id
		WHERE part.set_id IN (?) ORDER BY part.set_id, part.number`,
		[[...found.keys()]]
	);
	for (const { setId, ...row } of rows) found.get(setId)!.push(row);
	return found;
}

/** A set as one student gets it. */
export interface SetForStudent {
	/** Theirs: all of the set's, or their own next step. */
	skills: SeededSkill[];
	how: SetHow;
	place: number;
	/** The how-manieth run through it is theirs now. */
	attempt: number;
	variation: Variation;
	/** When a person last let them go on with it, where it is done in one go; null where nobody had to. */
	goesOnAt: Date | null;
	/** A material that is looked at first. */
	lessonId: number | null;
	/** When it is due for them. */
	due: Pick<SetDates, 'dueOn' | 'dueMinute'>;
}

/** A set as a student gets it; null for one that the student was not given. */
export async function setForStudent(
	database: Database,
	setId: number,
	studentId: number
): Promise<SetForStudent | null> {
	const row = await database.row<
		SetHow &
			VariationRow &
			SetForStudent['due'] & {
				place: number;
				attempt: number;
				numbers: number;
				skillId: number | null;
				lessonId: number | null;
				goesOnAt: Date | null;
			}
	>(
		`SELECT ${HOW_SQL}, ${VARIATION_SQL}, given.place, given.attempt, given.numbers, given.skill_id AS skillId,
			practice_set.lesson_id AS lessonId, given.goes_on_at AS goesOnAt, COALESCE(given.due_on, practice_set.due_on) AS dueOn, practice_set.due_minute AS dueMinute
		FROM practice_set_student AS given JOIN practice_set ON practice_set.id = given.set_id
		WHERE given.set_id = ? AND given.student_id = ?`,
		[setId, studentId]
	);
	if (!row) return null;
	const { place, attempt, numbers, skillId, lessonId, goesOnAt, dueOn, dueMinute, ...own } = row;
	const usual = (await skillsOfSets(database, [setId])).get(setId)!;
	const skills = numbers === 1 ? usual : await withNumbers(database, setId, numbers, usual);
	return {
		skills: skills.filter((skill) => skillId === null || skill.skillId === skillId),
		how: howFrom(row),
		...{ place, attempt, lessonId, goesOnAt },
		variation: variationOf(own),
		due: { dueOn, dueMinute }
	};
}

/** Skills of a set with the questions of a later run. */
async function withNumbers(
	database: Database,
	setId: number,
	number: number,
	skills: SeededSkill[]
): Promise<SeededSkill[]> {
	const rows = await database.rows<{ skillId: number; firstSeed: number; seeds: number }>(
		`SELECT skill_id AS skillId, first_seed AS firstSeed, seeds FROM practice_set_numbers
		WHERE set_id = ? AND number = ?`,
		[setId, number]
	);
	const own = new Map(rows.map((row) => [row.skillId, row]));
	return skills.map((skill) => ({ ...skill, ...own.get(skill.skillId) }));
}

/** Tasks of sets that an adult leads and that are still to do with a student: what, and with whom. */
export async function openTasks(
	database: Database,
	studentId: VisibleId,
	{ day, minute }: SchoolMoment
): Promise<{ setId: number; task: string; by: string }[]> {
	return database.rows(
		`SELECT practice_set.id AS setId, practice_set.task, account.display_name AS \`by\`
		FROM practice_set_student AS given
		JOIN practice_set ON practice_set.id = given.set_id
		JOIN account ON account.id = practice_set.created_by
		WHERE given.student_id = ? AND practice_set.task IS NOT NULL AND given.task_done_at IS NULL
			AND given.excused_at IS NULL AND given.closed_at IS NULL AND practice_set.withdrawn_at IS NULL
			AND (practice_set.opens_on < ? OR practice_set.opens_on = ? AND COALESCE(practice_set.opens_minute, 0) <= ?)
		ORDER BY practice_set.opens_on, practice_set.id`,
		[studentId, day, day, minute]
	);
}
