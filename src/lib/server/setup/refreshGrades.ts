import type { RootDatabase } from '../database';
import { refreshPlaces, windowsWith } from '../screen';
import { markStale } from '../standing';

/** What follows from students' grades: the line in each window, and what is expected of the students from the start. */
export async function refreshGrades(all: RootDatabase, studentIds: number[]): Promise<void> {
	for (const windowId of await windowsWith(all, studentIds)) await refreshPlaces(all, windowId, studentIds);
	await markStale(all, studentIds, { reachesBack: true });
}
