-- Words that adults put in place of those drawn up, and what families were sent.

CREATE TABLE sheet_words (
	student_id INT UNSIGNED NOT NULL,
	sheet ENUM ('plan', 'family') NOT NULL,
	language VARCHAR(8) NOT NULL,
	part VARCHAR(20) NOT NULL,
	words VARCHAR(2000) NOT NULL,
	written_by INT UNSIGNED NOT NULL,
	written_at DATETIME(3) NOT NULL,
	PRIMARY KEY (student_id, sheet, language, part),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (written_by) REFERENCES account (id)
);

CREATE TABLE family_letter (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	language VARCHAR(8) NOT NULL,
	way ENUM ('paper', 'mail', 'talk') NOT NULL,
	sent_on DATE NOT NULL,
	sent_by INT UNSIGNED NOT NULL,
	noted_at DATETIME(3) NOT NULL,
	-- Whether it asks the family to agree.
	asks_consent BOOLEAN NOT NULL DEFAULT FALSE,
	answered_on DATE NULL,
	answer ENUM ('read', 'agrees', 'declines') NULL,
	taken_back_at DATETIME(3) NULL,
	KEY by_student (student_id, sent_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (sent_by) REFERENCES account (id)
);
