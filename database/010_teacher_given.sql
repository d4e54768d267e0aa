-- Measures that a teacher gives one student at a time: reading aloud and number fluency, in windows of their own.

ALTER TABLE screening_window
	MODIFY COLUMN mode ENUM ('adaptive', 'fixed form', 'imported score', 'teacher-given') NOT NULL DEFAULT 'fixed form',
	ADD COLUMN measure ENUM ('reading aloud', 'number fluency') NULL,
	ADD CHECK ((mode = 'teacher-given') = (measure IS NOT NULL));

-- One giving of a measure as it was marked; its score follows from it. The newest that is not set aside counts.
CREATE TABLE given_measure (
	-- Made by the page that marks, so that sending it again changes nothing.
	id UUID PRIMARY KEY,
	window_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	-- The grade whose passage or fact sheet was given, and how many words or facts are on it.
	sheet_grade TINYINT UNSIGNED NOT NULL,
	sheet_length SMALLINT UNSIGNED NOT NULL,
	seconds DECIMAL(4, 1) NOT NULL,
	reached SMALLINT UNSIGNED NOT NULL,
	missed JSON NOT NULL,
	given_by INT UNSIGNED NOT NULL,
	given_at DATETIME(3) NOT NULL,
	set_aside_at DATETIME(3) NULL,
	KEY by_window (window_id, student_id, given_at),
	KEY by_student (student_id, given_at),
	FOREIGN KEY (window_id) REFERENCES screening_window (id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (given_by) REFERENCES account (id),
	CHECK (sheet_grade BETWEEN 1 AND 8),
	CHECK (seconds > 0 AND seconds <= 60),
	CHECK (reached <= sheet_length)
);

-- Cut scores are in points for diagnostics, in correct a minute for measures that are given.
ALTER TABLE cut_score
	ADD COLUMN measure ENUM ('diagnostic', 'reading aloud', 'number fluency') NOT NULL DEFAULT 'diagnostic' AFTER school_id,
	DROP PRIMARY KEY,
	ADD PRIMARY KEY (school_id, measure, grade, term);
