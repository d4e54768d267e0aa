-- What students are commended for, in an adult's own words; and the key that badges of a school are signed with.

CREATE TABLE commendation (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	-- By which a badge is known outside.
	uuid UUID NOT NULL UNIQUE,
	student_id INT UNSIGNED NOT NULL,
	kind ENUM ('effort', 'growth') NOT NULL,
	-- What it was proposed for, and that in a student's words as it was then.
	reason JSON NOT NULL,
	said VARCHAR(500) NOT NULL,
	sentence VARCHAR(300) NOT NULL,
	given_by INT UNSIGNED NOT NULL,
	given_at DATETIME(3) NOT NULL,
	taken_back_at DATETIME(3) NULL,
	KEY by_student (student_id, given_at),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (given_by) REFERENCES account (id)
);

CREATE TABLE badge_key (
	school_id INT UNSIGNED PRIMARY KEY,
	-- The public key as a JSON Web Key (RFC 7517), and the private one, sealed.
	public_key JSON NOT NULL,
	private_key VARBINARY(4000) NOT NULL,
	made_at DATETIME(3) NOT NULL,
	FOREIGN KEY (school_id) REFERENCES school (id)
);
