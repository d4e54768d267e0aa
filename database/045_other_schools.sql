-- A person who serves several schools has an account in each, and signs in by one of them: from there the others are a step away.

ALTER TABLE account
	-- The account, at another school, by which its person signs in; NULL for who signs in by this one. Who has another
	-- has neither password nor second factor here.
	ADD COLUMN home_id INT UNSIGNED NULL,
	ADD KEY by_home (home_id),
	ADD FOREIGN KEY (home_id) REFERENCES account (id);
