-- Answers that a device kept while the server was away and sent only after the work was closed: kept aside for the
-- teacher to see. They are no evidence.
CREATE TABLE late_answer (
	id UUID PRIMARY KEY,
	sitting_id INT UNSIGNED NOT NULL,
	position TINYINT UNSIGNED NOT NULL,
	attempt TINYINT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	response JSON NOT NULL,
	correct BOOLEAN NOT NULL,
	milliseconds INT UNSIGNED NOT NULL,
	-- By the device's clock.
	answered_at DATETIME(3) NOT NULL,
	received_at DATETIME(3) NOT NULL,
	closed_by ENUM ('window closed', 'ended by staff', 'taken back', 'left the school') NOT NULL,
	KEY by_student (student_id, received_at),
	FOREIGN KEY (sitting_id, position) REFERENCES sitting_item (sitting_id, position),
	FOREIGN KEY (student_id) REFERENCES student (id)
);
