-- A new school year: what classes become, and students' grades from then on.

-- Up to, not including, a day a student was of this grade; of several rows the next one tells.
CREATE TABLE former_grade (
	student_id INT UNSIGNED NOT NULL,
	until_on DATE NOT NULL,
	grade TINYINT UNSIGNED NOT NULL,
	PRIMARY KEY (student_id, until_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	CHECK (grade <= 12)
);

-- A year that was begun, with what it takes to take that back.
CREATE TABLE year_begun (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	begun_on DATE NOT NULL,
	begun_by INT UNSIGNED NOT NULL,
	begun_at DATETIME(3) NOT NULL,
	done LONGTEXT NOT NULL,
	undone_at DATETIME(3) NULL,
	KEY by_school (school_id, begun_at),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (begun_by) REFERENCES account (id)
);
