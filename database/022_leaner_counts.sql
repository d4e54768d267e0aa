-- The grade whose line a student of a window is held against, so that counting reads one row a student.
ALTER TABLE window_place
	ADD COLUMN grade TINYINT UNSIGNED NULL AFTER student_id;

UPDATE window_place JOIN student ON student.id = window_place.student_id
SET window_place.grade = student.grade;

-- The tier on a day is read from the index alone.
ALTER TABLE tier_interval
	ADD KEY by_student_day (student_id, from_on, until_on, tier),
	DROP KEY by_student;
