import type { Database } from '../../database';
import type { VisibleId } from '../../request';

/** What the roster says of students beyond name, grade and class; students of whom it says nothing are absent. */
export async function rosterAttributes(
	database: Database,
	ids: VisibleId[]
): Promise<Map<number, Record<string, string>>> {
	const attributes = new Map<number, Record<string, string>>();
	if (ids.length === 0) return attributes;
	const rows = await database.rows<{ studentId: number; name: string; value: string }>(
		'SELECT student_id AS studentId, name, value FROM student_attribute WHERE student_id IN (?) ORDER BY name',
		[ids]
	);
	for (const { studentId, name, value } of rows) {
		attributes.set(studentId, { ...attributes.get(studentId), [name]: value });
	}
	return attributes;
}
