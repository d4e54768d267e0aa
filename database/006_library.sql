-- Finding skills: other words for them, a school's own standards and materials, and shelves.

ALTER TABLE skill
	ADD COLUMN also VARCHAR(500) NOT NULL DEFAULT '' COMMENT 'other words people look for it by',
	ADD COLUMN identifier UUID NOT NULL DEFAULT UUID() COMMENT 'by which CASE packages know it';
ALTER TABLE domain ADD COLUMN identifier UUID NOT NULL DEFAULT UUID() COMMENT 'by which CASE packages know it';

CREATE TABLE standard (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	framework VARCHAR(120) NOT NULL,
	code VARCHAR(60) NOT NULL,
	statement VARCHAR(1000) NOT NULL,
	grade TINYINT UNSIGNED NULL,
	UNIQUE KEY by_code (school_id, framework, code),
	FOREIGN KEY (school_id) REFERENCES school (id),
	CHECK (grade BETWEEN 0 AND 12)
);

-- The crosswalk: which of our skills a standard asks for.
CREATE TABLE standard_skill (
	standard_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	PRIMARY KEY (standard_id, skill_id),
	KEY by_skill (skill_id),
	FOREIGN KEY (standard_id) REFERENCES standard (id) ON DELETE CASCADE,
	FOREIGN KEY (skill_id) REFERENCES skill (id)
);

-- Counts up whenever what can be found changes, so that a search index knows that it is old.
CREATE TABLE library_revision (
	school_id INT UNSIGNED PRIMARY KEY,
	revision INT UNSIGNED NOT NULL,
	FOREIGN KEY (school_id) REFERENCES school (id)
);

CREATE TABLE skill_material (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	title VARCHAR(120) NOT NULL,
	link VARCHAR(500) NULL,
	note VARCHAR(2000) NOT NULL DEFAULT '',
	added_by INT UNSIGNED NOT NULL,
	added_at DATETIME(3) NOT NULL,
	removed_at DATETIME(3) NULL,
	KEY by_skill (school_id, skill_id, removed_at),
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id),
	FOREIGN KEY (added_by) REFERENCES account (id)
);

CREATE TABLE shelved_skill (
	account_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	shared BOOLEAN NOT NULL DEFAULT FALSE,
	shelved_at DATETIME(3) NOT NULL,
	PRIMARY KEY (account_id, skill_id),
	FOREIGN KEY (account_id) REFERENCES account (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id)
);
