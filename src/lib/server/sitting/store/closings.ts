import { addDays, beginningOf, instantOf, schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';

/** Why a sitting takes no answers any more. */
export type ClosedBy = 'window closed' | 'ended by staff' | 'taken back' | 'left the school' | 'past due';

export interface Closing {
	why: ClosedBy;
	/** From when on. */
	at: Date;
}

interface Row {
	id: number;
	timeZone: string;
	/** The last day on which the student may sit, of a diagnostic. */
	lastDay: SchoolDate | null;
	/** When somebody ended the sitting with questions unanswered. */
	endedAt: Date | null;
	takenBackAt: Date | null;
	planEndedOn: SchoolDate | null;
	/** When a set that closes is due for the student; null for others. */
	setDueOn: SchoolDate | null;
	setDueMinute: number | null;
	/** The first day on which the student is in no class. */
	leftOn: SchoolDate | null;
}

/** Which of some sittings take no answers any more at an instant, why, and since when. */
export async function closings(database: Database, sittingIds: number[], at: Date): Promise<Map<number, Closing>> {
	const closed = new Map<number, Closing>();
	if (sittingIds.length === 0) return closed;
	const rows = await database.rows<Row>(
		`SELECT sitting.id, school.time_zone AS timeZone,
			GREATEST(screening_window.closes_on, COALESCE(note.make_up_until, screening_window.closes_on)) AS lastDay,
			IF(sitting.kind = 'diagnostic' AND sitting.finished_at IS NOT NULL AND EXISTS (
				SELECT 1 FROM sitting_item AS item
				LEFT JOIN answer
					ON answer.sitting_id = item.sitting_id AND answer.position = item.position AND answer.attempt = 1
				WHERE item.sitting_id = sitting.id AND answer.id IS NULL), sitting.finished_at,
				COALESCE(sitting.turned_in_at, sitting.set_aside_at)) AS endedAt,
			COALESCE(practice_set.withdrawn_at, skill_check.withdrawn_at) AS takenBackAt,
			probe_plan.ended_on AS planEndedOn,
			IF(practice_set.closes, COALESCE(given.due_on, practice_set.due_on), NULL) AS setDueOn,
			practice_set.due_minute AS setDueMinute,
			(SELECT NULLIF(MAX(COALESCE(until_on, '9999-12-31')), '9999-12-31') FROM class_membership
				WHERE class_membership.student_id = sitting.student_id) AS leftOn
		FROM sitting
		JOIN student ON student.id = sitting.student_id
		JOIN school ON school.id = student.school_id
		LEFT JOIN screening_window ON screening_window.id = sitting.window_id
		LEFT JOIN window_student AS note
			ON note.window_id = sitting.window_id AND note.student_id = sitting.student_id
		LEFT JOIN practice_set ON practice_set.id = sitting.set_id
		LEFT JOIN practice_set_student AS given
			ON given.set_id = sitting.set_id AND given.student_id = sitting.student_id
		LEFT JOIN skill_check ON skill_check.id = sitting.check_id
		LEFT JOIN probe_plan ON probe_plan.id = COALESCE(sitting.plan_id, sitting.level_plan_id)
		WHERE sitting.id IN (?)`,
		[[...new Set(sittingIds)]]
	);
	for (const { id, timeZone, lastDay, endedAt, takenBackAt, planEndedOn, setDueOn, setDueMinute, leftOn } of rows) {
		const today = schoolDateOf(at, timeZone);
		const starts = (day: SchoolDate | null) => (day === null || day > today ? null : beginningOf(day, timeZone));
		const ends: [ClosedBy, Date | null][] = [
			['window closed', starts(lastDay && addDays(lastDay, 1))],
			['ended by staff', endedAt],
			['taken back', takenBackAt ?? starts(planEndedOn)],
			['past due', setDueOn === null ? null : dueInstant(setDueOn, setDueMinute, timeZone)],
			['left the school', starts(leftOn)]
		];
		for (const [why, since] of ends) {
			if (since === null || since > at) continue;
			const before = closed.get(id);
			if (!before || since < before.at) closed.set(id, { why, at: since });
		}
	}
	return closed;
}

/** When a set that is due on a day, at a minute of it or at its end, is over. */
const dueInstant = (day: SchoolDate, minute: number | null, timeZone: string): Date =>
	minute === null ? beginningOf(addDays(day, 1), timeZone) : instantOf({ day, minute }, timeZone);
