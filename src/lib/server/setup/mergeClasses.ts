import type { SchoolDate } from '../../core/calendar';
import { inOne, type RootDatabase } from '../database';
import { endClass, enrolledIn, moveToClass, takeBackMoves, type Way } from '../people';
import type { Staff } from '../request';

/** Tells the transaction to leave everything as it was. */
class NotDone extends Error {}

/** What happens altogether or not at all. @returns null for the latter */
async function whole<Result>(
	database: RootDatabase,
	work: (all: RootDatabase) => Promise<Result>
): Promise<Result | null> {
	try {
		return await inOne(database, work);
	} catch (error) {
		if (error instanceof NotDone) return null;
		throw error;
	}
}

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
