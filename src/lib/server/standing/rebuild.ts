import type { RootDatabase } from '../database';
import { lockStudents } from '../people';
import { readTraces, rebuildTraces, type TraceRow } from './store/standings';
import { everybody } from './traceRule';

/** A trace as it is compared: to nine digits. */
const face = (row: TraceRow) => JSON.stringify({ ...row, probability: row.probability.toFixed(9) });

/** Works out all standings anew from the answer log. @returns how many there are, and how many were different before */
export async function rebuildEverything(database: RootDatabase): Promise<{ total: number; changed: number }> {
	let [total, changed] = [0, 0];
	for await (const { ids, skills, timeZone } of everybody(database)) {
		const [before, after] = await database.transaction(async (transaction) => {
			await lockStudents(transaction, ids);
			const stored = await readTraces(transaction, ids);
			await rebuildTraces(transaction, ids, skills, timeZone);
			return [stored, await readTraces(transaction, ids)];
		});
		const faces = new Map(before.map((row) => [`${row.studentId} ${row.skillId}`, face(row)]));
		total += after.length;
		changed += after.filter((row) => faces.get(`${row.studentId} ${row.skillId}`) !== face(row)).length;
	}
	return { total, changed };
}
