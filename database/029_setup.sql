-- What a school says of itself, and who is in it, as Setup keeps them.

ALTER TABLE school
	-- Bit 0 Monday … bit 4 Friday.
	ADD COLUMN school_days TINYINT UNSIGNED NOT NULL DEFAULT 31,
	ADD COLUMN first_grade TINYINT UNSIGNED NOT NULL DEFAULT 1,
	ADD COLUMN last_grade TINYINT UNSIGNED NOT NULL DEFAULT 8,
	-- Digits of a student's PIN.
	ADD COLUMN pin_length TINYINT UNSIGNED NOT NULL DEFAULT 4,
	ADD CHECK (school_days BETWEEN 1 AND 31),
	ADD CHECK (first_grade <= last_grade AND last_grade <= 12),
	ADD CHECK (pin_length BETWEEN 4 AND 8);

ALTER TABLE school_year
	-- From these days on the benchmarks of winter and of spring count; a third of the year each where nothing is said.
	ADD COLUMN winter_on DATE NULL,
	ADD COLUMN spring_on DATE NULL,
	ADD CHECK (winter_on IS NULL OR winter_on BETWEEN starts_on AND ends_on),
	ADD CHECK (spring_on IS NULL OR spring_on BETWEEN starts_on AND ends_on);

-- No school on [from_on, until_on).
CREATE TABLE day_off (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NOT NULL,
	name VARCHAR(80) NOT NULL,
	KEY by_school (school_id, from_on),
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (until_on > from_on)
);

-- What the school plans for a tier, where it is not as shipped.
CREATE TABLE tier_plan (
	school_id INT UNSIGNED NOT NULL,
	tier TINYINT UNSIGNED NOT NULL,
	smallest TINYINT UNSIGNED NOT NULL,
	largest TINYINT UNSIGNED NOT NULL,
	minutes_a_week SMALLINT UNSIGNED NOT NULL,
	PRIMARY KEY (school_id, tier),
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (tier BETWEEN 2 AND 3),
	CHECK (smallest BETWEEN 1 AND largest)
);

-- Kindergarten is grade 0.
ALTER TABLE class
	DROP CONSTRAINT IF EXISTS CONSTRAINT_1,
	ADD CONSTRAINT grades CHECK (grade <= 12),
	-- From this day on the class is no more.
	ADD COLUMN ended_on DATE NULL;

ALTER TABLE student
	DROP CONSTRAINT IF EXISTS CONSTRAINT_1,
	ADD CONSTRAINT grades CHECK (grade <= 12),
	-- NULL where the school gives none.
	MODIFY COLUMN number VARCHAR(20) NULL,
	-- NULL until one is made: the student cannot sign in yet.
	MODIFY COLUMN pin_hash VARCHAR(200) NULL,
	ADD COLUMN preferred_name VARCHAR(60) NULL,
	-- By what everybody knows the student.
	ADD COLUMN shown_name VARCHAR(60) AS (COALESCE(preferred_name, given_name)) VIRTUAL,
	ADD COLUMN birth_date DATE NULL;

-- The adults of a class, on [from_on, until_on).
CREATE TABLE class_adult (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	class_id INT UNSIGNED NOT NULL,
	account_id INT UNSIGNED NOT NULL,
	from_on DATE NOT NULL,
	until_on DATE NULL,
	KEY by_class (class_id, from_on),
	KEY by_account (account_id, class_id, from_on, until_on),
	FOREIGN KEY (class_id) REFERENCES class (id),
	FOREIGN KEY (account_id) REFERENCES account (id),
	CHECK (until_on IS NULL OR until_on >= from_on)
);
INSERT INTO class_adult (class_id, account_id, from_on)
	SELECT id, teacher_id, '2000-01-01' FROM class WHERE teacher_id IS NOT NULL;
ALTER TABLE class
	DROP FOREIGN KEY IF EXISTS class_ibfk_2,
	DROP KEY IF EXISTS by_teacher,
	DROP COLUMN IF EXISTS teacher_id;

ALTER TABLE account
	-- NULL until the person has chosen one.
	MODIFY COLUMN password_hash VARCHAR(200) NULL,
	ADD COLUMN email VARCHAR(254) NULL,
	-- From then on the person cannot sign in; what they did stays theirs.
	ADD COLUMN deactivated_at DATETIME(3) NULL;

-- A link by which a person chooses a password, once: the first one, or a new one after it was forgotten.
CREATE TABLE invitation (
	token_hash BINARY(32) PRIMARY KEY,
	account_id INT UNSIGNED NOT NULL,
	made_by INT UNSIGNED NOT NULL,
	made_at DATETIME(3) NOT NULL,
	expires_at DATETIME(3) NOT NULL,
	KEY by_account (account_id),
	FOREIGN KEY (account_id) REFERENCES account (id),
	FOREIGN KEY (made_by) REFERENCES account (id)
);
