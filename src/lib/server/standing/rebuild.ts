import type { Database, RootDatabase } from '../database';
import { allStudentIds, lockStudents, schoolTimeZones } from '../people';
import { remakeFields } from './store/studentFields';
import { refreshSummaries, storedSummaries } from './summaries';

const CHUNK = 100;

/** All students of a database, a hundred of a school at a time, and how many those are up to then. */
export async function* studentsInBatches(database: Database) {
	const schools = await schoolTimeZones(database);
	const idsOf = await Promise.all(schools.map(({ schoolId }) => allStudentIds(database, schoolId)));
	const total = idsOf.reduce((sum, ids) => sum + ids.length, 0);
	let done = 0;
	for (const ids of idsOf) {
		for (let from = 0; from < ids.length; from += CHUNK) {
			const some = ids.slice(from, from + CHUNK);
			done += some.length;
			yield { ids: some, done, total };
		}
	}
}

/**
 * Works out anew what is kept of every student, from the answer log, and the summaries that pages count by.
 *
 * @param say is told how far it has come
 * @returns of how many students there is a field, how many of them were different though nothing had said so, and how many
 *   summaries were
 */
export async function rebuildEverything(
	database: RootDatabase,
	say: (done: number, total: number) => void = () => {}
): Promise<{ students: number; different: number; summariesChanged: number }> {
	let [students, different, summariesChanged] = [0, 0, 0];
	for await (const { ids, done, total } of studentsInBatches(database)) {
		different += await remakeFields(database, ids);
		summariesChanged += await database.transaction(async (transaction) => {
			await lockStudents(transaction, ids);
			const before = await storedSummaries(transaction, ids);
			await refreshSummaries(transaction, ids);
			const now = await storedSummaries(transaction, ids);
			return [...new Set([...before.keys(), ...now.keys()])].filter((key) => before.get(key) !== now.get(key)).length;
		});
		students = done;
		say(done, total);
	}
	return { students, different, summariesChanged };
}
