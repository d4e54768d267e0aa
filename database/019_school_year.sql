-- When a school's years begin and end: norms go by the week of the year.

CREATE TABLE school_year (
	school_id INT UNSIGNED NOT NULL,
	starts_on DATE NOT NULL,
	ends_on DATE NOT NULL,
	PRIMARY KEY (school_id, starts_on),
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (ends_on > starts_on)
);
