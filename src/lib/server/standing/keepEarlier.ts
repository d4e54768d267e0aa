import { schoolDateOf } from '../../core/calendar';
import type { Database } from '../database';
import { allStudentIds, schoolTimeZones } from '../people';
import { currentCycle } from '../school';
import { earlierCells, forgetEarlierCells } from './store/earlierCells';

/** As long (ms) as cells are worked out before it is said how far it is. */
const AT_ONCE_MS = 500;

/**
 * Works out the cells of the day that *then and now* opens with, the cycle's first, for every student of every school, and
 * forgets those of days that nobody has asked for lately.
 */
export async function* keepEarlierCells(
	database: Database,
	at: Date
): AsyncGenerator<{ progress: { made: number; students: number }; checkpoint: null }, { made: number }> {
	let total = 0;
	for (const { schoolId, timeZone } of await schoolTimeZones(database)) {
		const today = schoolDateOf(at, timeZone);
		await forgetEarlierCells(database, today);
		const cycle = await currentCycle(database, schoolId, today);
		if (!cycle || cycle.startsOn >= today) continue;
		const ids = await allStudentIds(database, schoolId);
		let missing = ids;
		while (missing.length) {
			({ missing } = await earlierCells(database, { id: schoolId, today }, missing, cycle.startsOn, AT_ONCE_MS));
			yield { progress: { made: ids.length - missing.length, students: ids.length }, checkpoint: null };
		}
		total += ids.length;
	}
	return { made: total };
}
