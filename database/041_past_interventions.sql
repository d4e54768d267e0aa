-- Support that a student had before it was kept here, as the school brought it in.
CREATE TABLE past_intervention (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	tier TINYINT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NOT NULL,
	did VARCHAR(400) NOT NULL,
	came VARCHAR(300) NOT NULL DEFAULT '',
	brought_by INT UNSIGNED NOT NULL,
	brought_at DATETIME(3) NOT NULL,
	KEY by_student (student_id, from_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (brought_by) REFERENCES account (id),
	CHECK (until_on > from_on)
);
