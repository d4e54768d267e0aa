import { POINTS_PER_LOGIT, toPoints } from '../../../../core/measurement';
import { type ArchiveFile, BY, SKILL, STUDENT } from './archiveFile';

/** What students were asked, what they answered, and the scores that came of it. */
export const WORK_FILES: ArchiveFile[] = [
	{
		name: 'scores',
		says: 'a score of a student in a screening window, of a domain or overall',
		sql: `SELECT score.student_id AS student, score.window_id AS screening_window, score.source, domain.code AS domain,
				score.theta, score.standard_error, score.taken_on
			FROM score LEFT JOIN domain ON domain.id = score.domain_id
			WHERE score.student_id IN (?) ORDER BY score.student_id, score.taken_on, score.id`,
		columns: {
			student: STUDENT,
			screening_window: 'number of the window here',
			source: 'where the score is from; “diagnostic” is our own',
			domain: 'code of the domain; empty for the overall score',
			theta: `the score in logits; in points it is ${toPoints(0)} + ${POINTS_PER_LOGIT} × logits`,
			standard_error: 'its standard error in logits',
			taken_on: 'day on which it was taken'
		}
	},
	{
		name: 'level_scores',
		says: 'the level of a student in a domain, by a level check',
		sql: `SELECT level.student_id AS student, level.sitting_id AS sitting, domain.code AS domain, level.theta, level.standard_error,
				level.taken_on
			FROM level_score AS level JOIN domain ON domain.id = level.domain_id
			WHERE level.student_id IN (?) ORDER BY level.student_id, level.sitting_id`,
		columns: {
			student: STUDENT,
			sitting: 'number of the sitting here',
			domain: 'code of the domain',
			theta: 'the level in logits, as scores are',
			standard_error: 'its standard error in logits',
			taken_on: 'day on which it was taken'
		}
	},
	{
		name: 'window_notes',
		says: 'what was noted of a student in a window',
		sql: `SELECT note.student_id AS student, note.window_id AS screening_window, note.kind, note.reason, note.make_up_until,
				account.display_name AS noted_by, note.noted_at
			FROM window_student AS note JOIN account ON account.id = note.noted_by
			WHERE note.student_id IN (?) ORDER BY note.student_id, note.window_id`,
		columns: {
			student: STUDENT,
			screening_window: 'number of the window here',
			kind: 'absent or excused',
			reason: 'why',
			make_up_until: 'last day on which it can be made up',
			noted_by: BY,
			noted_at: 'when'
		}
	},
	{
		name: 'measure_series',
		says: 'a measure that an adult gives a student week by week',
		sql: `SELECT series.student_id AS student, series.id AS measure_series, series.measure, series.sheet_grade, series.starts_on,
				series.goal_on, series.goal, account.display_name AS begun_by, series.ended_on
			FROM measure_series AS series JOIN account ON account.id = series.begun_by
			WHERE series.student_id IN (?) ORDER BY series.student_id, series.id`,
		columns: {
			student: STUDENT,
			measure_series: 'number of the series here',
			measure: 'reading aloud or number fluency',
			sheet_grade: 'grade of its sheets',
			starts_on: 'first day',
			goal_on: 'day by which the goal is to be reached',
			goal: 'the goal in correct a minute',
			begun_by: BY,
			ended_on: 'day on which it ended; empty while it runs'
		}
	},
	{
		name: 'given_measures',
		says: 'a measure that an adult gave to a student',
		sql: `SELECT measure.student_id AS student, measure.window_id AS screening_window, measure.series_id AS measure_series,
				measure.sheet_grade, measure.sheet_number, measure.sheet_length, measure.seconds, measure.reached, measure.missed, account.display_name AS given_by,
				measure.given_at, measure.set_aside_at
			FROM given_measure AS measure JOIN account ON account.id = measure.given_by
			WHERE measure.student_id IN (?) ORDER BY measure.student_id, measure.given_at`,
		columns: {
			student: STUDENT,
			screening_window: 'number of the window here; empty in a series',
			measure_series: 'number of the series here; empty in a screening',
			sheet_grade: 'grade of the sheet',
			sheet_number: 'which sheet of the series it was, from 1',
			sheet_length: 'words or problems on it',
			seconds: 'how long it took',
			reached: 'how far the student came',
			missed: 'places of what was missed',
			given_by: BY,
			given_at: 'when',
			set_aside_at: 'since when it does not count; empty where it counts'
		},
		json: ['missed']
	},
	{
		name: 'sittings',
		says: 'a run of a student through a diagnostic, a practice set, a probe, a level check or a check',
		sql: `SELECT sitting.student_id AS student, sitting.id AS sitting, sitting.kind, sitting.window_id AS screening_window,
				sitting.set_id AS practice_set, sitting.plan_id AS probe_plan, sitting.probe_number,
				sitting.level_plan_id AS level_check_of_plan, sitting.level_place AS level_check,
				sitting.paper_form, sitting.item_count, sitting.answered,
				sitting.started_at, sitting.finished_at, sitting.set_aside_at, sitting.trust
			FROM sitting WHERE sitting.student_id IN (?) ORDER BY sitting.student_id, sitting.id`,
		columns: {
			student: STUDENT,
			sitting: 'number of the sitting here',
			kind: 'diagnostic, practice, probe, level or check',
			screening_window: 'number of the window of a diagnostic',
			practice_set: 'number of the practice set',
			probe_plan: 'number of the plan of probes',
			probe_number: 'the how-manieth probe of its plan, from 1: with one a week, its week',
			level_check_of_plan: 'number of the plan of probes that a level check belongs to',
			level_check: 'which of that plan’s level checks it is: middle or end',
			paper_form: 'letter of the form of a probe on paper; empty for others',
			item_count: 'questions there were or could be',
			answered: 'questions answered',
			started_at: 'when it began',
			finished_at: 'when it ended; empty while it is not finished',
			set_aside_at: 'of practice: since when it counts for nothing, because it was begun anew; empty where it counts',
			trust: 'whether its answers count, once it is finished; “set aside” counts for nothing'
		}
	},
	{
		name: 'answers',
		says: 'an answer of a student, first and later tries',
		sql: `SELECT answer.student_id AS student, answer.sitting_id AS sitting, answer.position, answer.attempt,
				skill.code AS skill, item.family_id AS family, item.seed, item.edition, answer.response, answer.correct,
				answer.misconception, corrected_answer.correction_id AS correction, answer.milliseconds, answer.hints,
				answer.answered_at
			FROM sitting
			JOIN answer ON answer.sitting_id = sitting.id
			LEFT JOIN corrected_answer ON corrected_answer.answer_id = answer.id
			JOIN sitting_item AS item ON item.sitting_id = answer.sitting_id AND item.position = answer.position
			JOIN skill ON skill.id = answer.skill_id
			WHERE sitting.student_id IN (?) ORDER BY answer.student_id, answer.sitting_id, answer.position, answer.attempt`,
		columns: {
			student: STUDENT,
			sitting: 'number of the sitting here',
			position: 'place of the question in it, from 0',
			attempt: '1 for the first try',
			skill: SKILL,
			family: 'family of the question; with seed and edition it tells which, in the file “questions”',
			seed: 'seed of the question',
			edition: 'edition of the family then',
			response: 'what was answered; null is “I don’t know yet”',
			correct: 'whether it was right',
			misconception: 'wrong idea that the answer shows, if a known one',
			correction: 'number in “corrections” of what it is right by; empty where it is judged by the question’s key',
			milliseconds: 'how long it took',
			hints: 'stages of the hint that stood beside the question',
			answered_at: 'when'
		},
		json: ['response']
	},
	{
		name: 'questions',
		says: 'a question as it was asked',
		sql: `SELECT DISTINCT item.family_id AS family, item.seed, item.edition, asked.content
			FROM sitting
			JOIN sitting_item AS item ON item.sitting_id = sitting.id
			JOIN asked_item AS asked
				ON asked.edition = item.edition AND asked.family_id = item.family_id AND asked.seed = item.seed
			WHERE sitting.student_id IN (?) ORDER BY item.family_id, item.seed, item.edition`,
		columns: {
			family: 'family of the question',
			seed: 'seed of the question',
			edition: 'edition of the family',
			content: 'the whole question: words, ways to answer, key'
		},
		once: ['family', 'seed', 'edition'],
		json: ['content']
	},
	{
		name: 'fact_answers',
		says: 'a first try at a fact in a run of one or two minutes',
		sql: `SELECT student_id AS student, run_id AS run, position, operation, first, second, response, correct, milliseconds,
				answered_at
			FROM fact_answer WHERE student_id IN (?) ORDER BY student_id, run_id, position`,
		columns: {
			student: STUDENT,
			run: 'number of the run here',
			position: 'place in it, from 0',
			operation: 'add, take (first + second − second), times, divide (first × second ÷ second)',
			first: 'first number of the fact',
			second: 'second number of the fact',
			response: 'what was answered',
			correct: 'whether it was right',
			milliseconds: 'how long it took',
			answered_at: 'when'
		}
	},
	{
		name: 'late_answers',
		says: 'an answer that came after its work was closed; it counts for nothing',
		sql: `SELECT student_id AS student, sitting_id AS sitting, position, attempt, response, correct, answered_at, closed_by
			FROM late_answer WHERE student_id IN (?) ORDER BY student_id, sitting_id, position, attempt`,
		columns: {
			student: STUDENT,
			sitting: 'number of the sitting here',
			position: 'place of the question in it, from 0',
			attempt: '1 for the first try',
			response: 'what was answered',
			correct: 'whether it was right',
			answered_at: 'when',
			closed_by: 'why it came too late'
		},
		json: ['response']
	},
	{
		name: 'assigned_sets',
		says: 'a practice set that a student was given',
		sql: `SELECT part.student_id AS student, part.set_id AS practice_set, skill.code AS own_skill,
				practice_set.opens_on, COALESCE(part.due_on, practice_set.due_on) AS due_on, part.practice_count,
				part.families, part.hints, part.read_aloud, part.larger_type, part.excused_at, part.marked_done,
				part.attempt, part.task_done_at, practice_set.withdrawn_at
			FROM practice_set_student AS part
			JOIN practice_set ON practice_set.id = part.set_id
			LEFT JOIN skill ON skill.id = part.skill_id
			WHERE part.student_id IN (?) ORDER BY part.student_id, part.set_id`,
		columns: {
			student: STUDENT,
			practice_set: 'number of the practice set',
			own_skill: 'skill of the set that is the student’s own next step; empty where all work on the same',
			opens_on: 'first day on which it can be done',
			due_on: 'day by which it is due for the student; empty where it is never due',
			practice_count: 'questions with help, where the student has another number of them',
			families: 'easier or harder, where the student has other questions',
			hints: 'whether the student has hints, where that is otherwise than for the others',
			read_aloud: 'whether questions are read aloud in this set, where that is otherwise than usual',
			larger_type: 'whether type is larger in this set, where that is otherwise than usual',
			excused_at: 'when the student was excused from it, or it was marked done; empty for neither',
			marked_done: 'whether it was marked done without being worked on',
			attempt: 'the how-manieth run through it is the student’s',
			task_done_at: 'when the task beside it was done with the student; empty where it was not',
			withdrawn_at: 'when it was taken back; empty where it was not'
		}
	},
	{
		name: 'given_to_students',
		says: 'a note, link, file, message or task that a student was given',
		sql: `SELECT given.student_id AS student, given.material_id AS given_thing, given.group_id AS small_group,
				account.display_name AS given_by, given.given_at, given.seen_at, given.withdrawn_at
			FROM given_material AS given JOIN account ON account.id = given.given_by
			WHERE given.student_id IN (?) ORDER BY given.student_id, given.material_id`,
		columns: {
			student: STUDENT,
			given_thing: 'number in “given_things”',
			small_group: 'number of the group that it was given to; empty for others',
			given_by: BY,
			given_at: 'when',
			seen_at: 'when the student had looked at it, or the task was done; empty for neither',
			withdrawn_at: 'when it was taken back; empty where it was not'
		}
	},
	{
		name: 'probe_plans',
		says: 'weekly probes of a student on a skill',
		sql: `SELECT plan.student_id AS student, plan.id AS probe_plan, skill.code AS skill, plan.group_id AS small_group,
				plan.starts_on, plan.goal_on, plan.goal_correct, plan.questions, plan.of_focus, plan.in_two_weeks, plan.after_exit, plan.level_checks, plan.ended_on, account.display_name AS created_by
			FROM probe_plan AS plan
			JOIN skill ON skill.id = plan.skill_id
			JOIN account ON account.id = plan.created_by
			WHERE plan.student_id IN (?) ORDER BY plan.student_id, plan.id`,
		columns: {
			student: STUDENT,
			probe_plan: 'number of the plan here',
			skill: SKILL,
			small_group: 'number of the group here; empty outside one',
			starts_on: 'first day of its first week',
			goal_on: 'day of the goal',
			goal_correct: 'questions of a probe that are to be right by then',
			questions: 'questions of a probe',
			of_focus: 'how many of them are on the skill; the others are on what comes before it',
			in_two_weeks: 'probes in two weeks',
			after_exit: 'whether it watches over a student after an exit',
			level_checks: 'whether the level of its domain is checked beside it',
			ended_on: 'when it ended; empty while it goes on',
			created_by: BY
		}
	},
	{
		name: 'skill_checks',
		says: 'a skill that a student was asked to be checked on',
		sql: `SELECT skill_check.student_id AS student, skill_check.id AS skill_check, skill.code AS skill, skill_check.due_on,
				skill_check.created_at, skill_check.withdrawn_at, account.display_name AS created_by
			FROM skill_check
			JOIN skill_check_skill AS part ON part.check_id = skill_check.id
			JOIN skill ON skill.id = part.skill_id
			JOIN account ON account.id = skill_check.created_by
			WHERE skill_check.student_id IN (?) ORDER BY skill_check.student_id, skill_check.id, skill.code`,
		columns: {
			student: STUDENT,
			skill_check: 'number of the check here',
			skill: SKILL,
			due_on: 'day by which it is due',
			created_at: 'when it was asked for',
			withdrawn_at: 'when it was taken back; empty where it was not',
			created_by: BY
		}
	},
	{
		name: 'outcomes',
		says: 'whether a student met an expectation elsewhere, by which cut scores are judged',
		sql: `SELECT student_id AS student, name, met, taken_on FROM outcome
			WHERE student_id IN (?) ORDER BY student_id, taken_on, name`,
		columns: { student: STUDENT, name: 'what it was', met: 'whether it was met', taken_on: 'day on which it was taken' }
	}
];
