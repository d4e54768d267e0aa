-- Screening: who sits what in a window and how; absences, excuses and make-ups; accommodations; adaptive sittings.

ALTER TABLE screening_window
	ADD COLUMN subject VARCHAR(60) NOT NULL DEFAULT 'Mathematics',
	ADD COLUMN mode ENUM ('adaptive', 'fixed form', 'imported score') NOT NULL DEFAULT 'fixed form',
	ADD COLUMN withdrawn_at DATETIME(3) NULL;

-- Who sits: the students of these classes.
CREATE TABLE window_class (
	window_id INT UNSIGNED NOT NULL,
	class_id INT UNSIGNED NOT NULL,
	PRIMARY KEY (window_id, class_id),
	KEY by_class (class_id),
	FOREIGN KEY (window_id) REFERENCES screening_window (id),
	FOREIGN KEY (class_id) REFERENCES class (id)
);
INSERT INTO window_class (window_id, class_id)
	SELECT screening_window.id, class.id FROM screening_window JOIN class ON class.school_id = screening_window.school_id;

-- Why a student has not sat, and until when she may after the window has closed.
CREATE TABLE window_student (
	window_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	kind ENUM ('absent', 'excused') NULL,
	reason VARCHAR(200) NOT NULL DEFAULT '',
	make_up_until DATE NULL,
	noted_by INT UNSIGNED NOT NULL,
	noted_at DATETIME(3) NOT NULL,
	PRIMARY KEY (window_id, student_id),
	KEY by_student (student_id),
	FOREIGN KEY (window_id) REFERENCES screening_window (id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (noted_by) REFERENCES account (id)
);

CREATE TABLE accommodation (
	student_id INT UNSIGNED PRIMARY KEY,
	read_aloud BOOLEAN NOT NULL DEFAULT FALSE,
	larger_type BOOLEAN NOT NULL DEFAULT FALSE,
	-- Time for what is timed, as a multiple of the usual.
	time_factor DECIMAL(3, 2) NOT NULL DEFAULT 1,
	-- Most questions of a diagnostic in one day.
	items_a_day TINYINT UNSIGNED NULL,
	set_by INT UNSIGNED NOT NULL,
	set_at DATETIME(3) NOT NULL,
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (set_by) REFERENCES account (id),
	CHECK (time_factor BETWEEN 1 AND 3),
	CHECK (items_a_day BETWEEN 3 AND 40)
);

-- What was noted of hundreds of students at once is kept whole.
ALTER TABLE audit_entry MODIFY COLUMN detail MEDIUMTEXT NOT NULL;

ALTER TABLE sitting
	-- An adaptive sitting's questions are chosen one by one; until it ends item_count is the most there can be.
	ADD COLUMN adaptive BOOLEAN NOT NULL DEFAULT FALSE,
	-- A resit asks one domain again; its answers take the place of those in the sitting it belongs to.
	ADD COLUMN resits_id INT UNSIGNED NULL,
	ADD COLUMN domain_id INT UNSIGNED NULL,
	-- The domain that waits to be sat again, once a person said so.
	ADD COLUMN resit_domain_id INT UNSIGNED NULL,
	MODIFY COLUMN trust ENUM ('open', 'trusted', 'flagged', 'kept', 'set aside', 'resit') NOT NULL DEFAULT 'open',
	ADD KEY by_resit (resits_id),
	ADD FOREIGN KEY (resits_id) REFERENCES sitting (id),
	ADD FOREIGN KEY (domain_id) REFERENCES domain (id),
	ADD FOREIGN KEY (resit_domain_id) REFERENCES domain (id),
	ADD CHECK ((resits_id IS NULL) = (domain_id IS NULL)),
	ADD CHECK ((trust = 'resit') = (resit_domain_id IS NOT NULL));
