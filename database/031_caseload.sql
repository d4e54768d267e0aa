-- Which adult is responsible for a student in tier 2 or 3, on [from_on, until_on).
CREATE TABLE responsibility (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	account_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NULL,
	KEY by_student (student_id, from_on, until_on, account_id),
	KEY by_account (account_id, from_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (account_id) REFERENCES account (id),
	CHECK (until_on IS NULL OR until_on >= from_on)
);
