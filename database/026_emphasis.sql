-- What a school puts weight on when it forms groups, by domain and grade; what is not there is as shipped.

CREATE TABLE emphasis (
	school_id INT UNSIGNED NOT NULL,
	domain_id INT UNSIGNED NOT NULL,
	grade TINYINT UNSIGNED NOT NULL,
	emphasis ENUM ('full', 'less', 'none') NOT NULL,
	PRIMARY KEY (school_id, domain_id, grade),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (domain_id) REFERENCES domain (id)
);
