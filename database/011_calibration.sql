-- Long work that goes on while people do other things; parameters of families of questions that were found by it.

CREATE TABLE job (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	kind ENUM ('calibration') NOT NULL,
	state ENUM ('waiting', 'running', 'done', 'canceled', 'failed') NOT NULL DEFAULT 'waiting',
	-- What is shown of it while it runs.
	progress JSON NULL,
	-- From where it goes on when the process that worked on it has gone.
	checkpoint MEDIUMTEXT NULL,
	result MEDIUMTEXT NULL,
	-- Who works on it, and until when that holds without being said again.
	claimed_by UUID NULL,
	claimed_until DATETIME(3) NULL,
	asked_by INT UNSIGNED NOT NULL,
	asked_at DATETIME(3) NOT NULL,
	ended_at DATETIME(3) NULL,
	KEY by_state (state, id),
	KEY by_school (school_id, kind, id),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (asked_by) REFERENCES account (id)
);

-- A version of parameters that was approved. A sitting keeps the version it began with.
CREATE TABLE parameter_version (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	number SMALLINT UNSIGNED NOT NULL,
	job_id INT UNSIGNED NOT NULL,
	applied_by INT UNSIGNED NOT NULL,
	applied_at DATETIME(3) NOT NULL,
	withdrawn_at DATETIME(3) NULL,
	UNIQUE KEY by_number (school_id, number),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (job_id) REFERENCES job (id),
	FOREIGN KEY (applied_by) REFERENCES account (id)
);

CREATE TABLE family_parameters (
	version_id INT UNSIGNED NOT NULL,
	family_id VARCHAR(60) NOT NULL,
	discrimination DOUBLE NOT NULL,
	-- Logits.
	difficulty DOUBLE NOT NULL,
	median_ms INT UNSIGNED NOT NULL,
	PRIMARY KEY (version_id, family_id),
	FOREIGN KEY (version_id) REFERENCES parameter_version (id),
	CHECK (discrimination > 0)
);

ALTER TABLE sitting
	-- NULL: the parameters that questions start with.
	ADD COLUMN parameters_id INT UNSIGNED NULL,
	ADD FOREIGN KEY (parameters_id) REFERENCES parameter_version (id);
