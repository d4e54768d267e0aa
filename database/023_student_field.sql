-- What is believed of a student on every skill: derived from the answers, one packed row a student.

CREATE TABLE student_field (
	student_id INT UNSIGNED PRIMARY KEY,
	-- Counts up with whatever it follows from: answers that count, scores from outside.
	revision INT UNSIGNED NOT NULL,
	-- The revision that it was made of; another one says that it must be made anew before it is read.
	made_of INT UNSIGNED NOT NULL DEFAULT 0,
	-- The skills, their order and difficulties, and the rule that it was made by.
	made_by BINARY(16) NULL,
	-- As core/mastery packs it.
	packed MEDIUMBLOB NULL,
	FOREIGN KEY (student_id) REFERENCES student (id)
);

ALTER TABLE sitting_item
	-- Digits that the question's numbers have more than usual in its family; null until `npm start` has counted them.
	ADD COLUMN digits FLOAT NULL;

-- What stood in its place: a trace a student and skill.
DROP TABLE skill_trace;
DROP TABLE trace_rule;
