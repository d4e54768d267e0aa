-- What follows when a student has finished a set, above and below a line.

ALTER TABLE practice_set
	-- Percent right at the first try.
	ADD COLUMN line TINYINT UNSIGNED NOT NULL DEFAULT 80,
	ADD COLUMN above ENUM ('nothing', 'next skill', 'mixed') NOT NULL DEFAULT 'nothing',
	ADD COLUMN below ENUM ('notice', 'prerequisite', 'half', 'nothing') NOT NULL DEFAULT 'nothing',
	-- Of a set that was set off by another: that set, and how many sets were set off in a row.
	ADD COLUMN follows_id INT UNSIGNED NULL,
	ADD COLUMN follow_depth TINYINT UNSIGNED NOT NULL DEFAULT 0,
	ADD CONSTRAINT line CHECK (line BETWEEN 1 AND 100),
	ADD CONSTRAINT follows CHECK (follows_id IS NULL = (follow_depth = 0)),
	ADD FOREIGN KEY (follows_id) REFERENCES practice_set (id);

-- Nothing follows from what was assigned before anybody was asked; from now on a notice does.
ALTER TABLE practice_set ALTER COLUMN below SET DEFAULT 'notice';

-- What came of each run that was looked at, once.
CREATE TABLE follow_on (
	sitting_id INT UNSIGNED NOT NULL PRIMARY KEY,
	set_id INT UNSIGNED NOT NULL,
	-- `waiting` until it was looked at.
	kind ENUM ('waiting', 'nothing', 'notice', 'next skill', 'mixed', 'prerequisite', 'half') NOT NULL,
	-- Of a notice: why there is only that.
	why ENUM ('below', 'one waits', 'two in a row', 'nothing fits') NULL,
	follow_set_id INT UNSIGNED NULL,
	made_at DATETIME(3) NOT NULL,
	seen_at DATETIME(3) NULL,
	FOREIGN KEY (sitting_id) REFERENCES sitting (id),
	FOREIGN KEY (set_id) REFERENCES practice_set (id),
	FOREIGN KEY (follow_set_id) REFERENCES practice_set (id),
	KEY by_kind (kind, made_at),
	CONSTRAINT follow_set CHECK ((follow_set_id IS NULL) = (kind IN ('waiting', 'nothing', 'notice')))
);


ALTER TABLE job
	MODIFY COLUMN kind
		ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants', 'find notices', 'sync rosters', 'send mail',
			'close sets', 'follow on')
		NOT NULL;
