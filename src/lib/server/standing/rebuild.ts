import type { Database, RootDatabase } from '../database';
import { allStudentIds, lockStudents, schoolTimeZones } from '../people';
import { remakeFields } from './store/studentFields';
import { refreshSummaries, storedSummaries } from './summaries';

const CHUNK = 100;
/** Batches that are worked on at once. */
const AT_ONCE = 2;

/** All students of a database, a hundred of a school at a time, and how many there are. */
export async function* studentsInBatches(database: Database) {
	const schools = await schoolTimeZones(database);
	const idsOf = await Promise.all(schools.map(({ schoolId }) => allStudentIds(database, schoolId)));
	const total = idsOf.reduce((sum, ids) => sum + ids.length, 0);
	for (const ids of idsOf) {
		for (let from = 0; from < ids.length; from += CHUNK) {
			const some = ids.slice(from, from + CHUNK);
			yield { ids: some, total };
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
	const batches = studentsInBatches(database);
	// While one is worked out, the answers of the next are read.
	const work = async () => {
		for (;;) {
			const batch = await batches.next();
			if (batch.done) return;
			const { ids, total } = batch.value;
			const fields = await remakeFields(database, ids);
			const summaries = await remakeSummaries(database, ids);
			different += fields;
			summariesChanged += summaries;
			students += ids.length;
			say(students, total);
		}
	};
	await Promise.all(Array.from({ length: AT_ONCE }, work));
	return { students, different, summariesChanged };
}

/** Works out the summaries of students anew. @returns how many were different */
async function remakeSummaries(database: RootDatabase, ids: number[]): Promise<number> {
	return database.transaction(async (transaction) => {
		await lockStudents(transaction, ids);
		const before = await storedSummaries(transaction, ids);
		await refreshSummaries(transaction, ids);
		const now = await storedSummaries(transaction, ids);
		return [...new Set([...before.keys(), ...now.keys()])].filter((key) => before.get(key) !== now.get(key)).length;
	});
}
