import { TRACE_RULE } from '../../core/mastery';
import type { Database, RootDatabase } from '../database';
import { allStudentIds, schoolTimeZones } from '../people';
import { skillList } from '../library';
import { rebuildTraces } from './store/standings';
import { refreshSummaries } from './summaries';
import { keepTraceRule, storedTraceRule } from './store/traceRule';

/** All students of a database, a hundred of a school at a time, with what it teaches, and how many those are up to then. */
export async function* studentsInBatches(database: Database) {
	const CHUNK = 100;
	const schools = await schoolTimeZones(database);
	const idsOf = await Promise.all(schools.map(({ schoolId }) => allStudentIds(database, schoolId)));
	const total = idsOf.reduce((sum, ids) => sum + ids.length, 0);
	let done = 0;
	for (const [i, { schoolId, timeZone }] of schools.entries()) {
		const skills = await skillList(database, schoolId);
		for (let from = 0; from < idsOf[i].length; from += CHUNK) {
			const ids = idsOf[i].slice(from, from + CHUNK);
			done += ids.length;
			yield { ids, skills, timeZone, done, total };
		}
	}
}

/**
 * Works out all traces anew where those that are stored follow another rule than core's now. Cut short, it begins again
 * the next time; done twice, or while other processes store answers, it comes to the same.
 *
 * @param say is told how far it has come
 */
export async function bringTracesUpToDate(database: RootDatabase, say: (line: string) => void): Promise<void> {
	if ((await storedTraceRule(database)) === TRACE_RULE) return;
	for await (const { ids, skills, timeZone, done, total } of studentsInBatches(database)) {
		await database.transaction(async (transaction) => {
			await rebuildTraces(transaction, ids, skills, timeZone);
			await refreshSummaries(transaction, ids);
		});
		say(`Standings worked out anew by the newest rule: ${done} of ${total} students`);
	}
	await keepTraceRule(database, TRACE_RULE);
}
