-- Hints that stood beside a question, sets that are done in one go, and what a set asks changed later.

ALTER TABLE answer
	-- Stages of the hint that stood beside the question when it was given.
	ADD COLUMN hints TINYINT UNSIGNED NOT NULL DEFAULT 0;

ALTER TABLE late_answer
	ADD COLUMN hints TINYINT UNSIGNED NOT NULL DEFAULT 0;

ALTER TABLE practice_set
	-- Whether a student may stop and go on later; else it is done in one go.
	ADD COLUMN pausing BOOLEAN NOT NULL DEFAULT TRUE;

ALTER TABLE practice_set_student
	-- When a person let them go on with a set that they had left.
	ADD COLUMN goes_on_at DATETIME(3) NULL;

ALTER TABLE skill
	-- Questions of practice that are in no set any more, because it was changed, end before this seed.
	ADD COLUMN spent_seed INT UNSIGNED NOT NULL DEFAULT 0;

ALTER TABLE practice_set_change
	MODIFY COLUMN kind ENUM ('dates', 'for some', 'given to more', 'taken from', 'turned in', 'open again', 'excused', 'marked done',
		'not excused', 'given again', 'not given again', 'taken back', 'given back', 'task done', 'task not done', 'how',
		'questions', 'may go on', 'may not go on') NOT NULL;
