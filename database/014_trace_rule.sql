-- Which rule of core/mastery the stored traces were worked out by; none for those from before there was more than one.
CREATE TABLE trace_rule (
	only_row TINYINT UNSIGNED PRIMARY KEY DEFAULT 1,
	rule SMALLINT UNSIGNED NOT NULL,
	CHECK (only_row = 1)
);
