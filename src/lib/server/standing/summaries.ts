import type { Database } from '../database';
import { refreshPlaces, storedPlaces, windowsWith } from '../screen';
import { refreshStudents, storedStudents } from './store/studentSummaries';

/** Writes anew what pages count by, of students. Belongs into a transaction. */
export async function refreshSummaries(transaction: Database, studentIds: number[]): Promise<void> {
	await refreshStudents(transaction, studentIds);
	for (const windowId of await windowsWith(transaction, studentIds)) {
		await refreshPlaces(transaction, windowId, studentIds);
	}
}

/** Every summary of students as text, to see whether one is different. */
export async function storedSummaries(database: Database, studentIds: number[]): Promise<Map<string, string>> {
	return new Map([...(await storedStudents(database, studentIds)), ...(await storedPlaces(database, studentIds))]);
}
