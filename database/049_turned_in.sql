-- A run through a practice set that a person has turned in for the student, with questions left.

ALTER TABLE sitting
	ADD COLUMN turned_in_at DATETIME(3) NULL AFTER finished_at;
