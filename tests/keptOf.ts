import type { PackedSkill } from '../src/lib/core/mastery';
import type { Database } from '../src/lib/server/database';
import { studentFields } from '../src/lib/server/standing/store/studentFields';

/** What is kept of students, a row a student and skill, in order. */
export async function keptOf(database: Database, ids: number[]): Promise<(PackedSkill & { studentId: number })[]> {
	const fields = await studentFields(database, ids);
	return [...ids]
		.sort((a, b) => a - b)
		.flatMap((studentId) => fields.get(studentId)!.map((skill) => ({ studentId, ...skill })));
}
