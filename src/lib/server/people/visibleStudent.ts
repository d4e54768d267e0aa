import type { SchoolDate } from '../../core/calendar';
import type { Database } from '../database';
import { idOf, type Staff } from '../request';
import { type RosterStudent, visibleAmong } from './store/roster';

/** The student whom an address names, where the staff member may see them on a day; null for none. */
export async function visibleStudent(
	database: Database,
	staff: Staff,
	named: string | undefined,
	today: SchoolDate
): Promise<RosterStudent | null> {
	const id = idOf(named);
	const [student] = id === null ? [] : await visibleAmong(database, staff, [id], today);
	return student ?? null;
}
