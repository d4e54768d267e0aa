-- Timed measures that an adult gives a student week by week, beside those of screening windows.

CREATE TABLE measure_series (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	measure ENUM ('reading aloud', 'number fluency') NOT NULL,
	-- The grade of all its sheets, so that one giving can be held against another.
	sheet_grade TINYINT UNSIGNED NOT NULL,
	starts_on DATE NOT NULL,
	goal_on DATE NOT NULL,
	-- Correct a minute.
	goal SMALLINT UNSIGNED NOT NULL,
	begun_by INT UNSIGNED NOT NULL,
	ended_on DATE NULL,
	-- One at a time of a measure.
	is_running BOOLEAN AS (IF(ended_on IS NULL, TRUE, NULL)) PERSISTENT,
	UNIQUE KEY one_running (student_id, measure, is_running),
	UNIQUE KEY of_student (id, student_id),
	KEY by_student (student_id, starts_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (begun_by) REFERENCES account (id),
	CHECK (sheet_grade BETWEEN 1 AND 8),
	CHECK (goal_on > starts_on),
	CHECK (goal BETWEEN 1 AND 300)
);

ALTER TABLE given_measure
	MODIFY COLUMN window_id INT UNSIGNED NULL,
	ADD COLUMN series_id INT UNSIGNED NULL AFTER window_id,
	-- Which sheet of the grade it was within the series, from 1.
	ADD COLUMN sheet_number SMALLINT UNSIGNED NULL AFTER sheet_grade,
	ADD KEY by_series (series_id, given_at),
	ADD FOREIGN KEY (series_id, student_id) REFERENCES measure_series (id, student_id),
	ADD CONSTRAINT given_for CHECK ((window_id IS NULL) <> (series_id IS NULL)),
	ADD CONSTRAINT sheet_number CHECK (series_id IS NULL = (sheet_number IS NULL));
