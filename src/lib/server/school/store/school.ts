import { schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';

export interface School {
	id: number;
	name: string;
	timeZone: string;
	today: SchoolDate;
}

export async function findSchool(database: Database, id: number, at: Date): Promise<School> {
	const row = await database.row<{ id: number; name: string; timeZone: string }>(
		'SELECT id, name, time_zone AS timeZone FROM school WHERE id = ?',
		[id]
	);
	if (!row) throw new Error(`school ${id} does not exist`);
	return { ...row, today: schoolDateOf(at, row.timeZone) };
}
