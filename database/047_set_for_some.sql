-- Within a practice set: another due date for some students, and those who need not do it.

ALTER TABLE practice_set_student
	-- NULL where that of the set holds.
	ADD COLUMN due_on DATE NULL,
	ADD COLUMN excused_at DATETIME(3) NULL;
