import type { SeriesReading } from '../../../core/growth';
import type { Database } from '../../database';

/** What is kept of plans, where it still holds: of the student's answers as they are, by the rule and levels that are in use. */
export async function keptReadings(
	database: Database,
	planIds: number[],
	madeBy: Buffer
): Promise<Map<number, SeriesReading>> {
	if (planIds.length === 0) return new Map();
	const rows = await database.rows<{ planId: number; reading: string }>(
		`SELECT kept.plan_id AS planId, kept.reading
		FROM series_reading AS kept FORCE INDEX (PRIMARY)
		STRAIGHT_JOIN probe_plan AS plan ON plan.id = kept.plan_id
		LEFT JOIN student_field AS field ON field.student_id = plan.student_id
		WHERE kept.plan_id IN (?) AND kept.made_by = ? AND kept.made_of = COALESCE(field.revision, 0)`,
		[planIds, madeBy]
	);
	return new Map(rows.map(({ planId, reading }) => [planId, JSON.parse(reading) as SeriesReading]));
}

/** The revisions of plans' students, by plan: read before their answers are. */
export async function revisionsOf(database: Database, planIds: number[]): Promise<Map<number, number>> {
	if (planIds.length === 0) return new Map();
	const rows = await database.rows<{ planId: number; revision: number }>(
		`SELECT plan.id AS planId, COALESCE(field.revision, 0) AS revision
		FROM probe_plan AS plan FORCE INDEX (PRIMARY)
		LEFT JOIN student_field AS field ON field.student_id = plan.student_id
		WHERE plan.id IN (?)`,
		[planIds]
	);
	return new Map(rows.map(({ planId, revision }) => [planId, Number(revision)]));
}

/** Keeps what plans say; what another process kept of a later revision stays. */
export async function keepReadings(
	database: Database,
	made: { planId: number; revision: number; reading: SeriesReading }[],
	madeBy: Buffer
): Promise<void> {
	await database.insertMany(
		`INSERT INTO series_reading (plan_id, made_of, made_by, reading) VALUES ?
		ON DUPLICATE KEY UPDATE
			reading = IF(VALUES(made_of) >= made_of OR made_by <> VALUES(made_by), VALUES(reading), reading),
			made_by = IF(VALUES(made_of) >= made_of OR made_by <> VALUES(made_by), VALUES(made_by), made_by),
			made_of = GREATEST(VALUES(made_of), made_of)`,
		made.map(({ planId, revision, reading }) => [planId, revision, madeBy, keptText(reading)])
	);
}

/** A reading as it is kept: figures to six places, more than any page shows, in a third of the room. */
export const keptText = (reading: SeriesReading): string =>
	JSON.stringify(reading, (_, value: unknown) => (typeof value === 'number' ? Number(value.toFixed(6)) : value));

/** Forgets what the plans of students said, where what happened to the students themselves has changed. Belongs into the transaction. */
export async function forgetReadingsOf(transaction: Database, studentIds: number[]): Promise<void> {
	if (studentIds.length === 0) return;
	await transaction.run(
		`DELETE series_reading FROM series_reading JOIN probe_plan AS plan ON plan.id = series_reading.plan_id
		WHERE plan.student_id IN (?)`,
		[studentIds]
	);
}

/** Plans of a school's students of which something is kept, by their ids. */
export async function plansWithReadings(database: Database, schoolId: number): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		`SELECT plan.id FROM student
		JOIN probe_plan AS plan ON plan.student_id = student.id
		JOIN series_reading AS kept ON kept.plan_id = plan.id
		WHERE student.school_id = ? ORDER BY plan.id`,
		[schoolId]
	);
	return rows.map(({ id }) => id);
}

/** Forgets what plans said, where what is asked of them has changed. Belongs into the transaction of what changes it. */
export async function forgetReadings(transaction: Database, planIds: number[]): Promise<void> {
	if (planIds.length) await transaction.run('DELETE FROM series_reading WHERE plan_id IN (?)', [planIds]);
}
