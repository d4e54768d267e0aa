-- The needle map's row of a student, four bytes a skill, and counts of it: made together with the packed field.

ALTER TABLE student_field
	ADD COLUMN cells BLOB NULL,
	-- Skills of which the student's own answers say Gap.
	ADD COLUMN gaps SMALLINT UNSIGNED NOT NULL DEFAULT 0;
