-- What students of a class do beside what they are given: a few questions from before, and practice they choose.

ALTER TABLE class
	ADD COLUMN review_minutes TINYINT UNSIGNED NOT NULL DEFAULT 4,
	ADD COLUMN free_practice BOOLEAN NOT NULL DEFAULT TRUE,
	ADD COLUMN given_first BOOLEAN NOT NULL DEFAULT TRUE,
	ADD CONSTRAINT review_minutes CHECK (review_minutes <= 10);

-- The day of work that a student began of themselves, and the how-manieth of its kind it was on that day.
ALTER TABLE sitting
	MODIFY COLUMN kind ENUM ('diagnostic', 'practice', 'probe', 'check', 'review', 'free') NOT NULL,
	ADD COLUMN own_day DATE NULL AFTER check_id,
	ADD COLUMN own_number TINYINT UNSIGNED NULL AFTER own_day,
	DROP CONSTRAINT one_origin,
	ADD CONSTRAINT one_origin CHECK (
		(window_id IS NOT NULL) + (set_id IS NOT NULL) + (plan_id IS NOT NULL) + (check_id IS NOT NULL)
			+ (own_day IS NOT NULL) = 1
	),
	ADD CONSTRAINT own_number CHECK (own_day IS NULL = (own_number IS NULL)),
	ADD UNIQUE KEY by_own_day (student_id, own_day, kind, own_number);
