import { type ArchiveFile, BY, SINCE, STUDENT, UNTIL } from './archiveFile';

/** Who students are, where they belong, and what was decided and noted about them. */
export const PEOPLE_FILES: ArchiveFile[] = [
	{
		name: 'students',
		says: 'a student',
		sql: `SELECT id AS student, number, given_name, family_name, preferred_name, grade, birth_date, sourced_id,
				pin_hash IS NOT NULL AS has_pin
			FROM student WHERE id IN (?) ORDER BY id`,
		columns: {
			student: STUDENT,
			number: 'number that the school gives; empty for none',
			given_name: 'given name',
			family_name: 'family name',
			preferred_name: 'by which the student is known, if another than the given name',
			grade: 'grade now; 0 is kindergarten',
			birth_date: 'day of birth, if the school keeps it',
			sourced_id: 'by which the source of the roster knows the student',
			has_pin: 'whether the student can sign in; the PIN itself is kept nowhere'
		}
	},
	{
		name: 'former_grades',
		says: 'a grade of which a student was before',
		sql: `SELECT student_id AS student, grade, until_on FROM former_grade
			WHERE student_id IN (?) ORDER BY student_id, until_on`,
		columns: { student: STUDENT, grade: 'the grade', until_on: 'first day on which it was another' }
	},
	{
		name: 'attributes',
		says: 'something that the school keeps of a student',
		sql: `SELECT student_id AS student, name, value FROM student_attribute
			WHERE student_id IN (?) ORDER BY student_id, name`,
		columns: { student: STUDENT, name: 'what it is', value: 'what it is for this student' }
	},
	{
		name: 'class_memberships',
		says: 'days of a student in a class',
		sql: `SELECT membership.student_id AS student, class.name AS class, class.grade, membership.from_on, membership.until_on
			FROM class_membership AS membership JOIN class ON class.id = membership.class_id
			WHERE membership.student_id IN (?) ORDER BY membership.student_id, membership.from_on, membership.id`,
		columns: {
			student: STUDENT,
			class: 'name of the class',
			grade: 'grade of the class',
			from_on: SINCE,
			until_on: UNTIL
		}
	},
	{
		name: 'section_memberships',
		says: 'days of a student in a section',
		sql: `SELECT section.student_id AS student, class.name AS section, class.grade, section.from_on, section.until_on
			FROM section_membership AS section JOIN class ON class.id = section.class_id
			WHERE section.student_id IN (?) ORDER BY section.student_id, section.from_on, section.id`,
		columns: {
			student: STUDENT,
			section: 'name of the section',
			grade: 'grade of the section',
			from_on: SINCE,
			until_on: UNTIL
		}
	},
	{
		name: 'tiers',
		says: 'days of a student in a tier; tier 1 on all others',
		sql: `SELECT student_id AS student, tier, from_on, until_on FROM tier_interval
			WHERE student_id IN (?) ORDER BY student_id, from_on, id`,
		columns: { student: STUDENT, tier: 'tier of support, 2 or 3', from_on: SINCE, until_on: UNTIL }
	},
	{
		name: 'past_interventions',
		says: 'support of a student before it was kept here, as the school brought it in',
		sql: `SELECT student_id AS student, tier, from_on, until_on, did, came FROM past_intervention
			WHERE student_id IN (?) ORDER BY student_id, from_on, id`,
		columns: {
			student: STUDENT,
			tier: 'tier of support, 2 or 3',
			from_on: SINCE,
			until_on: UNTIL,
			did: 'what was done',
			came: 'what came of it'
		}
	},
	{
		name: 'responsible_adults',
		says: 'days on which an adult was responsible for a student',
		sql: `SELECT held.student_id AS student, account.display_name AS adult, held.from_on, held.until_on
			FROM responsibility AS held JOIN account ON account.id = held.account_id
			WHERE held.student_id IN (?) ORDER BY held.student_id, held.from_on, held.id`,
		columns: { student: STUDENT, adult: 'name of the adult', from_on: SINCE, until_on: UNTIL }
	},
	{
		name: 'accommodations',
		says: 'what helps a student work',
		sql: `SELECT help.student_id AS student, help.read_aloud, help.larger_type, help.time_factor, help.items_a_day,
				account.display_name AS set_by, help.set_at
			FROM accommodation AS help JOIN account ON account.id = help.set_by
			WHERE help.student_id IN (?) ORDER BY help.student_id`,
		columns: {
			student: STUDENT,
			read_aloud: 'whether questions are read aloud from the start',
			larger_type: 'whether type is larger from the start',
			time_factor: 'by how much more time than usual is expected',
			items_a_day: 'questions of a diagnostic in one day at most; empty for no limit',
			set_by: BY,
			set_at: 'when'
		}
	},
	{
		name: 'group_memberships',
		says: 'days of a student in a small group',
		sql: `SELECT membership.student_id AS student, membership.group_id AS small_group, small_group.name AS group_name,
				small_group.tier, membership.helps, membership.from_on, membership.until_on
			FROM group_membership AS membership JOIN small_group ON small_group.id = membership.group_id
			WHERE membership.student_id IN (?) ORDER BY membership.student_id, membership.from_on, membership.id`,
		columns: {
			student: STUDENT,
			small_group: 'number of the group here',
			group_name: 'its name',
			tier: 'its tier',
			helps: 'whether the student was there to help others',
			from_on: SINCE,
			until_on: UNTIL
		}
	},
	{
		name: 'attendance',
		says: 'a session of a group at which it was noted whether a student was there',
		sql: `SELECT student_id AS student, group_id AS small_group, on_date, present, why_away, ticket_right FROM attendance
			WHERE student_id IN (?) ORDER BY student_id, on_date, group_id`,
		columns: {
			student: STUDENT,
			small_group: 'number of the group here',
			on_date: 'day of the session',
			present: 'whether the student was there',
			why_away: 'why not; empty where nobody said',
			ticket_right: 'questions of the exit ticket that were right; empty where none was given'
		}
	},
	{
		name: 'reviews',
		says: 'a review, with what was decided',
		sql: `SELECT review.student_id AS student, review.group_id AS small_group, review.due_on, review.verdict, review.advice,
				review.reasons, review.against, review.note, review.plan_change, review.family_told, review.effective_on,
				review.new_tier, review.meeting_id AS meeting, account.display_name AS decided_by, review.decided_at
			FROM review LEFT JOIN account ON account.id = review.decided_by
			WHERE review.student_id IN (?) ORDER BY review.student_id, review.due_on, review.id`,
		columns: {
			student: STUDENT,
			small_group: 'number of the group here; empty for none',
			due_on: 'day for which it was planned',
			verdict: 'what was decided; empty while it is open',
			advice: 'what the rule advised then',
			reasons: 'why it did',
			against: 'why the verdict is not as advised; empty where it is',
			note: 'what was agreed',
			plan_change: 'what is done in another way from then on',
			family_told: 'what the family is told',
			effective_on: 'day from which the verdict holds',
			new_tier: 'tier from then on',
			meeting: 'number of the meeting it was decided at, or is to be; empty for none',
			decided_by: BY,
			decided_at: 'when'
		},
		json: ['reasons']
	},
	{
		name: 'family_letters',
		says: 'what a family was sent or told',
		sql: `SELECT letter.student_id AS student, letter.language, letter.way, letter.sent_on, account.display_name AS sent_by,
				letter.asks_consent, letter.answered_on, letter.answer, letter.taken_back_at
			FROM family_letter AS letter JOIN account ON account.id = letter.sent_by
			WHERE letter.student_id IN (?) ORDER BY letter.student_id, letter.id`,
		columns: {
			student: STUDENT,
			language: 'language of it',
			way: 'on paper, by mail, or in a talk',
			sent_on: 'day',
			sent_by: BY,
			asks_consent: 'whether it asks the family to agree',
			answered_on: 'day of the answer; empty while there is none',
			answer: 'how the family answered',
			taken_back_at: 'when the note was taken back; empty while it stands'
		}
	},
	{
		name: 'tier_words',
		says: 'what an adult said of a student for the rule of who enters a tier',
		sql: `SELECT word.student_id AS student, word.says, word.reason, account.display_name AS said_by, word.said_at, word.until_on,
				word.taken_back_at
			FROM tier_word AS word JOIN account ON account.id = word.said_by
			WHERE word.student_id IN (?) ORDER BY word.student_id, word.id`,
		columns: {
			student: STUDENT,
			says: 'that the student needs more, or stays as they are',
			reason: 'why',
			said_by: BY,
			said_at: 'when',
			until_on: 'last day on which it counts',
			taken_back_at: 'when it was taken back; empty while it holds'
		}
	},
	{
		name: 'sheet_words',
		says: 'words that an adult put in place of a part of a sheet',
		sql: `SELECT words.student_id AS student, words.sheet, words.language, words.part, words.words,
				account.display_name AS written_by, words.written_at
			FROM sheet_words AS words JOIN account ON account.id = words.written_by
			WHERE words.student_id IN (?) ORDER BY words.student_id, words.sheet, words.language, words.part`,
		columns: {
			student: STUDENT,
			sheet: 'plan or family',
			language: 'language of it',
			part: 'part of the sheet',
			words: 'the words',
			written_by: BY,
			written_at: 'when'
		}
	},
	{
		name: 'commendations',
		says: 'what a student was commended for, in an adult’s words',
		sql: `SELECT commendation.student_id AS student, commendation.uuid AS badge, commendation.kind, commendation.said,
				commendation.sentence, account.display_name AS given_by, commendation.given_at, commendation.taken_back_at
			FROM commendation JOIN account ON account.id = commendation.given_by
			WHERE commendation.student_id IN (?) ORDER BY commendation.student_id, commendation.id`,
		columns: {
			student: STUDENT,
			badge: 'by which its badge is known',
			kind: 'effort or growth',
			said: 'what for, in the student’s words',
			sentence: 'of the adult who gave it',
			given_by: BY,
			given_at: 'when',
			taken_back_at: 'when it was taken back; empty where it was not'
		}
	},
	{
		name: 'review_tasks',
		says: 'what somebody does for a student, as a verdict says or somebody asked for',
		sql: `SELECT task.student_id AS student, review.effective_on AS verdict_of, account.display_name AS adult, task.what,
				task.due_on, task.done_at
			FROM review_task AS task LEFT JOIN review ON review.id = task.review_id JOIN account ON account.id = task.account_id
			WHERE task.student_id IN (?) ORDER BY task.student_id, task.id`,
		columns: {
			student: STUDENT,
			verdict_of: 'day from which the verdict holds that it belongs to; empty for what was asked for outside a review',
			adult: 'who does it',
			what: 'what is to be done',
			due_on: 'until when',
			done_at: 'when it was done; empty while it is not'
		}
	},
	{
		name: 'notes',
		says: 'a note on a student that was not removed',
		sql: `SELECT note.student_id AS student, note.on_date, note.text, account.display_name AS written_by, note.written_at
			FROM student_note AS note JOIN account ON account.id = note.written_by
			WHERE note.student_id IN (?) AND note.removed_at IS NULL ORDER BY note.student_id, note.on_date, note.id`,
		columns: {
			student: STUDENT,
			on_date: 'day that it is about',
			text: 'what was noted',
			written_by: BY,
			written_at: 'when'
		}
	},
	{
		name: 'pairs',
		says: 'a student who must be kept apart from another, or together; the other is not named here',
		sql: `SELECT student_id AS student, kind, COUNT(*) AS others FROM (
				SELECT student_id, kind FROM student_pair WHERE student_id IN (?)
				UNION ALL SELECT other_id, kind FROM student_pair WHERE other_id IN (?)) AS pair
			GROUP BY student_id, kind ORDER BY student_id, kind`,
		columns: { student: STUDENT, kind: 'apart or together', others: 'from or with how many others' }
	},
	{
		name: 'sign_ins',
		says: 'a time at which somebody signed in as a student, as far back as it is kept',
		sql: `SELECT student_id AS student, began_at, last_used_at, address, browser FROM sign_in
			WHERE student_id IN (?) ORDER BY student_id, began_at, id`,
		columns: {
			student: STUDENT,
			began_at: 'when',
			last_used_at: 'when it was last used',
			address: 'from which address of the network',
			browser: 'with which program'
		}
	}
];
