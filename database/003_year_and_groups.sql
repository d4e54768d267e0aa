-- Cycles, windows, cut scores; meeting times, small groups, attendance.

CREATE TABLE cycle (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	number TINYINT UNSIGNED NOT NULL,
	starts_on DATE NOT NULL,
	weeks TINYINT UNSIGNED NOT NULL,
	KEY by_school (school_id, starts_on),
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (weeks BETWEEN 1 AND 20)
);

CREATE TABLE screening_window (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	name VARCHAR(80) NOT NULL,
	term TINYINT UNSIGNED NOT NULL,
	opens_on DATE NOT NULL,
	closes_on DATE NOT NULL,
	KEY by_school (school_id, opens_on),
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (closes_on >= opens_on)
);

CREATE TABLE cut_score (
	school_id INT UNSIGNED NOT NULL,
	grade TINYINT UNSIGNED NOT NULL,
	term TINYINT UNSIGNED NOT NULL,
	points SMALLINT NOT NULL,
	PRIMARY KEY (school_id, grade, term),
	FOREIGN KEY (school_id) REFERENCES school (id)
);

-- A staff member at a weekly meeting time. days: bit 0 Monday … bit 4 Friday.
CREATE TABLE slot (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	staff_id INT UNSIGNED NOT NULL,
	days TINYINT UNSIGNED NOT NULL,
	starts_at TIME NOT NULL,
	minutes SMALLINT UNSIGNED NOT NULL,
	room VARCHAR(60) NOT NULL,
	tier TINYINT UNSIGNED NULL,
	KEY by_staff (staff_id),
	FOREIGN KEY (staff_id) REFERENCES account (id),
	CHECK (days BETWEEN 1 AND 31),
	CHECK (minutes BETWEEN 5 AND 120)
);

-- Which classes can release students at a slot's time.
CREATE TABLE slot_class (
	slot_id INT UNSIGNED NOT NULL,
	class_id INT UNSIGNED NOT NULL,
	PRIMARY KEY (slot_id, class_id),
	KEY by_class (class_id),
	FOREIGN KEY (slot_id) REFERENCES slot (id),
	FOREIGN KEY (class_id) REFERENCES class (id)
);

CREATE TABLE student_pair (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	other_id INT UNSIGNED NOT NULL,
	kind ENUM ('apart', 'together') NOT NULL,
	UNIQUE KEY by_pair (student_id, other_id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (other_id) REFERENCES student (id)
);

CREATE TABLE small_group (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	name VARCHAR(80) NOT NULL,
	tier TINYINT UNSIGNED NOT NULL,
	focus_skill_id INT UNSIGNED NOT NULL,
	slot_id INT UNSIGNED NOT NULL,
	starts_on DATE NOT NULL,
	ends_on DATE NOT NULL,
	adopted_by INT UNSIGNED NOT NULL,
	adopted_at DATETIME(3) NOT NULL,
	KEY by_school (school_id, starts_on),
	KEY by_slot (slot_id, starts_on),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (focus_skill_id) REFERENCES skill (id),
	FOREIGN KEY (slot_id) REFERENCES slot (id),
	FOREIGN KEY (adopted_by) REFERENCES account (id),
	CHECK (tier BETWEEN 2 AND 3),
	CHECK (ends_on >= starts_on)
);

CREATE TABLE group_membership (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	group_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NULL,
	KEY by_group (group_id, from_on),
	KEY by_student (student_id, from_on),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	CHECK (until_on IS NULL OR until_on >= from_on)
);

CREATE TABLE attendance (
	group_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	on_date DATE NOT NULL,
	present BOOLEAN NOT NULL,
	PRIMARY KEY (student_id, group_id, on_date),
	KEY by_group (group_id, on_date),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (student_id) REFERENCES student (id)
);
