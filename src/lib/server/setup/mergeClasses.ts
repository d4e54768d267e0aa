import type { SchoolDate } from '../../core/calendar';
import { NotDone, type RootDatabase, whole } from '../database';
import { endClass, enrolledIn, moveToClass, takeBackMoves, type Way } from '../people';
import type { Staff } from '../request';

/**
 * Lets everybody of a class be in another from today on, and ends the class.
 *
 * @returns the ways of those who moved; null where somebody is planned to join the class later, the other has ended, or
 *   there is none: then nothing is changed
 */
export function mergeClasses(
	database: RootDatabase,
	staff: Staff,
	{ classId, intoId }: { classId: number; intoId: number },
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<Way[] | null> {
	return whole(database, async (all) => {
		const members = await enrolledIn(all, staff, classId, today);
		const ids = members.map(({ id }) => id);
		const ways = ids.length ? await moveToClass(all, staff, ids, intoId, { from: today, at }) : [];
		if (!(await endClass(all, staff, classId, today, { today, at }))) throw new NotDone();
		return ways;
	});
}

/** Takes a merger back. @returns how many students are where they were; null where the class's name was taken since */
export function takeBackMerger(
	database: RootDatabase,
	staff: Staff,
	{ classId, ways }: { classId: number; ways: Way[] },
	{ today, at }: { today: SchoolDate; at: Date }
): Promise<number | null> {
	return whole(database, async (all) => {
		if (!(await endClass(all, staff, classId, null, { today, at }))) throw new NotDone();
		return takeBackMoves(all, staff, ways, at);
	});
}
