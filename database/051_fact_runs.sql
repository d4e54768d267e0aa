-- One or two minutes of facts, answered on a number pad.

ALTER TABLE class
	ADD COLUMN fact_minutes TINYINT UNSIGNED NOT NULL DEFAULT 1,
	-- Null: those that are usual in the student's grade.
	ADD COLUMN fact_operations SET ('add', 'take', 'times', 'divide') NULL,
	ADD CONSTRAINT fact_minutes CHECK (fact_minutes <= 2),
	ADD CONSTRAINT fact_operations CHECK (fact_operations IS NULL OR fact_operations <> '');

CREATE TABLE fact_run (
	id INT UNSIGNED NOT NULL AUTO_INCREMENT PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	operation ENUM ('add', 'take', 'times', 'divide') NOT NULL,
	minutes TINYINT UNSIGNED NOT NULL,
	own_day DATE NOT NULL,
	-- The how-manieth with this operation on its day.
	own_number TINYINT UNSIGNED NOT NULL,
	started_at DATETIME(3) NOT NULL,
	ended_at DATETIME(3) NULL,
	FOREIGN KEY (student_id) REFERENCES student (id),
	UNIQUE KEY by_day (student_id, own_day, operation, own_number)
);

-- First tries at facts: a log that is only added to.
CREATE TABLE fact_answer (
	id UUID NOT NULL PRIMARY KEY,
	run_id INT UNSIGNED NOT NULL,
	position SMALLINT UNSIGNED NOT NULL,
	student_id INT UNSIGNED NOT NULL,
	operation ENUM ('add', 'take', 'times', 'divide') NOT NULL,
	`first` TINYINT UNSIGNED NOT NULL,
	`second` TINYINT UNSIGNED NOT NULL,
	response SMALLINT UNSIGNED NOT NULL,
	correct BOOLEAN NOT NULL,
	milliseconds INT UNSIGNED NOT NULL,
	answered_at DATETIME(3) NOT NULL,
	received_at DATETIME(3) NOT NULL,
	FOREIGN KEY (run_id) REFERENCES fact_run (id),
	FOREIGN KEY (student_id) REFERENCES student (id),
	UNIQUE KEY by_place (run_id, position),
	KEY by_student (student_id, operation, answered_at),
	CONSTRAINT fact_numbers CHECK (`first` BETWEEN 1 AND 10 AND `second` BETWEEN 1 AND 10)
);
