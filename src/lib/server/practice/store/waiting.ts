import type { SchoolDate } from '../../../core/calendar';
import { type RosterCount, SUMMARY } from '../../people';
import type { School } from '../../school';

/** Students with a set that is open on a day and not finished. */
export const withWork = (today: SchoolDate): RosterCount => ({
	sql: 'COALESCE(summary.waiting_from <= ?, 0)',
	values: [today],
	join: SUMMARY
});

/** Students with a set that is not finished and was due before now. */
export const withLate = ({ today, minute }: Pick<School, 'today' | 'minute'>): RosterCount => ({
	sql: `(COALESCE(summary.waiting_from <= ?, 0) AND EXISTS (
		SELECT 1 FROM practice_set_student AS given
		STRAIGHT_JOIN practice_set ON practice_set.id = given.set_id
		LEFT JOIN sitting ON sitting.set_id = given.set_id AND sitting.student_id = given.student_id
			AND sitting.attempt = given.attempt
		WHERE given.student_id = roster.id AND given.excused_at IS NULL AND given.closed_at IS NULL
			AND practice_set.withdrawn_at IS NULL AND sitting.finished_at IS NULL
			AND (COALESCE(given.due_on, practice_set.due_on) < ?
				OR COALESCE(given.due_on, practice_set.due_on) = ? AND practice_set.due_minute <= ?)))`,
	values: [today, today, today, minute],
	join: SUMMARY
});
