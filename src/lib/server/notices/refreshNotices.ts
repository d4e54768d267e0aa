import { findNotices } from '../../core/notices';
import type { RootDatabase } from '../database';
import { schoolTimeZones } from '../people';
import { findSchool, type School } from '../school';
import { schoolFacts } from './schoolFacts';
import { keepNotices } from './store/notices';

/** Looks through a school, and keeps what there is to be told of it now. */
export async function refreshNotices(database: RootDatabase, school: School, at: Date): Promise<void> {
	await keepNotices(database, school.id, findNotices(await schoolFacts(database, school, at)), at);
}

/** Looks through all schools, one after another; says after each how many are done. */
export async function* refreshAllNotices(
	database: RootDatabase,
	at: Date
): AsyncGenerator<{ progress: { schools: number }; checkpoint: null }, { schools: number }> {
	const schools = await schoolTimeZones(database);
	for (const [i, { schoolId }] of schools.entries()) {
		await refreshNotices(database, await findSchool(database, schoolId, at), at);
		yield { progress: { schools: i + 1 }, checkpoint: null };
	}
	return { schools: schools.length };
}
