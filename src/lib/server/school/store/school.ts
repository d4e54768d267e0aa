import { addDays, momentOf, schoolDateOf, type SchoolCalendar, type SchoolDate } from '../../../core/calendar';
import { daysOf } from '../../../core/timetable';
import type { Database } from '../../database';

export interface School {
	id: number;
	name: string;
	timeZone: string;
	today: SchoolDate;
	/** Minutes of today's school day. */
	minute: number;
	/** With the days off of the last year and all to come. */
	calendar: SchoolCalendar;
}

/** How far back (days) days off are of use. */
const REACH = 400;

export async function findSchool(database: Database, id: number, at: Date): Promise<School> {
	const since = addDays(schoolDateOf(at, 'UTC'), -REACH);
	const row = await database.row<Omit<School, 'today' | 'minute' | 'calendar'> & { schoolDays: number; off: string }>(
		`SELECT id, name, time_zone AS timeZone, school_days AS schoolDays,
			(SELECT CONCAT('[', COALESCE(GROUP_CONCAT(
				JSON_OBJECT('fromOn', from_on, 'untilOn', until_on, 'name', name) ORDER BY from_on, day_off.id), ''), ']')
			FROM day_off WHERE day_off.school_id = school.id AND until_on > ?) AS off
		FROM school WHERE id = ?`,
		[since, id]
	);
	if (!row) throw new Error(`school ${id} does not exist`);
	const { schoolDays, off, ...school } = row;
	const now = momentOf(at, row.timeZone);
	return {
		...school,
		today: now.day,
		minute: now.minute,
		calendar: { schoolDays: daysOf(schoolDays), off: JSON.parse(off) }
	};
}
