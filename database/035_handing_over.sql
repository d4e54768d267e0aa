-- What one adult ran goes on with another: the group meets at a meeting time of theirs.
ALTER TABLE group_change
	MODIFY COLUMN kind
		ENUM ('start', 'focus', 'join', 'leave', 'pause', 'resume', 'end', 'rename', 'hand over') NOT NULL;
