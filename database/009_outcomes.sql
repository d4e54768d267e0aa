-- What became of students later, by which the cut scores of a screening can be judged.

CREATE TABLE outcome (
	school_id INT UNSIGNED NOT NULL,
	name VARCHAR(80) NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	met BOOLEAN NOT NULL,
	taken_on DATE NOT NULL,
	PRIMARY KEY (school_id, name, student_id),
	KEY by_student (student_id),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (student_id) REFERENCES student (id)
);
