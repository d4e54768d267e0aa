import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import { type Roster, rosterSql } from '../../people';
import type { VisibleId } from '../../request';

/** A group that ended for a student because they no longer needed it. */
export interface Exit {
	studentId: VisibleId;
	/** What the group worked on then. */
	skillId: number;
	on: SchoolDate;
}

/** Exits of a roster since a day, the earliest first. */
export async function exitsSince(database: Database, roster: Roster, since: SchoolDate): Promise<Exit[]> {
	const among = rosterSql(roster);
	return database.rows<Exit>(
		`SELECT review.student_id AS studentId, review.effective_on AS \`on\`,
			COALESCE((SELECT focus.skill_id FROM group_focus AS focus
				WHERE focus.group_id = review.group_id AND focus.from_on <= review.effective_on
				ORDER BY focus.from_on DESC LIMIT 1), small_group.focus_skill_id) AS skillId
		FROM ${among.sql} AS roster
		STRAIGHT_JOIN review ON review.student_id = roster.id
		JOIN small_group ON small_group.id = review.group_id
		WHERE review.verdict = 'exit' AND review.effective_on >= ?
		ORDER BY review.effective_on, review.id`,
		[...among.values, since]
	);
}
