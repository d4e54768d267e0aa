-- How the students of a school move from week to week, by its own series of probes, once there are enough; and a weekly digest.

CREATE TABLE growth_moves (
	school_id INT UNSIGNED PRIMARY KEY,
	-- Of weekly growth, and of a jump in a week (logits).
	slope_mean DOUBLE NOT NULL,
	slope_sd DOUBLE NOT NULL,
	jump_chance DOUBLE NOT NULL,
	-- From how many series.
	series SMALLINT UNSIGNED NOT NULL,
	-- Which they were, so that nothing is worked out twice.
	made_of BINARY(16) NOT NULL,
	made_at DATETIME(3) NOT NULL,
	FOREIGN KEY (school_id) REFERENCES school (id)
);

ALTER TABLE account
	-- Whether they get a letter on Mondays with what needs them.
	ADD COLUMN weekly_digest BOOLEAN NOT NULL DEFAULT FALSE,
	-- The Monday of the last one.
	ADD COLUMN digest_of DATE NULL;

ALTER TABLE job
	MODIFY COLUMN kind
		ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants', 'find notices', 'sync rosters', 'send mail',
			'close sets', 'follow on', 'regrade', 'pool growth', 'send digests')
		NOT NULL;
