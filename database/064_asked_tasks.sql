-- Tasks that are asked for outside a review: from the caseload, of the adults of students' groups.

ALTER TABLE review_task
	ADD COLUMN student_id INT UNSIGNED NULL AFTER review_id,
	MODIFY COLUMN review_id INT UNSIGNED NULL,
	-- Who asked, where it was not agreed in a review.
	ADD COLUMN asked_by INT UNSIGNED NULL,
	ADD FOREIGN KEY (asked_by) REFERENCES account (id);

UPDATE review_task JOIN review ON review.id = review_task.review_id SET review_task.student_id = review.student_id;

ALTER TABLE review_task
	MODIFY COLUMN student_id INT UNSIGNED NOT NULL,
	ADD KEY by_student (student_id, due_on),
	ADD FOREIGN KEY (student_id) REFERENCES student (id),
	ADD CONSTRAINT asked_or_agreed CHECK ((review_id IS NULL) = (asked_by IS NOT NULL));
