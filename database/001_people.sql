-- Schools, staff, classes, students; who is signed in; who did what.

CREATE TABLE school (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	name VARCHAR(120) NOT NULL,
	time_zone VARCHAR(60) NOT NULL
);

CREATE TABLE account (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	role ENUM ('coordinator', 'specialist', 'interventionist', 'teacher') NOT NULL,
	user_name VARCHAR(60) NOT NULL,
	display_name VARCHAR(120) NOT NULL,
	password_hash VARCHAR(200) NOT NULL,
	UNIQUE KEY by_user_name (user_name),
	FOREIGN KEY (school_id) REFERENCES school (id)
);

CREATE TABLE class (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	name VARCHAR(60) NOT NULL,
	grade TINYINT UNSIGNED NOT NULL,
	code VARCHAR(20) NOT NULL,
	teacher_id INT UNSIGNED NULL,
	UNIQUE KEY by_code (code),
	KEY by_teacher (teacher_id),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (teacher_id) REFERENCES account (id),
	CHECK (grade BETWEEN 1 AND 8)
);

CREATE TABLE student (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	number VARCHAR(20) NOT NULL,
	given_name VARCHAR(60) NOT NULL,
	family_name VARCHAR(60) NOT NULL,
	grade TINYINT UNSIGNED NOT NULL,
	pin_hash VARCHAR(200) NOT NULL,
	UNIQUE KEY by_number (school_id, number),
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (grade BETWEEN 1 AND 8)
);

-- Membership and tiers are intervals [from_on, until_on); an open end is NULL.
CREATE TABLE class_membership (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	class_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NULL,
	KEY by_class (class_id, from_on),
	KEY by_student (student_id, from_on),
	FOREIGN KEY (class_id) REFERENCES class (id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	CHECK (until_on IS NULL OR until_on >= from_on)
);

CREATE TABLE tier_interval (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	tier TINYINT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NULL,
	review_id INT UNSIGNED NULL,
	KEY by_student (student_id, from_on),
	FOREIGN KEY (student_id) REFERENCES student (id),
	CHECK (tier BETWEEN 1 AND 3),
	CHECK (until_on IS NULL OR until_on >= from_on)
);

CREATE TABLE session (
	token_hash BINARY(32) PRIMARY KEY,
	account_id INT UNSIGNED NULL,
	student_id INT UNSIGNED NULL,
	expires_at DATETIME(3) NOT NULL,
	KEY by_expiry (expires_at),
	FOREIGN KEY (account_id) REFERENCES account (id) ON DELETE CASCADE,
	FOREIGN KEY (student_id) REFERENCES student (id) ON DELETE CASCADE,
	CHECK ((account_id IS NULL) <> (student_id IS NULL))
);

CREATE TABLE sign_in_failure (
	id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	subject VARCHAR(160) NOT NULL,
	failed_at DATETIME(3) NOT NULL,
	KEY by_subject (subject, failed_at)
);

CREATE TABLE audit_entry (
	id BIGINT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	account_id INT UNSIGNED NULL,
	at DATETIME(3) NOT NULL,
	action VARCHAR(60) NOT NULL,
	detail VARCHAR(2000) NOT NULL,
	KEY by_school (school_id, at)
);
