-- Review meetings: the conferences at which reviews are decided; what was agreed there, and who does what until when.

CREATE TABLE review_meeting (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	on_date DATE NOT NULL,
	-- Where, and what it is about.
	note VARCHAR(300) NOT NULL DEFAULT '',
	planned_by INT UNSIGNED NOT NULL,
	planned_at DATETIME(3) NOT NULL,
	called_off_at DATETIME(3) NULL,
	KEY by_date (school_id, on_date),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (planned_by) REFERENCES account (id)
);

-- Who is invited, and whether they were there.
CREATE TABLE review_meeting_adult (
	meeting_id INT UNSIGNED NOT NULL,
	account_id INT UNSIGNED NOT NULL,
	was_there BOOLEAN NOT NULL DEFAULT TRUE,
	PRIMARY KEY (meeting_id, account_id),
	KEY by_account (account_id),
	FOREIGN KEY (meeting_id) REFERENCES review_meeting (id) ON DELETE CASCADE,
	FOREIGN KEY (account_id) REFERENCES account (id)
);

ALTER TABLE review
	-- A student in no group is looked at, too.
	MODIFY COLUMN group_id INT UNSIGNED NULL,
	-- The meeting on whose agenda it stands, and where.
	ADD COLUMN meeting_id INT UNSIGNED NULL,
	ADD COLUMN place SMALLINT UNSIGNED NOT NULL DEFAULT 0,
	-- What was at stake when it was planned for that; null where its day had come.
	ADD COLUMN raised_by JSON NULL,
	-- Why the verdict is not as advised.
	ADD COLUMN against VARCHAR(500) NOT NULL DEFAULT '',
	-- What is done in another way from then on.
	ADD COLUMN plan_change VARCHAR(120) NOT NULL DEFAULT '',
	ADD COLUMN family_told VARCHAR(1000) NOT NULL DEFAULT '',
	-- The group's change of focus, and the goal as it was before: what taking it back needs.
	ADD COLUMN focus_change_id INT UNSIGNED NULL,
	ADD COLUMN goal_before JSON NULL,
	ADD KEY by_meeting (meeting_id, place),
	ADD FOREIGN KEY (meeting_id) REFERENCES review_meeting (id),
	ADD FOREIGN KEY (focus_change_id) REFERENCES group_change (id) ON DELETE SET NULL;

-- What somebody does for a student until a day, as a verdict says.
CREATE TABLE review_task (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	review_id INT UNSIGNED NOT NULL,
	account_id INT UNSIGNED NOT NULL,
	what VARCHAR(200) NOT NULL,
	due_on DATE NOT NULL,
	done_at DATETIME(3) NULL,
	KEY by_account (account_id, done_at, due_on),
	FOREIGN KEY (review_id) REFERENCES review (id) ON DELETE CASCADE,
	FOREIGN KEY (account_id) REFERENCES account (id)
);

-- Plans of probes run until the day on which they end: the last day of any of them, instead of how many have no end.
ALTER TABLE student_summary
	DROP COLUMN plans,
	ADD COLUMN probes_until DATE NULL;
UPDATE student_summary SET probes_until = (
	SELECT MAX(LEAST(plan.goal_on, COALESCE(plan.ended_on - INTERVAL 1 DAY, plan.goal_on))) FROM probe_plan AS plan
	WHERE plan.student_id = student_summary.student_id);
