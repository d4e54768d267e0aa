-- A practice set has one or several skills, or for each student one of their own; it says how it is worked on, by the hour
-- when, and what is otherwise for some.

CREATE TABLE practice_set_skill (
	set_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	-- In this order.
	number TINYINT UNSIGNED NOT NULL,
	-- Where its questions begin, and how far they may reach, so that no later set of the skill shares one.
	first_seed INT UNSIGNED NOT NULL,
	seeds INT UNSIGNED NOT NULL,
	practice_count TINYINT UNSIGNED NOT NULL,
	check_count TINYINT UNSIGNED NOT NULL DEFAULT 0,
	has_example BOOLEAN NOT NULL DEFAULT FALSE,
	PRIMARY KEY (set_id, skill_id),
	KEY by_skill (skill_id, first_seed, seeds),
	FOREIGN KEY (set_id) REFERENCES practice_set (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id),
	CHECK (practice_count + check_count > 0)
);

INSERT INTO practice_set_skill (set_id, skill_id, number, first_seed, seeds, practice_count)
SELECT id, skill_id, 0, first_seed, item_count, item_count FROM practice_set;

ALTER TABLE practice_set
	DROP FOREIGN KEY practice_set_ibfk_2;
ALTER TABLE practice_set
	DROP COLUMN skill_id,
	DROP COLUMN first_seed,
	-- NULL: called by its skills.
	ADD COLUMN name VARCHAR(80) NULL AFTER school_id,
	-- Each student works on the one of its skills that is their own next step.
	ADD COLUMN is_own_step BOOLEAN NOT NULL DEFAULT FALSE AFTER name,
	-- Minutes of the school's day: NULL for its beginning, and for its end.
	ADD COLUMN opens_minute SMALLINT UNSIGNED NULL AFTER opens_on,
	-- NULL: it is never due.
	MODIFY COLUMN due_on DATE NULL,
	ADD COLUMN due_minute SMALLINT UNSIGNED NULL AFTER due_on,
	-- Takes no answers once it is due; else what comes later is marked late.
	ADD COLUMN closes BOOLEAN NOT NULL DEFAULT FALSE AFTER due_minute,
	ADD COLUMN older_count TINYINT UNSIGNED NOT NULL DEFAULT 0,
	ADD COLUMN until_right TINYINT UNSIGNED NULL,
	ADD COLUMN own_questions BOOLEAN NOT NULL DEFAULT FALSE,
	ADD COLUMN feedback ENUM ('at once', 'at the end', 'after the due date', 'none') NOT NULL DEFAULT 'at once',
	ADD COLUMN hints BOOLEAN NOT NULL DEFAULT TRUE,
	ADD COLUMN second_try BOOLEAN NOT NULL DEFAULT TRUE,
	ADD COLUMN solutions BOOLEAN NOT NULL DEFAULT TRUE,
	ADD KEY closing (closes, due_on),
	ADD CHECK (opens_minute < 1440 AND due_minute < 1440),
	ADD CHECK (until_right BETWEEN 1 AND item_count);

ALTER TABLE practice_set_student
	-- Of a set in which each has a next step of their own.
	ADD COLUMN skill_id INT UNSIGNED NULL AFTER student_id,
	-- Among those who get numbers of their own, from 0.
	ADD COLUMN place SMALLINT UNSIGNED NOT NULL DEFAULT 0 AFTER skill_id,
	-- What is otherwise for the student; NULL where it is as for the others.
	ADD COLUMN practice_count TINYINT UNSIGNED NULL,
	ADD COLUMN families ENUM ('easier', 'harder') NULL,
	ADD COLUMN hints BOOLEAN NULL,
	ADD COLUMN read_aloud BOOLEAN NULL,
	ADD COLUMN larger_type BOOLEAN NULL,
	-- When a set that closes was closed for the student.
	ADD COLUMN closed_at DATETIME(3) NULL,
	ADD FOREIGN KEY (set_id, skill_id) REFERENCES practice_set_skill (set_id, skill_id);

ALTER TABLE sitting
	-- Ends once so many are right at the first try.
	ADD COLUMN until_right TINYINT UNSIGNED NULL AFTER item_count;

ALTER TABLE sitting_item
	-- What is told after an answer: at once, with a second try or without, or later if at all.
	ADD COLUMN help ENUM ('second try', 'one try', 'told later') NOT NULL DEFAULT 'told later';
UPDATE sitting_item JOIN sitting ON sitting.id = sitting_item.sitting_id
SET sitting_item.help = 'second try'
WHERE sitting.kind = 'practice';

ALTER TABLE late_answer
	MODIFY COLUMN closed_by ENUM ('window closed', 'ended by staff', 'taken back', 'left the school', 'past due') NOT NULL;

ALTER TABLE job
	MODIFY COLUMN kind
		ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants', 'find notices', 'sync rosters', 'send mail',
			'close sets')
		NOT NULL;
