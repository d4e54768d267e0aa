-- What pages count by: derived, one row a student, written with what changes it. `npm run rebuild` makes them anew.

-- A student in a window, where there is more to say than that nothing has happened yet.
CREATE TABLE window_place (
	window_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	-- As core/screening says it of a student whom the window asks.
	status ENUM ('needs another look', 'to sit again', 'absent', 'under way', 'excused', 'finished', 'from a file') NOT NULL,
	-- The overall score that counts, in logits.
	theta DOUBLE NULL,
	standard_error DOUBLE NULL,
	-- The scores that count: {"domain id, 0 overall": [theta, standard error]}.
	scores JSON NOT NULL,
	PRIMARY KEY (window_id, student_id),
	KEY by_student (student_id),
	FOREIGN KEY (window_id) REFERENCES screening_window (id),
	FOREIGN KEY (student_id) REFERENCES student (id)
);

CREATE TABLE student_summary (
	student_id INT UNSIGNED PRIMARY KEY,
	-- The first day on which a practice set that is not finished, and was not taken back, is open.
	waiting_from DATE NULL,
	-- The first day of an open review.
	review_from DATE NULL,
	-- Plans of weekly probes that have not ended.
	plans TINYINT UNSIGNED NOT NULL,
	FOREIGN KEY (student_id) REFERENCES student (id)
);

-- Who is in a class on a day is read from the index alone.
ALTER TABLE class_membership
	ADD KEY by_class_day (class_id, from_on, until_on, student_id),
	DROP KEY by_class;
ALTER TABLE student ADD KEY by_grade (school_id, grade);
