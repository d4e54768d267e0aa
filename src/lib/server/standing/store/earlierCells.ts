import { addDays, type SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import { schoolField } from '../schoolField';
import { fieldsOn, studentCells } from './studentFields';

/** Days that worked-out cells of an earlier day are kept. */
const KEPT_DAYS = 21;
/** Students of whom cells are worked out at once. */
const CHUNK = 40;

/** Cells of a day, as far as they are there. */
interface EarlierCells {
	cells: Map<number, Uint8Array>;
	/** Students of whom they have still to be worked out. */
	missing: number[];
}

/**
 * Packed cells of students as they were at the end of an earlier day.
 *
 * @param most milliseconds from which on no more are worked out that are not kept yet
 */
export async function earlierCells(
	database: Database,
	{ id: schoolId, today }: { id: number; today: SchoolDate },
	studentIds: number[],
	day: SchoolDate,
	most: number
): Promise<EarlierCells> {
	const began = performance.now();
	const school = await schoolField(database, schoolId);
	const { madeBy } = school;
	const cells = await keptCells(database, madeBy, studentIds, day);
	const missing = studentIds.filter((id) => !cells.has(id));
	while (missing.length && performance.now() - began < most) {
		const some = missing.splice(0, CHUNK);
		// Whose field is not there yet has no revision to go by.
		await studentCells(database, school, some);
		const made = await fieldsOn(database, some, day);
		for (const [id, field] of made) cells.set(id, field.cells);
		const kept = { day, madeBy, until: addDays(today, KEPT_DAYS), isSettled: isSettled(day, today) };
		await keep(database, kept, made);
	}
	return { cells, missing };
}

/**
 * What is of the last two days may still change by answers on their way, which do not say so, and holds until anything has
 * changed for the student; whatever reaches further back does say so (`markStale`).
 */
const isSettled = (day: SchoolDate, today: SchoolDate) => day <= addDays(today, -2);

async function keptCells(
	database: Database,
	madeBy: Buffer,
	studentIds: number[],
	day: SchoolDate
): Promise<Map<number, Uint8Array>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<{ id: number; cells: Buffer }>(
		`SELECT earlier.student_id AS id, earlier.cells
		FROM student_field_then AS earlier
		JOIN student_field AS field ON field.student_id = earlier.student_id
		WHERE earlier.student_id IN (?) AND earlier.on_date = ? AND earlier.made_by = ?
			AND (earlier.of_revision IS NULL OR earlier.of_revision = field.revision)`,
		[studentIds, day, madeBy]
	);
	return new Map(rows.map(({ id, cells }) => [id, cells]));
}

/** Keeps cells of students of whom nothing has changed since they were begun. */
async function keep(
	database: Database,
	{ day, madeBy, until, isSettled }: { day: SchoolDate; madeBy: Buffer; until: SchoolDate; isSettled: boolean },
	made: Map<number, { revision: number; cells: Buffer }>
): Promise<void> {
	for (const [id, { revision, cells }] of made)
		await database.run(
			`INSERT INTO student_field_then (student_id, on_date, made_by, cells, until_on, of_revision)
			SELECT student_id, ?, ?, ?, ?, ? FROM student_field WHERE student_id = ? AND revision = ?
			ON DUPLICATE KEY UPDATE made_by = VALUES(made_by), cells = VALUES(cells), until_on = VALUES(until_on),
				of_revision = VALUES(of_revision)`,
			[day, madeBy, cells, until, isSettled ? null : revision, id, revision]
		);
}

/** Forgets cells of earlier days that are not kept any longer. */
export async function forgetEarlierCells(database: Database, today: SchoolDate): Promise<void> {
	await database.run('DELETE FROM student_field_then WHERE until_on < ?', [today]);
}
