-- Putting results right: runs that are kept aside, other answers accepted for all, sets of which only counts whether they are done.

ALTER TABLE sitting
	-- Since when a run through a practice set does not count because the student begins it anew.
	ADD COLUMN set_aside_at DATETIME(3) NULL;

ALTER TABLE practice_set
	-- Whether only counts that it is done, not how well.
	ADD COLUMN done_only BOOLEAN NOT NULL DEFAULT FALSE;

ALTER TABLE practice_set_change
	MODIFY COLUMN kind ENUM ('dates', 'for some', 'given to more', 'taken from', 'turned in', 'open again', 'excused', 'marked done',
		'not excused', 'given again', 'not given again', 'taken back', 'given back', 'task done', 'task not done', 'how',
		'questions', 'may go on', 'may not go on', 'begun anew', 'not begun anew') NOT NULL;

-- Another answer to a question that a school accepts from all who are asked it.
CREATE TABLE correction (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	edition SMALLINT UNSIGNED NOT NULL,
	family_id VARCHAR(60) NOT NULL,
	seed INT UNSIGNED NOT NULL,
	response JSON NOT NULL,
	why VARCHAR(300) NOT NULL,
	made_by INT UNSIGNED NOT NULL,
	made_at DATETIME(3) NOT NULL,
	undone_by INT UNSIGNED NULL,
	undone_at DATETIME(3) NULL,
	-- Sittings with the question up to this one are regraded; null once all are.
	regraded_to INT UNSIGNED NULL DEFAULT 0,
	KEY by_item (edition, family_id, seed, school_id),
	KEY by_progress (regraded_to),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (edition, family_id, seed) REFERENCES asked_item (edition, family_id, seed),
	FOREIGN KEY (made_by) REFERENCES account (id),
	FOREIGN KEY (undone_by) REFERENCES account (id)
);

-- Answers that are right by a correction only: what stands in the log of how they were judged is put back from here.
CREATE TABLE corrected_answer (
	answer_id UUID PRIMARY KEY,
	correction_id INT UNSIGNED NOT NULL,
	misconception VARCHAR(60) NULL,
	KEY by_correction (correction_id, answer_id),
	FOREIGN KEY (answer_id) REFERENCES answer (id),
	FOREIGN KEY (correction_id) REFERENCES correction (id)
);

ALTER TABLE job
	MODIFY COLUMN kind
		ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants', 'find notices', 'sync rosters', 'send mail',
			'close sets', 'follow on', 'regrade')
		NOT NULL;
