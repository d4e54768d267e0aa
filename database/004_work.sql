-- Practice sets, probe plans, sittings, answers, and what is derived from them.

CREATE TABLE practice_set (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	group_id INT UNSIGNED NULL,
	item_count TINYINT UNSIGNED NOT NULL,
	first_seed INT UNSIGNED NOT NULL,
	opens_on DATE NOT NULL,
	due_on DATE NOT NULL,
	created_by INT UNSIGNED NOT NULL,
	created_at DATETIME(3) NOT NULL,
	withdrawn_at DATETIME(3) NULL,
	KEY by_school (school_id, created_at),
	KEY by_group (group_id, created_at),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (created_by) REFERENCES account (id),
	CHECK (item_count BETWEEN 1 AND 40),
	CHECK (due_on >= opens_on)
);

CREATE TABLE practice_set_student (
	set_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	PRIMARY KEY (set_id, student_id),
	KEY by_student (student_id),
	FOREIGN KEY (set_id) REFERENCES practice_set (id),
	FOREIGN KEY (student_id) REFERENCES student (id)
);

-- Weekly probes of one student on one skill, from a week to a goal date.
CREATE TABLE probe_plan (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	group_id INT UNSIGNED NULL,
	starts_on DATE NOT NULL,
	goal_on DATE NOT NULL,
	goal_correct TINYINT UNSIGNED NOT NULL,
	ended_on DATE NULL,
	created_by INT UNSIGNED NOT NULL,
	KEY by_student (student_id, starts_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (created_by) REFERENCES account (id),
	CHECK (goal_on > starts_on),
	CHECK (goal_correct BETWEEN 1 AND 8)
);

-- One student's run through a diagnostic, a probe or a practice set; exactly one of the three sources is set.
CREATE TABLE sitting (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	kind ENUM ('diagnostic', 'practice', 'probe') NOT NULL,
	window_id INT UNSIGNED NULL,
	set_id INT UNSIGNED NULL,
	plan_id INT UNSIGNED NULL,
	week TINYINT UNSIGNED NULL,
	attempt TINYINT UNSIGNED NOT NULL DEFAULT 1,
	item_count TINYINT UNSIGNED NOT NULL,
	answered TINYINT UNSIGNED NOT NULL DEFAULT 0,
	started_at DATETIME(3) NOT NULL,
	finished_at DATETIME(3) NULL,
	-- What the trust checks and people said: an untrusted or set-aside sitting feeds nothing.
	trust ENUM ('open', 'trusted', 'flagged', 'kept', 'set aside') NOT NULL DEFAULT 'open',
	flags JSON NULL,
	UNIQUE KEY by_window (student_id, window_id, attempt),
	UNIQUE KEY by_set (student_id, set_id),
	UNIQUE KEY by_plan (plan_id, week),
	KEY by_window_first (window_id, student_id),
	KEY by_set_first (set_id, student_id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (window_id) REFERENCES screening_window (id),
	FOREIGN KEY (set_id) REFERENCES practice_set (id),
	FOREIGN KEY (plan_id) REFERENCES probe_plan (id),
	CHECK ((window_id IS NOT NULL) + (set_id IS NOT NULL) + (plan_id IS NOT NULL) = 1)
);

CREATE TABLE sitting_item (
	sitting_id INT UNSIGNED NOT NULL,
	position TINYINT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	family_id VARCHAR(60) NOT NULL,
	seed INT UNSIGNED NOT NULL,
	PRIMARY KEY (sitting_id, position),
	FOREIGN KEY (sitting_id) REFERENCES sitting (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id)
);

-- Append-only. first_try answers are evidence; later tries are kept for the record.
CREATE TABLE answer (
	id UUID PRIMARY KEY,
	sitting_id INT UNSIGNED NOT NULL,
	position TINYINT UNSIGNED NOT NULL,
	attempt TINYINT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	response JSON NOT NULL,
	correct BOOLEAN NOT NULL,
	misconception VARCHAR(60) NULL,
	milliseconds INT UNSIGNED NOT NULL,
	answered_at DATETIME(3) NOT NULL,
	received_at DATETIME(3) NOT NULL,
	UNIQUE KEY by_place (sitting_id, position, attempt),
	KEY by_student_skill (student_id, skill_id, answered_at),
	FOREIGN KEY (sitting_id, position) REFERENCES sitting_item (sitting_id, position),
	CHECK (attempt BETWEEN 1 AND 20)
);

-- Derived: scores of a sitting, or brought in from outside. domain_id 0 is overall.
CREATE TABLE score (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	window_id INT UNSIGNED NOT NULL,
	sitting_id INT UNSIGNED NULL,
	source VARCHAR(80) NOT NULL,
	domain_id INT UNSIGNED NOT NULL DEFAULT 0,
	theta DOUBLE NOT NULL,
	standard_error DOUBLE NOT NULL,
	taken_on DATE NOT NULL,
	UNIQUE KEY by_origin (student_id, window_id, source, domain_id),
	KEY by_window (window_id, domain_id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (window_id) REFERENCES screening_window (id),
	FOREIGN KEY (sitting_id) REFERENCES sitting (id)
);

-- Derived from answers: see core/mastery. Standings today follow from it by the days passed.
CREATE TABLE skill_trace (
	student_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	prior DOUBLE NOT NULL,
	probability DOUBLE NOT NULL,
	last_on DATE NULL,
	-- The last answer, so that the next one in order can be added without reading the log.
	last_at DATETIME(3) NULL,
	last_sitting_id INT UNSIGNED NULL,
	in_last_sitting SMALLINT UNSIGNED NOT NULL,
	answers SMALLINT UNSIGNED NOT NULL,
	correct SMALLINT UNSIGNED NOT NULL,
	days SMALLINT UNSIGNED NOT NULL,
	largest_sitting SMALLINT UNSIGNED NOT NULL,
	once_secure BOOLEAN NOT NULL,
	PRIMARY KEY (student_id, skill_id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id)
);
