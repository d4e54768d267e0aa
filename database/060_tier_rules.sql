-- Who enters a tier by the school's rule, what adults say of students for that, and moves that follow from it.

CREATE TABLE tier_rule (
	school_id INT UNSIGNED PRIMARY KEY,
	far_below SMALLINT UNSIGNED NOT NULL,
	-- In hundredths.
	sure TINYINT UNSIGNED NOT NULL,
	-- Null: gaps do not count.
	gaps TINYINT UNSIGNED NULL,
	word BOOLEAN NOT NULL,
	least_weeks TINYINT UNSIGNED NOT NULL,
	most_weeks TINYINT UNSIGNED NOT NULL,
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (sure BETWEEN 50 AND 95),
	CHECK (least_weeks BETWEEN 1 AND most_weeks)
);

-- That a student needs more, or stays as they are all the same, with why; until a day.
CREATE TABLE tier_word (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	says ENUM ('needs more', 'stays') NOT NULL,
	reason VARCHAR(300) NOT NULL,
	said_by INT UNSIGNED NOT NULL,
	said_at DATETIME(3) NOT NULL,
	until_on DATE NOT NULL,
	taken_back_at DATETIME(3) NULL,
	KEY by_student (student_id, until_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (said_by) REFERENCES account (id)
);

ALTER TABLE tier_interval
	-- Of a move by the rule: who moved the student, and the interval that it ended, so that it can be taken back.
	ADD COLUMN moved_by INT UNSIGNED NULL,
	ADD COLUMN ended_id INT UNSIGNED NULL,
	ADD FOREIGN KEY (moved_by) REFERENCES account (id);
