-- What is believed of a school's students before any answer, found from its own answers and approved.

CREATE TABLE field_version (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	number SMALLINT UNSIGNED NOT NULL,
	job_id INT UNSIGNED NOT NULL,
	-- Logits above the expected median of the norms.
	above DOUBLE NOT NULL,
	-- Variances, logits².
	general DOUBLE NOT NULL,
	domain DOUBLE NOT NULL,
	skill DOUBLE NOT NULL,
	coupling DOUBLE NOT NULL,
	applied_by INT UNSIGNED NOT NULL,
	applied_at DATETIME(3) NOT NULL,
	withdrawn_at DATETIME(3) NULL,
	UNIQUE KEY by_number (school_id, number),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (job_id) REFERENCES job (id),
	FOREIGN KEY (applied_by) REFERENCES account (id),
	CHECK (general > 0 AND domain > 0 AND skill > 0 AND coupling > 0)
);

ALTER TABLE job
	MODIFY COLUMN kind ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants') NOT NULL;
