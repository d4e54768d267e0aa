-- What students are given beside questions: notes, links, files, recorded messages, tasks led by a teacher; lessons of sets.

CREATE TABLE material_file (
	id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	name VARCHAR(120) NOT NULL,
	-- As its content says, not its name.
	type VARCHAR(40) NOT NULL,
	bytes INT UNSIGNED NOT NULL,
	added_by INT UNSIGNED NOT NULL,
	added_at DATETIME(3) NOT NULL,
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (added_by) REFERENCES account (id)
);

-- In parts, so that no statement is as large as a file.
CREATE TABLE material_file_part (
	file_id INT UNSIGNED NOT NULL,
	number SMALLINT UNSIGNED NOT NULL,
	content MEDIUMBLOB NOT NULL,
	PRIMARY KEY (file_id, number),
	FOREIGN KEY (file_id) REFERENCES material_file (id)
);

CREATE TABLE material (
	id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
	school_id INT UNSIGNED NOT NULL,
	kind ENUM ('note', 'link', 'file', 'recording', 'task') NOT NULL,
	title VARCHAR(120) NOT NULL,
	note VARCHAR(2000) NOT NULL DEFAULT '',
	link VARCHAR(500) NULL,
	file_id INT UNSIGNED NULL,
	made_by INT UNSIGNED NOT NULL,
	made_at DATETIME(3) NOT NULL,
	FOREIGN KEY (school_id) REFERENCES school (id),
	FOREIGN KEY (file_id) REFERENCES material_file (id),
	FOREIGN KEY (made_by) REFERENCES account (id),
	CONSTRAINT has_link CHECK ((link IS NOT NULL) = (kind = 'link')),
	CONSTRAINT has_file CHECK ((file_id IS NOT NULL) = (kind IN ('file', 'recording')))
);

CREATE TABLE given_material (
	material_id INT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	group_id INT UNSIGNED NULL,
	given_by INT UNSIGNED NOT NULL,
	given_at DATETIME(3) NOT NULL,
	-- The student has looked at it; of a task, a person said that it is done.
	seen_at DATETIME(3) NULL,
	withdrawn_at DATETIME(3) NULL,
	PRIMARY KEY (material_id, student_id),
	KEY by_student (student_id, given_at),
	FOREIGN KEY (material_id) REFERENCES material (id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (group_id) REFERENCES small_group (id) ON DELETE SET NULL,
	FOREIGN KEY (given_by) REFERENCES account (id)
);

ALTER TABLE practice_set
	-- What is looked at before the first question.
	ADD COLUMN lesson_id INT UNSIGNED NULL,
	-- What an adult leads beside it; nothing is handed in.
	ADD COLUMN task VARCHAR(120) NULL,
	MODIFY COLUMN below ENUM ('notice', 'prerequisite', 'half', 'again', 'nothing') NOT NULL DEFAULT 'notice',
	ADD FOREIGN KEY (lesson_id) REFERENCES material (id);

ALTER TABLE practice_set_student
	-- A person said that the task is done.
	ADD COLUMN task_done_at DATETIME(3) NULL;

ALTER TABLE practice_set_change
	MODIFY COLUMN kind ENUM ('dates', 'for some', 'given to more', 'taken from', 'turned in', 'open again', 'excused', 'marked done',
		'not excused', 'given again', 'not given again', 'taken back', 'given back', 'task done', 'task not done', 'how') NOT NULL;

ALTER TABLE follow_on
	MODIFY COLUMN kind ENUM ('waiting', 'nothing', 'notice', 'next skill', 'mixed', 'prerequisite', 'half', 'again') NOT NULL,
	DROP CONSTRAINT follow_set,
	ADD CONSTRAINT follow_set CHECK ((follow_set_id IS NULL) = (kind IN ('waiting', 'nothing', 'notice', 'again')));
