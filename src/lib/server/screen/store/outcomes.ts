import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** Outcomes that a school has brought in, newest first. */
export async function outcomeNames(
	database: Database,
	schoolId: number
): Promise<{ name: string; takenOn: SchoolDate; students: number }[]> {
	const rows = await database.rows<{ name: string; takenOn: SchoolDate; students: number }>(
		`SELECT name, MAX(taken_on) AS takenOn, COUNT(*) AS students FROM outcome
		WHERE school_id = ? GROUP BY name ORDER BY takenOn DESC, name`,
		[schoolId]
	);
	return rows.map((row) => ({ ...row, students: Number(row.students) }));
}

/** Whether each student met the goal, by student. */
export async function outcomes(database: Database, schoolId: number, name: string): Promise<Map<number, boolean>> {
	const rows = await database.rows<{ studentId: number; met: boolean }>(
		'SELECT student_id AS studentId, met FROM outcome WHERE school_id = ? AND name = ?',
		[schoolId, name]
	);
	return new Map(rows.map(({ studentId, met }) => [studentId, met]));
}

/** Brings outcomes in; those of a student that are there already are replaced. */
export async function saveOutcomes(
	database: RootDatabase,
	staff: Staff,
	name: string,
	found: { studentId: number; met: boolean }[],
	takenOn: SchoolDate,
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: found.map(({ studentId }) => studentId) });
		await transaction.insertMany(
			`INSERT INTO outcome (school_id, name, student_id, met, taken_on) VALUES ?
			ON DUPLICATE KEY UPDATE met = VALUES(met), taken_on = VALUES(taken_on)`,
			found.map(({ studentId, met }) => [staff.schoolId, name, studentId, met, takenOn])
		);
		await audit(transaction, staff, at, 'import outcomes', { name, students: found.length });
	});
}
