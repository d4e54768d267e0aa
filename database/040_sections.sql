-- A section (a mathematics lab, say) is a class that students are in beside their own: its adults see them, and when it
-- releases nobody, it does not release them. Who is in a section that has ended is in none.
ALTER TABLE class ADD is_section BOOLEAN NOT NULL DEFAULT FALSE;

CREATE TABLE section_membership (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	class_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NULL,
	KEY by_class (class_id, from_on),
	KEY by_student (student_id, from_on),
	FOREIGN KEY (class_id) REFERENCES class (id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	CHECK (until_on IS NULL OR until_on >= from_on)
);
