-- How a list of students with these headings was read, once somebody has said so.
CREATE TABLE list_layout (
	school_id INT UNSIGNED NOT NULL,
	headings BINARY(32) NOT NULL,
	layout JSON NOT NULL,
	kept_at DATETIME(3) NOT NULL,
	PRIMARY KEY (school_id, headings),
	FOREIGN KEY (school_id) REFERENCES school (id)
);
