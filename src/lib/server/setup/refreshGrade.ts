import type { RootDatabase } from '../database';
import { refreshPlaces, windowsWith } from '../screen';
import { markStale } from '../standing';

/** What follows from a student's grade: the line in each window, and what is expected of the student from the start. */
export async function refreshGrade(all: RootDatabase, studentId: number): Promise<void> {
	for (const windowId of await windowsWith(all, [studentId])) await refreshPlaces(all, windowId, [studentId]);
	await markStale(all, [studentId], { reachesBack: true });
}
