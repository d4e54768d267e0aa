-- Mail that is to be sent, or was. What it says is sealed, and gone once it was sent or given up.
CREATE TABLE outgoing_mail (
	id INT UNSIGNED AUTO_INCREMENT PRIMARY KEY,
	account_id INT UNSIGNED NOT NULL,
	address VARCHAR(254) NOT NULL,
	message_id CHAR(36) NOT NULL,
	sealed VARBINARY(8000) NULL,
	queued_at DATETIME(3) NOT NULL,
	tries TINYINT UNSIGNED NOT NULL DEFAULT 0,
	next_at DATETIME(3) NULL,
	sent_at DATETIME(3) NULL,
	problem VARCHAR(300) NOT NULL DEFAULT '',
	KEY by_account (account_id, id),
	KEY due (next_at),
	FOREIGN KEY (account_id) REFERENCES account (id)
);

ALTER TABLE job
	MODIFY COLUMN kind
		ENUM ('calibration', 'clear sign-ins', 'keep earlier cells', 'field constants', 'find notices', 'sync rosters', 'send mail')
		NOT NULL;
