-- Rosters from elsewhere: by which ids the source knows what is here, how they are taken, and what each brought.

ALTER TABLE school
	-- From it ids are made for what no roster has brought.
	ADD COLUMN roster_key UUID NOT NULL DEFAULT UUID(),
	-- By which the source of the roster knows the school.
	ADD COLUMN sourced_id VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL;

ALTER TABLE class
	ADD COLUMN sourced_id VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL,
	ADD UNIQUE KEY by_source (sourced_id, school_id);

ALTER TABLE student
	ADD COLUMN sourced_id VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL,
	ADD UNIQUE KEY by_source (sourced_id, school_id);

ALTER TABLE account
	ADD COLUMN sourced_id VARCHAR(255) CHARACTER SET utf8mb4 COLLATE utf8mb4_bin NULL,
	ADD UNIQUE KEY by_source (sourced_id, school_id);

-- How a school takes rosters.
CREATE TABLE roster_rule (
	school_id INT UNSIGNED PRIMARY KEY,
	-- NULL for homerooms where there are any.
	home_classes ENUM ('homeroom', 'scheduled') NULL,
	-- Fields of a student that are not changed once they are here, as JSON.
	ours JSON NOT NULL,
	takes_birth_dates BOOLEAN NOT NULL,
	-- More may leave (percent of the students) only after being asked for once more.
	most_leaving TINYINT UNSIGNED NOT NULL,
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (most_leaving <= 100)
);

-- A roster that was brought: waiting for a look, applied, taken back, or set aside.
CREATE TABLE roster_run (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	state ENUM ('planned', 'applied', 'undone', 'set aside') NOT NULL DEFAULT 'planned',
	-- Of the file, and of the system that wrote it.
	file_name VARCHAR(200) NOT NULL,
	system_name VARCHAR(200) NOT NULL,
	is_delta BOOLEAN NOT NULL,
	brought_by INT UNSIGNED NOT NULL,
	brought_at DATETIME(3) NOT NULL,
	-- The school's part of the roster, as gzipped JSON: after a delta, all of it. Kept while it waits, for as long as it
	-- can be taken back, and of the newest that was applied.
	records LONGBLOB NULL,
	-- What was done, as gzipped JSON, from which it is taken back; kept as long as that can be.
	done LONGBLOB NULL,
	-- How many of each kind were changed, as JSON.
	figures JSON NULL,
	applied_by INT UNSIGNED NULL,
	applied_at DATETIME(3) NULL,
	undone_at DATETIME(3) NULL,
	KEY by_school (school_id, id),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (brought_by) REFERENCES account (id),
	FOREIGN KEY (applied_by) REFERENCES account (id)
);
