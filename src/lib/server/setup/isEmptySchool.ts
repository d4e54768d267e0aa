import type { Database } from '../database';
import { allStudentIds } from '../people';

/** Whether a school has no student yet, nor ever had one: whoever can set it up begins there. */
export async function isEmptySchool(database: Database, schoolId: number): Promise<boolean> {
	return (await allStudentIds(database, schoolId)).length === 0;
}
