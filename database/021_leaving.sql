-- What leaving a group ended of probes, practice and reviews, and the group a verdict moved the student to.

ALTER TABLE review
	ADD COLUMN ended_waiting LONGTEXT NULL,
	ADD COLUMN joined_change_id INT UNSIGNED NULL,
	ADD FOREIGN KEY (joined_change_id) REFERENCES group_change (id) ON DELETE SET NULL;
