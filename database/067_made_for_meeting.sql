-- A review that was made for a meeting, of a student who had none due, goes with the meeting when its planning is taken back.
ALTER TABLE review
	ADD COLUMN made_for_id INT UNSIGNED NULL,
	ADD FOREIGN KEY (made_for_id) REFERENCES review_meeting (id) ON DELETE SET NULL;
