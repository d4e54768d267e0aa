import { type ArchiveFile, BY, SINCE, SKILL, UNTIL } from './archiveFile';
import { PRACTICE_FILES } from './practiceFiles';

const TIMES = {
	days: 'weekdays as bits: 1 Monday, 2 Tuesday … 16 Friday',
	starts_at: 'time of day',
	minutes: 'how long'
};

/** The school itself: its year, its people, groups and sets, and who did what. */
export const SCHOOL_FILES: ArchiveFile[] = [
	{
		name: 'school',
		says: 'the school',
		sql: `SELECT name, time_zone, school_days, first_grade, last_grade, pin_length, sourced_id FROM school WHERE id = ?`,
		columns: {
			name: 'name',
			time_zone: 'by which its days are told; all times in these files are UTC',
			school_days: TIMES.days,
			first_grade: 'lowest grade taught; 0 is kindergarten',
			last_grade: 'highest grade taught',
			pin_length: 'digits of a PIN',
			sourced_id: 'by which the source of its roster knows it'
		}
	},
	{
		name: 'school_years',
		says: 'a school year',
		sql: 'SELECT starts_on, ends_on, winter_on, spring_on FROM school_year WHERE school_id = ? ORDER BY starts_on',
		columns: {
			starts_on: 'first day',
			ends_on: 'last day',
			winter_on: 'when winter begins',
			spring_on: 'when spring begins'
		}
	},
	{
		name: 'cycles',
		says: 'an intervention cycle',
		sql: 'SELECT number, starts_on, weeks FROM cycle WHERE school_id = ? ORDER BY starts_on',
		columns: { number: 'number in the year', starts_on: 'first day', weeks: 'how many weeks' }
	},
	{
		name: 'days_off',
		says: 'days without school',
		sql: 'SELECT name, from_on, until_on FROM day_off WHERE school_id = ? ORDER BY from_on, id',
		columns: { name: 'why', from_on: 'first day', until_on: 'first day of school after it' }
	},
	{
		name: 'classes',
		says: 'a class',
		sql: `SELECT id AS class, name, grade, code, is_section, ended_on, sourced_id FROM class WHERE school_id = ? ORDER BY id`,
		columns: {
			class: 'number of the class here',
			name: 'name',
			grade: 'grade; 0 is kindergarten',
			code: 'code for the door',
			is_section: 'whether students are in it beside their own class',
			ended_on: 'day from which there is none; empty for no end',
			sourced_id: 'by which the source of the roster knows it'
		}
	},
	{
		name: 'class_adults',
		says: 'days of an adult in a class',
		sql: `SELECT adult.class_id AS class, account.display_name AS adult, adult.from_on, adult.until_on
			FROM class_adult AS adult JOIN class ON class.id = adult.class_id JOIN account ON account.id = adult.account_id
			WHERE class.school_id = ? ORDER BY adult.class_id, adult.from_on, adult.id`,
		columns: { class: 'number of the class here', adult: 'name of the adult', from_on: SINCE, until_on: UNTIL }
	},
	{
		name: 'staff',
		says: 'an account of the staff',
		sql: `SELECT id AS account, user_name, display_name, role, email, deactivated_at, sourced_id FROM account
			WHERE school_id = ? ORDER BY id`,
		columns: {
			account: 'number of the account here',
			user_name: 'by which the person signs in; passwords are in no file',
			display_name: 'name',
			role: 'what the person does',
			email: 'mail address',
			deactivated_at: 'since when nobody signs in with it; empty where somebody can',
			sourced_id: 'by which the source of the roster knows the person'
		}
	},
	{
		name: 'windows',
		says: 'a screening window',
		sql: `SELECT id AS screening_window, name, subject, mode, measure, term, opens_on, closes_on, withdrawn_at
			FROM screening_window WHERE school_id = ? ORDER BY opens_on, id`,
		columns: {
			screening_window: 'number of the window here',
			name: 'name',
			subject: 'subject',
			mode: 'how students are asked',
			measure: 'what an adult gives, if so',
			term: 'whose benchmarks count: 1 autumn, 2 winter, 3 spring',
			opens_on: 'first day',
			closes_on: 'last day',
			withdrawn_at: 'when it was taken back; empty where it was not'
		}
	},
	{
		name: 'cut_scores',
		says: 'a line below which students are looked at, where it is not as shipped',
		sql: 'SELECT measure, grade, term, points FROM cut_score WHERE school_id = ? ORDER BY measure, grade, term',
		columns: {
			measure: 'what is measured',
			grade: 'grade',
			term: 'term',
			points: 'the line, in points or in what is right'
		}
	},
	{
		name: 'meeting_times',
		says: 'a weekly meeting time of an adult',
		sql: `SELECT slot.id AS meeting_time, account.display_name AS adult, slot.days, slot.starts_at, slot.minutes, slot.room,
				slot.tier, slot.ended_on
			FROM slot JOIN account ON account.id = slot.staff_id WHERE account.school_id = ? ORDER BY slot.id`,
		columns: {
			meeting_time: 'number of the meeting time here',
			adult: 'who holds it',
			...TIMES,
			room: 'where',
			tier: 'for groups of this tier only; empty for any',
			ended_on: 'day from which there is none; empty for no end'
		}
	},
	{
		name: 'class_times',
		says: 'a weekly time at which a class releases nobody',
		sql: `SELECT block.class_id AS class, block.kind, block.days, block.starts_at, block.minutes
			FROM class_block AS block JOIN class ON class.id = block.class_id
			WHERE class.school_id = ? ORDER BY block.class_id, block.id`,
		columns: { class: 'number of the class here', kind: 'what for', ...TIMES }
	},
	{
		name: 'groups',
		says: 'a small group',
		sql: `SELECT small_group.id AS small_group, small_group.name, small_group.kind, small_group.tier, skill.code AS first_focus,
				small_group.slot_id AS meeting_time, small_group.starts_on, small_group.ends_on
			FROM small_group JOIN skill ON skill.id = small_group.focus_skill_id
			WHERE small_group.school_id = ? ORDER BY small_group.id`,
		columns: {
			small_group: 'number of the group here',
			name: 'name',
			kind: 'same need or mixed',
			tier: 'tier',
			first_focus: SKILL,
			meeting_time: 'number of the meeting time here',
			starts_on: 'first day',
			ends_on: 'last day'
		}
	},
	{
		name: 'group_changes',
		says: 'what was done to a group and not undone',
		sql: `SELECT change_.group_id AS small_group, change_.kind, change_.effective_on, change_.reason,
				account.display_name AS changed_by, change_.changed_at
			FROM group_change AS change_
			JOIN small_group ON small_group.id = change_.group_id
			JOIN account ON account.id = change_.changed_by
			WHERE small_group.school_id = ? AND change_.undone_at IS NULL ORDER BY change_.id`,
		columns: {
			small_group: 'number of the group here',
			kind: 'what was done',
			effective_on: SINCE,
			reason: 'why',
			changed_by: BY,
			changed_at: 'when'
		}
	},
	{
		name: 'sessions',
		says: 'a session of a group, held or not',
		sql: `SELECT meeting.group_id AS small_group, meeting.on_date, meeting.held, meeting.why_not, meeting.makes_up,
				meeting.note, account.display_name AS recorded_by
			FROM group_meeting AS meeting
			JOIN small_group ON small_group.id = meeting.group_id
			JOIN account ON account.id = meeting.recorded_by
			WHERE small_group.school_id = ? ORDER BY meeting.on_date, meeting.group_id`,
		columns: {
			small_group: 'number of the group here',
			on_date: 'day',
			held: 'whether it was held',
			why_not: 'why not; empty where nobody said',
			makes_up: 'the planned day in place of which it was held',
			note: 'what was noted',
			recorded_by: BY
		}
	},
	{
		name: 'watched_sessions',
		says: 'what a colleague saw of a session',
		sql: `SELECT watch.group_id AS small_group, watch.on_date, watch.points, watch.note,
				account.display_name AS watched_by, watch.watched_at
			FROM session_watch AS watch
			JOIN small_group ON small_group.id = watch.group_id
			JOIN account ON account.id = watch.watched_by
			WHERE small_group.school_id = ? ORDER BY watch.id`,
		columns: {
			small_group: 'number of the group here',
			on_date: 'day',
			points: 'which of the five points were so: 1 for the first, 2 for the second, 4, 8, 16, added up',
			note: 'what was noted',
			watched_by: BY,
			watched_at: 'when'
		}
	},
	{
		name: 'tier_rule',
		says: 'the school’s own rule of who enters a tier; none: the shipped one',
		sql: `SELECT far_below, sure, gaps, word, least_weeks, most_weeks FROM tier_rule WHERE school_id = ?`,
		columns: {
			far_below: 'points under the cut score from which tier 3 is meant',
			sure: 'how sure that must be, in 100',
			gaps: 'gaps that count where a score leaves it open; empty where they do not',
			word: 'whether an adult’s word counts there',
			least_weeks: 'weeks before a first review',
			most_weeks: 'weeks by which it must be'
		}
	},
	{
		name: 'review_meetings',
		says: 'a conference on students, with one line for each adult who was invited or came',
		sql: `SELECT meeting.id AS number, meeting.on_date, meeting.note, planner.display_name AS planned_by, meeting.planned_at,
				meeting.called_off_at, account.display_name AS adult, adult.was_there
			FROM review_meeting AS meeting
			JOIN account AS planner ON planner.id = meeting.planned_by
			LEFT JOIN review_meeting_adult AS adult ON adult.meeting_id = meeting.id
			LEFT JOIN account ON account.id = adult.account_id
			WHERE meeting.school_id = ? ORDER BY meeting.id, account.id`,
		columns: {
			number: 'number of the meeting here',
			on_date: 'day',
			note: 'where, and what it is about',
			planned_by: BY,
			planned_at: 'when it was planned',
			called_off_at: 'when it was called off; empty while it takes place',
			adult: 'who is invited, or came',
			was_there: 'whether they were there'
		}
	},
	...PRACTICE_FILES,
	{
		name: 'materials',
		says: 'a link or note of the school on a skill',
		sql: `SELECT skill.code AS skill, material.title, material.link, material.note, account.display_name AS added_by,
				material.added_at, material.removed_at
			FROM skill_material AS material
			JOIN skill ON skill.id = material.skill_id
			JOIN account ON account.id = material.added_by
			WHERE material.school_id = ? ORDER BY material.id`,
		columns: {
			skill: SKILL,
			title: 'title',
			link: 'address',
			note: 'note',
			added_by: BY,
			added_at: 'when',
			removed_at: 'when it was hidden; empty where it was not'
		}
	},
	{
		name: 'skills',
		says: 'a skill as the school teaches it',
		sql: `SELECT skill.code AS skill, domain.code AS domain, taught.short_name, taught.statement, taught.grade, taught.term
			FROM school
			JOIN framework_skill AS taught ON taught.framework_id = school.framework_id
			JOIN skill ON skill.id = taught.skill_id
			JOIN domain ON domain.id = taught.domain_id
			WHERE school.id = ? ORDER BY taught.position, skill.code`,
		columns: {
			skill: SKILL,
			domain: 'code of its domain',
			short_name: 'short name',
			statement: 'what a student can do who has it',
			grade: 'grade in which it is due',
			term: 'term in which it is due'
		}
	},
	{
		name: 'log',
		says: 'something that was done',
		sql: `SELECT entry.at, account.display_name AS \`by\`, entry.action, entry.detail
			FROM audit_entry AS entry LEFT JOIN account ON account.id = entry.account_id
			WHERE entry.school_id = ? ORDER BY entry.id`,
		columns: { at: 'when', by: BY, action: 'what', detail: 'what it was done to; cut where it is very long' },
		json: ['detail']
	}
];
