-- Probes of sixteen questions, some of them on what comes before the focus; and what each series says, worked out from its answers.

ALTER TABLE probe_plan
	DROP CONSTRAINT CONSTRAINT_2,
	-- Plans of before have eight questions on the focus, once a week, and end so.
	ADD COLUMN questions TINYINT UNSIGNED NOT NULL DEFAULT 8,
	ADD COLUMN of_focus TINYINT UNSIGNED NOT NULL DEFAULT 8,
	-- Probes in two weeks: 2 is one a week, 1 one every second week.
	ADD COLUMN in_two_weeks TINYINT UNSIGNED NOT NULL DEFAULT 2,
	-- Weekday on which it is given (ISO); null: any.
	ADD COLUMN on_day TINYINT UNSIGNED NULL,
	-- A missed probe that may be made up, by its number.
	ADD COLUMN make_up TINYINT UNSIGNED NULL,
	-- Whether it watches over a student whose group ended because they no longer needed it.
	ADD COLUMN after_exit BOOLEAN NOT NULL DEFAULT FALSE,
	ADD CONSTRAINT goal_within CHECK (goal_correct BETWEEN 1 AND questions),
	ADD CONSTRAINT form_within CHECK (of_focus BETWEEN 1 AND questions AND in_two_weeks IN (1, 2, 4) AND on_day BETWEEN 1 AND 5);

-- The how-manieth probe of its plan a sitting is, from 1: with one a week, its week.
ALTER TABLE sitting
	RENAME COLUMN week TO probe_number;

-- What a plan's probes say (core/growth), derived from answers: made anew where that is of another revision of the student.
CREATE TABLE series_reading (
	plan_id INT UNSIGNED PRIMARY KEY,
	made_of INT UNSIGNED NOT NULL,
	-- Of the rule, and of what the school's levels follow from.
	made_by BINARY(16) NOT NULL,
	reading MEDIUMTEXT NOT NULL,
	FOREIGN KEY (plan_id) REFERENCES probe_plan (id) ON DELETE CASCADE
);

ALTER TABLE group_meeting
	-- Why it was not held; null where nobody said.
	ADD COLUMN why_not ENUM ('adult away', 'event', 'no room', 'testing', 'other') NULL,
	-- The planned day in place of which it was held.
	ADD COLUMN makes_up DATE NULL;

ALTER TABLE attendance
	-- Why a student was not there; null where nobody said.
	ADD COLUMN why_away ENUM ('not at school', 'kept by the class', 'did not want to', 'other') NULL;

-- What a colleague saw of a session: which of the five points of a session were so.
CREATE TABLE session_watch (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	group_id INT UNSIGNED NOT NULL,
	on_date DATE NOT NULL,
	-- Bit 0 is the first point.
	points TINYINT UNSIGNED NOT NULL,
	note VARCHAR(500) NOT NULL DEFAULT '',
	watched_by INT UNSIGNED NOT NULL,
	watched_at DATETIME(3) NOT NULL,
	UNIQUE KEY by_watcher (group_id, on_date, watched_by),
	FOREIGN KEY (group_id) REFERENCES small_group (id),
	FOREIGN KEY (watched_by) REFERENCES account (id),
	CHECK (points BETWEEN 0 AND 31)
);

ALTER TABLE adoption
	-- Plans of weekly probes that began with it, so that taking it back ends them.
	ADD COLUMN plans JSON NOT NULL DEFAULT '[]';

ALTER TABLE review
	-- Plans of probes that watch over the student after an exit, so that taking it back ends them.
	ADD COLUMN watch_plans JSON NOT NULL DEFAULT '[]';
