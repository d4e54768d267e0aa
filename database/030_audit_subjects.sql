-- Which students an entry of the log is about, so that it can be read by student.

CREATE TABLE audit_subject (
	student_id INT UNSIGNED NOT NULL,
	entry_id BIGINT UNSIGNED NOT NULL,
	PRIMARY KEY (student_id, entry_id),
	KEY by_entry (entry_id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (entry_id) REFERENCES audit_entry (id)
);

ALTER TABLE audit_entry
	ADD KEY by_account (account_id, at),
	ADD KEY by_action (school_id, action, at);
