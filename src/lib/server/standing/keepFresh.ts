import type { Database } from '../database';
import { schoolTimeZones } from '../people';
import { schoolField } from './schoolField';
import { staleStudents, studentFields } from './store/studentFields';

/** Students whose fields are made anew before it is looked again whose are stale. */
const AT_ONCE = 40;

/** Makes anew what is kept of all students of whom it is stale. @param say is told how many have been made */
export async function bringFieldsUpToDate(database: Database, say: (done: number) => void): Promise<void> {
	let done = 0;
	for (const { schoolId } of await schoolTimeZones(database)) {
		const { madeBy } = await schoolField(database, schoolId);
		for (;;) {
			const ids = await staleStudents(database, schoolId, madeBy, AT_ONCE);
			if (ids.length === 0) break;
			await studentFields(database, ids);
			say((done += ids.length));
		}
	}
}

const EVERY_MS = 3_000;

/**
 * Makes fields anew soon after they have become stale, so that pages seldom wait for it. Several processes may do so at
 * once: each says what it was made of.
 */
export function keepFieldsFresh(database: Database, failed: (error: unknown) => void): void {
	let isAt = false;
	setInterval(() => {
		if (isAt) return;
		isAt = true;
		bringFieldsUpToDate(database, () => {})
			.catch(failed)
			.finally(() => (isAt = false));
	}, EVERY_MS).unref();
}
