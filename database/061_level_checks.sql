-- Level checks of a domain, in the middle and at the end of weekly probes on one of its skills.

ALTER TABLE probe_plan
	-- Whether the level of its domain is checked beside it.
	ADD COLUMN level_checks BOOLEAN NOT NULL DEFAULT TRUE;

ALTER TABLE sitting
	MODIFY COLUMN kind ENUM ('diagnostic', 'practice', 'probe', 'level', 'check', 'review', 'free') NOT NULL,
	-- The plan that a level check belongs to, and which of its checks it is; its domain is domain_id.
	ADD COLUMN level_plan_id INT UNSIGNED NULL AFTER probe_number,
	ADD COLUMN level_place ENUM ('middle', 'end') NULL AFTER level_plan_id,
	DROP CONSTRAINT one_origin,
	ADD CONSTRAINT one_origin CHECK (
		(window_id IS NOT NULL) + (set_id IS NOT NULL) + (plan_id IS NOT NULL) + (check_id IS NOT NULL)
			+ (own_day IS NOT NULL) + (level_plan_id IS NOT NULL) = 1
	),
	DROP CONSTRAINT CONSTRAINT_2,
	-- A resit and a level check ask one domain.
	ADD CONSTRAINT own_domain CHECK ((resits_id IS NOT NULL OR level_plan_id IS NOT NULL) = (domain_id IS NOT NULL)),
	ADD CONSTRAINT level_place CHECK (level_plan_id IS NULL = (level_place IS NULL)),
	ADD UNIQUE KEY by_level_plan (level_plan_id, level_place),
	ADD FOREIGN KEY (level_plan_id) REFERENCES probe_plan (id);

-- What a finished level check found, worked out from its answers.
CREATE TABLE level_score (
	sitting_id INT UNSIGNED PRIMARY KEY,
	student_id INT UNSIGNED NOT NULL,
	domain_id INT UNSIGNED NOT NULL,
	taken_on DATE NOT NULL,
	-- Logits.
	theta DOUBLE NOT NULL,
	standard_error DOUBLE NOT NULL,
	KEY by_student (student_id, domain_id, taken_on),
	FOREIGN KEY (sitting_id) REFERENCES sitting (id) ON DELETE CASCADE,
	FOREIGN KEY (student_id) REFERENCES student (id),
	FOREIGN KEY (domain_id) REFERENCES domain (id)
);
