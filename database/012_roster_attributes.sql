-- What a school's roster says of a student beyond name, grade and class, such as a home language or a plan.
CREATE TABLE student_attribute (
	student_id INT UNSIGNED NOT NULL,
	name VARCHAR(60) NOT NULL,
	value VARCHAR(120) NOT NULL,
	PRIMARY KEY (student_id, name),
	FOREIGN KEY (student_id) REFERENCES student (id)
);
