-- A set given again after it was finished, marked done for students, and what was changed of it.

ALTER TABLE practice_set_student
	-- The how-manieth run through the set is the student's now.
	ADD COLUMN attempt TINYINT UNSIGNED NOT NULL DEFAULT 1,
	-- Whose questions it has: 1 for the set's own, else a number of practice_set_numbers.
	ADD COLUMN numbers TINYINT UNSIGNED NOT NULL DEFAULT 1,
	-- These and the due date of the run before, for when this one is taken back.
	ADD COLUMN numbers_before TINYINT UNSIGNED NOT NULL DEFAULT 1,
	ADD COLUMN due_before DATE NULL,
	-- A person said that it counts as done; it is off the student's page as for one who is excused.
	ADD COLUMN marked_done BOOLEAN NOT NULL DEFAULT FALSE,
	ADD CONSTRAINT marked CHECK (NOT marked_done OR excused_at IS NOT NULL);

ALTER TABLE sitting
	DROP KEY by_set,
	ADD UNIQUE KEY by_set (student_id, set_id, attempt);

-- Where the questions of a set begin when it was given again with other ones.
CREATE TABLE practice_set_numbers (
	set_id INT UNSIGNED NOT NULL,
	-- From 2 on.
	number TINYINT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	first_seed INT UNSIGNED NOT NULL,
	seeds INT UNSIGNED NOT NULL,
	PRIMARY KEY (set_id, number, skill_id),
	KEY by_skill (skill_id, first_seed, seeds),
	FOREIGN KEY (set_id, skill_id) REFERENCES practice_set_skill (set_id, skill_id)
);

-- What was done to a set after it was assigned, with what it takes to undo it.
CREATE TABLE practice_set_change (
	id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
	set_id INT UNSIGNED NOT NULL,
	kind ENUM ('dates', 'for some', 'given to more', 'taken from', 'turned in', 'open again', 'excused', 'marked done', 'not excused',
		'given again', 'not given again', 'taken back', 'given back') NOT NULL,
	detail JSON NOT NULL,
	changed_by INT UNSIGNED NOT NULL,
	changed_at DATETIME(3) NOT NULL,
	KEY by_set (set_id, id),
	FOREIGN KEY (set_id) REFERENCES practice_set (id),
	FOREIGN KEY (changed_by) REFERENCES account (id)
);

-- For the calendar: sets that are open in some days.
ALTER TABLE practice_set ADD KEY by_due (school_id, due_on);
