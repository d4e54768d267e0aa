import type { RootDatabase } from '../database';
import { lockStudents } from '../people';
import { readTraces, rebuildTraces, type TraceRow } from './store/standings';
import { refreshSummaries, storedSummaries } from './summaries';
import { studentsInBatches } from './traceRule';

/** A trace as it is compared: to nine digits. */
const face = (row: TraceRow) => JSON.stringify({ ...row, probability: row.probability.toFixed(9) });

/**
 * Works out all standings anew from the answer log, and the summaries that pages count by.
 *
 * @returns how many traces there are, how many of them were different before, and how many summaries were
 */
export async function rebuildEverything(
	database: RootDatabase
): Promise<{ total: number; changed: number; summariesChanged: number }> {
	let [total, changed, summariesChanged] = [0, 0, 0];
	for await (const { ids, skills, timeZone } of studentsInBatches(database)) {
		const [before, after, summaries] = await database.transaction(async (transaction) => {
			await lockStudents(transaction, ids);
			const stored = await readTraces(transaction, ids);
			const summed = await storedSummaries(transaction, ids);
			await rebuildTraces(transaction, ids, skills, timeZone);
			await refreshSummaries(transaction, ids);
			const summedNow = await storedSummaries(transaction, ids);
			const keys = new Set([...summed.keys(), ...summedNow.keys()]);
			return [
				stored,
				await readTraces(transaction, ids),
				[...keys].filter((key) => summed.get(key) !== summedNow.get(key)).length
			] as const;
		});
		const faces = new Map(before.map((row) => [`${row.studentId} ${row.skillId}`, face(row)]));
		total += after.length;
		summariesChanged += summaries;
		changed += after.filter((row) => faces.get(`${row.studentId} ${row.skillId}`) !== face(row)).length;
	}
	return { total, changed, summariesChanged };
}
