-- Frameworks with an owner: the shipped one is shared by all schools and changed by none; a school that changes it
-- teaches from a copy of its own. A skill is the same skill in both: what points to it, answers and groups, stays.

CREATE TABLE framework (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NULL COMMENT 'whose own it is; NULL is shared',
	UNIQUE KEY by_school (school_id),
	FOREIGN KEY (school_id) REFERENCES school (id)
);
INSERT INTO framework (id) VALUES (1);

ALTER TABLE school
	ADD COLUMN framework_id INT UNSIGNED NOT NULL DEFAULT 1 COMMENT 'what it teaches from',
	ADD FOREIGN KEY (framework_id) REFERENCES framework (id);

-- Where a domain or skill comes from; what is said of it stands in each framework that has it.
ALTER TABLE domain
	ADD COLUMN framework_id INT UNSIGNED NOT NULL DEFAULT 1,
	DROP KEY by_code,
	ADD UNIQUE KEY by_code (framework_id, code),
	ADD FOREIGN KEY (framework_id) REFERENCES framework (id);
ALTER TABLE skill
	ADD COLUMN framework_id INT UNSIGNED NOT NULL DEFAULT 1,
	DROP KEY by_code,
	ADD UNIQUE KEY by_code (framework_id, code),
	ADD FOREIGN KEY (framework_id) REFERENCES framework (id);
ALTER TABLE domain ALTER COLUMN framework_id DROP DEFAULT;
ALTER TABLE skill ALTER COLUMN framework_id DROP DEFAULT;

CREATE TABLE framework_domain (
	framework_id INT UNSIGNED NOT NULL,
	domain_id INT UNSIGNED NOT NULL,
	name VARCHAR(120) NOT NULL,
	position INT NOT NULL,
	PRIMARY KEY (framework_id, domain_id),
	FOREIGN KEY (framework_id) REFERENCES framework (id),
	FOREIGN KEY (domain_id) REFERENCES domain (id)
);
INSERT INTO framework_domain (framework_id, domain_id, name, position)
SELECT framework_id, id, name, position
FROM domain;

CREATE TABLE framework_skill (
	framework_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	domain_id INT UNSIGNED NOT NULL,
	statement VARCHAR(300) NOT NULL,
	short_name VARCHAR(120) NOT NULL,
	also VARCHAR(500) NOT NULL DEFAULT '' COMMENT 'other words people look for it by',
	grade TINYINT UNSIGNED NOT NULL,
	term TINYINT UNSIGNED NOT NULL,
	position INT NOT NULL,
	PRIMARY KEY (framework_id, skill_id),
	KEY by_domain (framework_id, domain_id, position),
	FOREIGN KEY (framework_id, domain_id) REFERENCES framework_domain (framework_id, domain_id),
	FOREIGN KEY (skill_id) REFERENCES skill (id),
	CHECK (grade BETWEEN 1 AND 8),
	CHECK (term BETWEEN 1 AND 3)
);
INSERT INTO framework_skill
	(framework_id, skill_id, domain_id, statement, short_name, also, grade, term, position)
SELECT framework_id, id, domain_id, statement, short_name, also, grade, term, position
FROM skill;

CREATE TABLE framework_edge (
	framework_id INT UNSIGNED NOT NULL,
	prerequisite_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	PRIMARY KEY (framework_id, skill_id, prerequisite_id),
	FOREIGN KEY (framework_id, prerequisite_id) REFERENCES framework_skill (framework_id, skill_id),
	FOREIGN KEY (framework_id, skill_id) REFERENCES framework_skill (framework_id, skill_id),
	CHECK (prerequisite_id <> skill_id)
);
INSERT INTO framework_edge (framework_id, prerequisite_id, skill_id)
SELECT 1, prerequisite_id, skill_id
FROM skill_edge;
DROP TABLE skill_edge;

ALTER TABLE domain DROP COLUMN name, DROP COLUMN position;
ALTER TABLE skill
	DROP FOREIGN KEY skill_ibfk_1,
	DROP CONSTRAINT CONSTRAINT_1,
	DROP CONSTRAINT CONSTRAINT_2,
	DROP COLUMN domain_id,
	DROP COLUMN statement,
	DROP COLUMN short_name,
	DROP COLUMN also,
	DROP COLUMN grade,
	DROP COLUMN term,
	DROP COLUMN position;
