-- What a browser holds is a sign-in: whose, since when, from where, and when it was last used.

CREATE TABLE sign_in (
	id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	token_hash BINARY(32) NOT NULL,
	account_id INT UNSIGNED NULL,
	student_id INT UNSIGNED NULL,
	began_at DATETIME(3) NOT NULL,
	last_used_at DATETIME(3) NOT NULL,
	-- However much it is used.
	ends_at DATETIME(3) NOT NULL,
	address VARCHAR(45) NOT NULL,
	browser VARCHAR(200) NOT NULL,
	UNIQUE KEY by_token (token_hash),
	KEY by_account (account_id, began_at),
	KEY by_student (student_id),
	KEY by_end (ends_at),
	FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE,
	FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE CASCADE,
	CHECK ((account_id IS NULL) <> (student_id IS NULL))
);
DROP TABLE session;

-- Tries to sign in, and to find a class by its code. A try is counted as failed before its secret is looked at.
CREATE TABLE sign_in_try (
	-- Whose tries: `account ada`, `account ada from 10.0.0.1`, `student 12`, `address 10.0.0.1`, `codes from 10.0.0.1`.
	subject VARCHAR(160) PRIMARY KEY,
	-- In a row, since `since`.
	failures INT UNSIGNED NOT NULL,
	since DATETIME(3) NOT NULL,
	last_at DATETIME(3) NOT NULL,
	-- While one is being looked at there is no other.
	looking_until DATETIME(3) NULL,
	-- Of a student's own tries: who is locked out is asked by it.
	student_id INT UNSIGNED NULL,
	KEY by_last (last_at),
	UNIQUE KEY by_student (student_id),
	FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE CASCADE
);
DROP TABLE sign_in_failure;

-- A browser in which someone has signed in before, or found a class: strangers' failures do not hold it up.
CREATE TABLE known_browser (
	id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	browser_hash BINARY(32) NOT NULL,
	account_id INT UNSIGNED NULL,
	class_id INT UNSIGNED NULL,
	last_at DATETIME(3) NOT NULL,
	UNIQUE KEY by_account (browser_hash, account_id),
	UNIQUE KEY by_class (browser_hash, class_id),
	KEY by_last (last_at),
	FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE,
	FOREIGN KEY (class_id) REFERENCES class (id) ON DELETE CASCADE,
	CHECK ((account_id IS NULL) <> (class_id IS NULL))
);

-- What this installation signs with, so that all of its processes know their own signature.
CREATE TABLE signing_key (
	only_row TINYINT UNSIGNED PRIMARY KEY DEFAULT 1,
	secret BINARY(32) NOT NULL,
	CHECK (only_row = 1)
);

ALTER TABLE job
	MODIFY COLUMN school_id INT UNSIGNED NULL,
	MODIFY COLUMN asked_by INT UNSIGNED NULL,
	MODIFY COLUMN kind ENUM ('calibration', 'clear sign-ins') NOT NULL,
	-- Recurring work is one row of its kind that waits again when it is done.
	ADD COLUMN every_minutes INT UNSIGNED NULL,
	ADD COLUMN due_at DATETIME(3) NULL,
	ADD COLUMN recurring VARCHAR(40) AS (IF(every_minutes IS NULL, NULL, kind)) PERSISTENT,
	ADD UNIQUE KEY by_recurring (recurring),
	ADD CHECK ((every_minutes IS NULL) = (due_at IS NULL)),
	ADD CHECK ((every_minutes IS NULL) = (school_id IS NOT NULL));
