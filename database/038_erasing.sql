-- How long a school keeps students who have left, and which of them were erased.

ALTER TABLE school
	-- Months after leaving; NULL for as long as nobody erases them.
	ADD COLUMN kept_months SMALLINT UNSIGNED NULL,
	ADD CHECK (kept_months BETWEEN 1 AND 240);

-- A student who was erased: a number that is nobody's any more, and counts.
CREATE TABLE erasure (
	school_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	-- By which the same student is recognized where a backup has brought them back; says nothing without the signing key.
	mark BINARY(32) NOT NULL,
	why ENUM ('asked for', 'kept long enough') NOT NULL,
	-- Rows by what they were: JSON.
	counts VARCHAR(1000) NOT NULL,
	erased_by INT UNSIGNED NOT NULL,
	erased_at DATETIME(3) NOT NULL,
	PRIMARY KEY (school_id, student_id),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (erased_by) REFERENCES account (id)
);
