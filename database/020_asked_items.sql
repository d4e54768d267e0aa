-- Questions as they were asked: families of questions may change, what a student was asked does not.

CREATE TABLE asked_item (
	-- Of the family's questions when this one was made.
	edition SMALLINT UNSIGNED NOT NULL,
	family_id VARCHAR(60) NOT NULL,
	seed INT UNSIGNED NOT NULL,
	-- The whole question, with key, hint, solution and wrong ideas, as JSON.
	content MEDIUMTEXT COMPRESSED NOT NULL,
	PRIMARY KEY (edition, family_id, seed)
);

ALTER TABLE sitting_item
	-- Null in sittings of before until `npm start` has kept their questions.
	ADD COLUMN edition SMALLINT UNSIGNED NULL,
	-- How the question is answered, and among how many options: all that standings need of it.
	ADD COLUMN kind VARCHAR(12) NULL,
	ADD COLUMN options TINYINT UNSIGNED NULL,
	ADD KEY by_item (edition, family_id, seed),
	ADD FOREIGN KEY (edition, family_id, seed) REFERENCES asked_item (edition, family_id, seed);
