-- Cells of the needle map as they were at the end of earlier days, kept once they have been worked out.

CREATE TABLE student_field_then (
	student_id INT UNSIGNED NOT NULL,
	on_date DATE NOT NULL,
	-- As of student_field.
	made_by BINARY(16) NOT NULL,
	cells BLOB NOT NULL,
	-- Gone after this day: it is worked out again where it is asked for.
	until_on DATE NOT NULL,
	PRIMARY KEY (student_id, on_date),
	INDEX (until_on),
	FOREIGN KEY (student_id) REFERENCES student (id)
);

ALTER TABLE job
	MODIFY COLUMN kind ENUM ('calibration', 'clear sign-ins', 'keep earlier cells') NOT NULL;
