-- The week as it is: when classes release nobody, who is away. Groups through time, their sessions, drafts of groupings,
-- and short checks of skills.

ALTER TABLE slot
	-- From this day on nobody meets at it.
	ADD COLUMN ended_on DATE NULL;

-- When a class releases nobody. A class can release students at every other time.
CREATE TABLE class_block (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	class_id INT UNSIGNED NOT NULL,
	kind ENUM ('core lesson', 'recess', 'lunch', 'other') NOT NULL,
	days TINYINT UNSIGNED NOT NULL,
	starts_at TIME NOT NULL,
	minutes SMALLINT UNSIGNED NOT NULL,
	KEY by_class (class_id),
	FOREIGN KEY (class_id) REFERENCES class (id),
	CHECK (days BETWEEN 1 AND 31),
	CHECK (minutes BETWEEN 5 AND 240)
);

-- What could be released so far becomes what could not: the slot's own time is blocked for the other classes.
INSERT INTO class_block (class_id, kind, days, starts_at, minutes)
SELECT DISTINCT class.id, 'other', slot.days, slot.starts_at, slot.minutes
FROM slot
JOIN account ON account.id = slot.staff_id
JOIN class ON class.school_id = account.school_id
WHERE NOT EXISTS (SELECT 1 FROM slot_class WHERE slot_class.slot_id = slot.id AND slot_class.class_id = class.id);

DROP TABLE slot_class;

-- Staff who run groups are away on [from_on, until_on).
CREATE TABLE staff_absence (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	staff_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NOT NULL,
	note VARCHAR(200) NOT NULL DEFAULT '',
	KEY by_staff (staff_id, from_on),
	FOREIGN KEY (staff_id) REFERENCES account (id),
	CHECK (until_on > from_on)
);

ALTER TABLE small_group
	ADD COLUMN kind ENUM ('same need', 'mixed') NOT NULL DEFAULT 'same need';

-- In a mixed group, who is secure on the focus and helps.
ALTER TABLE group_membership
	ADD COLUMN helps BOOLEAN NOT NULL DEFAULT FALSE;

-- A group works on focus_skill_id until the first of these days, then on the newest of these skills.
CREATE TABLE group_focus (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	group_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	UNIQUE KEY by_group (group_id, from_on),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id)
);

-- A group does not meet on [from_on, until_on); an open end is NULL.
CREATE TABLE group_pause (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	group_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NULL,
	KEY by_group (group_id, from_on),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	CHECK (until_on IS NULL OR until_on >= from_on)
);

-- What was done to a group and why, with what it takes to undo it.
CREATE TABLE group_change (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	group_id INT UNSIGNED NOT NULL,
	kind ENUM ('start', 'focus', 'join', 'leave', 'pause', 'resume', 'end', 'rename') NOT NULL,
	effective_on DATE NOT NULL,
	detail JSON NOT NULL,
	reason VARCHAR(500) NOT NULL DEFAULT '',
	changed_by INT UNSIGNED NOT NULL,
	changed_at DATETIME(3) NOT NULL,
	undone_at DATETIME(3) NULL,
	KEY by_group (group_id, changed_at),
	FOREIGN KEY (group_id) REFERENCES small_group (id) ON DELETE CASCADE,
	FOREIGN KEY (changed_by) REFERENCES account (id)
);

-- A candidate grouping, kept beside others: what was chosen, its limits, the problem that came of it, and its groups, as
-- core/grouping writes them.
CREATE TABLE group_draft (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	name VARCHAR(80) NOT NULL,
	choices JSON NOT NULL,
	limits JSON NOT NULL,
	problem JSON NOT NULL,
	-- `groups` is a word of SQL.
	seated JSON NOT NULL,
	bound DOUBLE NOT NULL,
	saved_by INT UNSIGNED NOT NULL,
	saved_at DATETIME(3) NOT NULL,
	discarded_at DATETIME(3) NULL,
	KEY by_school (school_id, discarded_at, saved_at),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (saved_by) REFERENCES account (id)
);

-- A draft that became groups: all of its groups, those of them that were made, and the changes of those that were there.
CREATE TABLE adoption (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	draft_id INT UNSIGNED NULL,
	held JSON NOT NULL,
	made JSON NOT NULL,
	changed JSON NOT NULL,
	-- Why limits were broken, where they were.
	reason VARCHAR(500) NOT NULL DEFAULT '',
	adopted_by INT UNSIGNED NOT NULL,
	adopted_at DATETIME(3) NOT NULL,
	undone_at DATETIME(3) NULL,
	KEY by_school (school_id, adopted_at),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (draft_id) REFERENCES group_draft (id),
	FOREIGN KEY (adopted_by) REFERENCES account (id)
);

-- What became of a meeting: held or not, how its exit ticket was. Attendance says who was there.
CREATE TABLE group_meeting (
	group_id INT UNSIGNED NOT NULL,
	on_date DATE NOT NULL,
	held BOOLEAN NOT NULL DEFAULT TRUE,
	note VARCHAR(2000) NOT NULL DEFAULT '',
	recorded_by INT UNSIGNED NOT NULL,
	recorded_at DATETIME(3) NOT NULL,
	PRIMARY KEY (group_id, on_date),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (recorded_by) REFERENCES account (id)
);

ALTER TABLE attendance
	-- Questions of the exit ticket that the student had right; NULL without one.
	ADD COLUMN ticket_right TINYINT UNSIGNED NULL;

-- What staff noted of a student, in a group or by herself.
CREATE TABLE student_note (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	group_id INT UNSIGNED NULL,
	on_date DATE NOT NULL,
	text VARCHAR(2000) NOT NULL,
	written_by INT UNSIGNED NOT NULL,
	written_at DATETIME(3) NOT NULL,
	removed_at DATETIME(3) NULL,
	KEY by_student (student_id, on_date),
	KEY by_group (group_id, on_date),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (written_by) REFERENCES account (id)
);

-- Five questions on each of a few skills, to confirm what is only inferred.
CREATE TABLE skill_check (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	-- Those that were assigned in one step; they are taken back together.
	batch INT UNSIGNED NULL,
	due_on DATE NOT NULL,
	created_by INT UNSIGNED NOT NULL,
	created_at DATETIME(3) NOT NULL,
	withdrawn_at DATETIME(3) NULL,
	KEY by_student (student_id, withdrawn_at),
	KEY by_batch (batch),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (created_by) REFERENCES account (id)
);

CREATE TABLE skill_check_skill (
	check_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	PRIMARY KEY (check_id, skill_id),
	KEY by_skill (skill_id),
	FOREIGN KEY (check_id) REFERENCES skill_check (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id)
);

ALTER TABLE sitting
	MODIFY COLUMN kind ENUM ('diagnostic', 'practice', 'probe', 'check') NOT NULL,
	ADD COLUMN check_id INT UNSIGNED NULL,
	ADD UNIQUE KEY by_check (check_id),
	ADD FOREIGN KEY (check_id) REFERENCES skill_check (id),
	DROP CONSTRAINT CONSTRAINT_1,
	ADD CONSTRAINT one_origin CHECK (
		(window_id IS NOT NULL) + (set_id IS NOT NULL) + (plan_id IS NOT NULL) + (check_id IS NOT NULL) = 1);
