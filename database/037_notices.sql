-- What the program saw that a person should know, kept so that it can be counted on every page, and put off or done with.

CREATE TABLE notice (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	-- The rule that found it (core/notices), and what tells it from others of its rule.
	rule VARCHAR(40) NOT NULL,
	about VARCHAR(60) NOT NULL,
	-- Who is told: whoever may do this.
	audience VARCHAR(40) NOT NULL,
	place VARCHAR(40) NOT NULL,
	-- What is said: JSON.
	told VARCHAR(3000) NOT NULL,
	degree INT UNSIGNED NOT NULL,
	since DATETIME(3) NOT NULL,
	-- When it was not so any more.
	ended_at DATETIME(3) NULL,
	done_by INT UNSIGNED NULL,
	done_at DATETIME(3) NULL,
	is_open TINYINT AS (IF(ended_at IS NULL, 1, NULL)) PERSISTENT,
	UNIQUE KEY by_school (school_id, is_open, rule, about),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (done_by) REFERENCES account (id)
);

-- Who has seen a notice, and who wants to be told later.
CREATE TABLE notice_mark (
	notice_id INT UNSIGNED NOT NULL,
	account_id INT UNSIGNED NOT NULL,
	seen_at DATETIME(3) NOT NULL,
	later_until DATE NULL,
	PRIMARY KEY (notice_id, account_id),
	KEY by_account (account_id),
	FOREIGN KEY (notice_id) REFERENCES notice (id) ON DELETE CASCADE,
	FOREIGN KEY (account_id) REFERENCES account (id)
);

ALTER TABLE job
	MODIFY COLUMN kind
		ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants', 'find notices') NOT NULL;
