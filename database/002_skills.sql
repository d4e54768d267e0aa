-- Domains, skills and their prerequisites.

CREATE TABLE domain (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	subject VARCHAR(60) NOT NULL,
	code VARCHAR(20) NOT NULL,
	name VARCHAR(120) NOT NULL,
	position INT NOT NULL,
	UNIQUE KEY by_code (code)
);

CREATE TABLE skill (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	domain_id INT UNSIGNED NOT NULL,
	code VARCHAR(20) NOT NULL,
	statement VARCHAR(300) NOT NULL,
	short_name VARCHAR(120) NOT NULL,
	grade TINYINT UNSIGNED NOT NULL,
	term TINYINT UNSIGNED NOT NULL,
	position INT NOT NULL,
	UNIQUE KEY by_code (code),
	FOREIGN KEY (domain_id) REFERENCES domain (id),
	CHECK (grade BETWEEN 1 AND 8),
	CHECK (term BETWEEN 1 AND 3)
);

CREATE TABLE skill_edge (
	prerequisite_id INT UNSIGNED NOT NULL,
	skill_id INT UNSIGNED NOT NULL,
	PRIMARY KEY (skill_id, prerequisite_id),
	FOREIGN KEY (prerequisite_id) REFERENCES skill (id),
	FOREIGN KEY (skill_id) REFERENCES skill (id),
	CHECK (prerequisite_id <> skill_id)
);
