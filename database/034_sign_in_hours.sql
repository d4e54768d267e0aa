-- When students of a class can sign in, on days of school in the school's time zone; NULL for at any time.

ALTER TABLE class
	ADD COLUMN sign_in_from TIME NULL,
	ADD COLUMN sign_in_until TIME NULL,
	ADD CONSTRAINT sign_in_hours CHECK (
		(sign_in_from IS NULL AND sign_in_until IS NULL) OR sign_in_from < sign_in_until);
