import { type ArchiveFile, BY, SKILL } from './archiveFile';

/** What a school's practice is made of: sets with their skills, and what students are given beside questions. */
export const PRACTICE_FILES: ArchiveFile[] = [
	{
		name: 'practice_sets',
		says: 'a practice set',
		sql: `SELECT practice_set.id AS practice_set, practice_set.name, practice_set.is_own_step,
				practice_set.group_id AS small_group, practice_set.item_count, practice_set.opens_on,
				practice_set.opens_minute, practice_set.due_on, practice_set.due_minute, practice_set.closes,
				practice_set.older_count, practice_set.until_right, practice_set.own_questions, practice_set.feedback,
				practice_set.hints, practice_set.second_try, practice_set.solutions, practice_set.pausing, practice_set.done_only,
				practice_set.line,
				practice_set.above, practice_set.below, practice_set.follows_id, practice_set.lesson_id, practice_set.task,
				account.display_name AS created_by,
				practice_set.created_at, practice_set.withdrawn_at
			FROM practice_set
			JOIN account ON account.id = practice_set.created_by
			WHERE practice_set.school_id = ? ORDER BY practice_set.id`,
		columns: {
			practice_set: 'number of the set here',
			name: 'what it is called; empty where it goes by its skills',
			is_own_step: 'whether each student works on the one of its skills that is their own next step',
			small_group: 'number of the group that it is for; empty for others',
			item_count: 'questions in it',
			opens_on: 'first day on which it can be done',
			opens_minute: 'minute of that day from which on it can be done; empty for its beginning',
			due_on: 'day by which it is due; empty where it is never due',
			due_minute: 'minute of that day by which it is due; empty for its end',
			closes: 'whether it takes no answers once it is due',
			older_count: 'questions on skills from before in it',
			until_right: 'how many right at the first try end it; empty where all are asked',
			own_questions: 'whether each student has numbers of their own',
			feedback: 'when a student is told whether an answer was right',
			hints: 'whether there are hints',
			second_try: 'whether a question can be tried a second time',
			solutions: 'whether it is shown how a question is done',
			pausing: 'whether a student may stop and go on later; else it is done in one go',
			done_only: 'whether only counts that it is done, not how well',
			line: 'percent right at the first try from which on a student is above the line',
			above: 'what follows at the line or above',
			below: 'what follows below it',
			follows_id: 'number of the set that set this one off; empty where a person assigned it',
			lesson_id: 'number in “given_things” of what it begins with; empty for nothing',
			task: 'what an adult leads beside it; empty for nothing',
			created_by: BY,
			created_at: 'when',
			withdrawn_at: 'when it was taken back; empty where it was not'
		}
	},
	{
		name: 'practice_set_skills',
		says: 'a skill of a practice set',
		sql: `SELECT part.set_id AS practice_set, skill.code AS skill, part.number, part.practice_count, part.check_count,
				part.has_example
			FROM practice_set_skill AS part
			JOIN practice_set ON practice_set.id = part.set_id
			JOIN skill ON skill.id = part.skill_id
			WHERE practice_set.school_id = ? ORDER BY part.set_id, part.number`,
		columns: {
			practice_set: 'number of the set here',
			skill: SKILL,
			number: 'its place among the skills of the set, from 0',
			practice_count: 'questions with help',
			check_count: 'questions at the end, without help',
			has_example: 'whether a worked example comes before'
		}
	},
	{
		name: 'given_things',
		says: 'a note, link, file, message or task made for students; its file is in the folder “files”, by its number',
		sql: `SELECT material.id AS given_thing, material.kind, material.title, material.note, material.link,
				material_file.name AS file, material_file.type, material_file.bytes, account.display_name AS made_by,
				material.made_at
			FROM material
			LEFT JOIN material_file ON material_file.id = material.file_id
			JOIN account ON account.id = material.made_by
			WHERE material.school_id = ? ORDER BY material.id`,
		columns: {
			given_thing: 'number of it here',
			kind: 'note, link, file, recording (of a voice) or task (led by an adult)',
			title: 'title',
			note: 'note',
			link: 'address; empty for all but links',
			file: 'name of its file; empty without one',
			type: 'type of the file by its content',
			bytes: 'size of the file',
			made_by: BY,
			made_at: 'when'
		}
	},
	{
		name: 'corrections',
		says: 'another answer that is accepted to a question',
		sql: `SELECT correction.id AS correction, correction.family_id AS family, correction.seed, correction.edition,
				correction.response, correction.why, account.display_name AS made_by, correction.made_at, correction.undone_at
			FROM correction JOIN account ON account.id = correction.made_by
			WHERE correction.school_id = ? ORDER BY correction.id`,
		columns: {
			correction: 'number of the correction here',
			family: 'family of the question; with seed and edition it tells which, in the file “questions”',
			seed: 'seed of the question',
			edition: 'edition of the family',
			response: 'the answer that is accepted',
			why: 'why it is right',
			made_by: BY,
			made_at: 'when',
			undone_at: 'when it was undone; empty where it holds'
		},
		json: ['response']
	}
];
