-- Where a school's roster can be fetched from (OneRoster 1.2, REST binding), and what came of it last.

CREATE TABLE roster_source (
	school_id INT UNSIGNED PRIMARY KEY,
	-- Of the service, up to and without /ims/oneroster/rostering/v1p2.
	address VARCHAR(300) NOT NULL,
	token_address VARCHAR(300) NOT NULL,
	client_id VARCHAR(200) NOT NULL,
	-- Sealed by the signing key.
	client_secret VARBINARY(600) NOT NULL,
	nightly BOOLEAN NOT NULL,
	-- Of the newest reading at night: the school's day, whether it went well, and what is said of it.
	synced_on DATE NULL,
	synced_well BOOLEAN NULL,
	sync_says VARCHAR(300) NOT NULL DEFAULT '',
	FOREIGN KEY (school_id) REFERENCES school (id)
);

ALTER TABLE job
	MODIFY COLUMN kind
		ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants', 'find notices', 'sync rosters')
		NOT NULL;
