-- How the columns of each source of scores were matched last, so that its next file needs no matching.

CREATE TABLE score_source (
	school_id INT UNSIGNED NOT NULL,
	name VARCHAR(80) NOT NULL,
	-- What a column holds, by its heading; domains by their code.
	matching JSON NOT NULL,
	saved_by INT UNSIGNED NOT NULL,
	saved_at DATETIME(3) NOT NULL,
	PRIMARY KEY (school_id, name),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (saved_by) REFERENCES account (id)
);
