-- Cells of the last days hold only as long as nothing at all has changed for the student: null where they hold anyway.

ALTER TABLE student_field_then
	ADD COLUMN of_revision INT UNSIGNED NULL;
