import { dayBegins } from '../../core/calendar';
import type { Database } from '../database';
import type { School } from '../school';
import type { Staff } from '../request';
import { STUDENT_TRIES } from './signIn';
import { lockedOut, type LockedOut } from './store/tries';

/** Students who cannot sign in until tomorrow, of those that a staff member may see. */
export function lockedOutOf(database: Database, staff: Staff, school: School, at: Date): Promise<LockedOut[]> {
	return lockedOut(database, staff, {
		failures: STUDENT_TRIES,
		since: dayBegins(at, school.timeZone),
		today: school.today
	});
}
