import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database } from '../../database';
import type { EndedWork } from '../../groups';
import type { Promoted } from '../../people';
import type { Staff } from '../../request';

/** What beginning a year did, so that it can be taken back. */
export interface YearDone {
	/** The first day of the year that was begun. */
	startsOn: SchoolDate;
	/** Whether the year was planned by it; its first day. */
	planned: SchoolDate | null;
	promoted: Promoted;
	/** Changes by which groups ended. */
	changes: number[];
	ended: EndedWork;
	checks: number[];
	/** Times at which the new classes release nobody. */
	blocks: number[];
}

/** A year that was begun and not taken back. */
export interface YearBegun {
	id: number;
	begunOn: SchoolDate;
	/** The first day of the year. */
	startsOn: SchoolDate;
	begunAt: Date;
	by: string;
}

/** The newest year that was begun by the guided step and stands; null for none. */
export async function newestYearBegun(database: Database, schoolId: number): Promise<YearBegun | null> {
	return database.row<YearBegun>(
		`SELECT begun.id, begun.begun_on AS begunOn, JSON_VALUE(begun.done, '$.startsOn') AS startsOn, begun.begun_at AS begunAt, account.display_name AS \`by\`
		FROM year_begun AS begun JOIN account ON account.id = begun.begun_by
		WHERE begun.school_id = ? AND begun.undone_at IS NULL
		ORDER BY begun.begun_at DESC, begun.id DESC LIMIT 1`,
		[schoolId]
	);
}

/** What the newest year did, held until the transaction ends; null where that is another, or was taken back. */
export async function lockYearBegun(
	transaction: Database,
	{ schoolId }: Staff,
	id: number
): Promise<{ begunOn: SchoolDate; begunAt: Date; done: YearDone } | null> {
	await transaction.row('SELECT id FROM school WHERE id = ? FOR UPDATE', [schoolId]);
	const newest = await newestYearBegun(transaction, schoolId);
	if (newest?.id !== id) return null;
	const row = await transaction.row<{ done: string }>('SELECT done FROM year_begun WHERE id = ? FOR UPDATE', [id]);
	return { ...newest, done: JSON.parse(row!.done) };
}

export async function addYearBegun(
	transaction: Database,
	staff: Staff,
	{ on, done }: { on: SchoolDate; done: YearDone },
	at: Date
): Promise<number> {
	const { insertId } = await transaction.run(
		'INSERT INTO year_begun (school_id, begun_on, begun_by, begun_at, done) VALUES (?, ?, ?, ?, ?)',
		[staff.schoolId, on, staff.id, at, JSON.stringify(done)]
	);
	await audit(transaction, staff, at, 'begin year', {
		year: insertId,
		ended: done.promoted.ended,
		added: done.promoted.added,
		students: done.promoted.ways.map(({ studentId }) => studentId)
	});
	return insertId;
}

/** Says that a year was taken back. What it had done is of no more use. */
export async function markYearUndone(transaction: Database, staff: Staff, id: number, at: Date): Promise<void> {
	await transaction.run(`UPDATE year_begun SET undone_at = ?, done = '' WHERE id = ? AND school_id = ?`, [
		at,
		id,
		staff.schoolId
	]);
	await audit(transaction, staff, at, 'take back year', { year: id });
}
