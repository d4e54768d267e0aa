-- Reviews and verdicts.

CREATE TABLE review (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	group_id INT UNSIGNED NOT NULL,
	due_on DATE NOT NULL,
	verdict ENUM ('continue', 'adjust', 'intensify', 'fade', 'exit') NULL,
	advice VARCHAR(30) NULL,
	reasons JSON NULL,
	note VARCHAR(2000) NOT NULL DEFAULT '',
	effective_on DATE NULL,
	new_tier TINYINT UNSIGNED NULL,
	decided_by INT UNSIGNED NULL,
	decided_at DATETIME(3) NULL,
	-- The review this one was set by.
	follows_id INT UNSIGNED NULL,
	-- What the verdict ended, so that taking it back can restore it.
	ended_tier_id INT UNSIGNED NULL,
	ended_membership_id INT UNSIGNED NULL,
	membership_until_on DATE NULL,
	KEY by_student (student_id, due_on),
	KEY by_due (due_on, verdict),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (decided_by) REFERENCES account (id),
	FOREIGN KEY (follows_id) REFERENCES review (id),
	CHECK ((verdict IS NULL) = (decided_at IS NULL))
);
