-- A second factor of signing in: codes of an authenticator (RFC 6238), and codes for when it is lost.

ALTER TABLE school
	-- Whether all staff need one.
	ADD COLUMN needs_second_factor BOOLEAN NOT NULL DEFAULT FALSE;

ALTER TABLE account
	-- Base32, as authenticators take it; NULL where there is none.
	ADD COLUMN totp_secret VARCHAR(64) CHARACTER SET ascii COLLATE ascii_bin NULL,
	-- The time step whose code was used last: no code is taken twice.
	ADD COLUMN totp_step INT UNSIGNED NULL;

-- Codes that each work once where the authenticator is lost.
CREATE TABLE recovery_code (
	account_id INT UNSIGNED NOT NULL,
	code_hash BINARY(32) NOT NULL,
	PRIMARY KEY (account_id, code_hash),
	FOREIGN KEY (account_id) REFERENCES account (id)
);
