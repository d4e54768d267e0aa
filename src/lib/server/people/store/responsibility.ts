import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff, VisibleId } from '../../request';

/** SQL about `membership.student_id`: the adult responsible for a student on a day, taken twice. */
const RESPONSIBLE = `SELECT 1 FROM responsibility
	WHERE responsibility.student_id = membership.student_id AND responsibility.from_on <= ?
		AND (responsibility.until_on IS NULL OR responsibility.until_on > ?)`;

/** Restricts a roster to whom a person is responsible for on a day, or nobody is; begins with AND. */
export function ownOrNobodys({ id }: Staff, today: SchoolDate): { sql: string; values: unknown[] } {
	return {
		sql: `AND (EXISTS (${RESPONSIBLE} AND responsibility.account_id = ?) OR NOT EXISTS (${RESPONSIBLE}))`,
		values: [today, today, id, today, today]
	};
}

/** Who is responsible for students on a day; those for whom nobody is are absent. */
export async function responsibleFor(
	database: Database,
	studentIds: VisibleId[],
	today: SchoolDate
): Promise<Map<number, { id: number; name: string }>> {
	if (studentIds.length === 0) return new Map();
	const rows = await database.rows<{ studentId: number; id: number; name: string }>(
		`SELECT responsibility.student_id AS studentId, account.id, account.display_name AS name
		FROM responsibility JOIN account ON account.id = responsibility.account_id
		WHERE responsibility.student_id IN (?) AND responsibility.from_on <= ?
			AND (responsibility.until_on IS NULL OR responsibility.until_on > ?)`,
		[studentIds, today, today]
	);
	return new Map(rows.map(({ studentId, id, name }) => [studentId, { id, name }]));
}

/** Students for whom a person is responsible on a day, in a class or not. */
export async function heldStudents(
	database: Database,
	staff: Staff,
	accountId: number,
	today: SchoolDate
): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		`SELECT student.id FROM responsibility JOIN student ON student.id = responsibility.student_id
		WHERE responsibility.account_id = ? AND student.school_id = ? AND responsibility.from_on <= ?
			AND (responsibility.until_on IS NULL OR responsibility.until_on > ?)
		ORDER BY student.id`,
		[accountId, staff.schoolId, today, today]
	);
	return rows.map(({ id }) => id);
}

/**
 * Makes a person responsible for students from a day on, or nobody.
 *
 * @returns who was before, by student; null for nobody
 */
export async function setResponsible(
	database: RootDatabase,
	staff: Staff,
	studentIds: VisibleId[],
	accountId: number | null,
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<Map<number, number | null>> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds, staff: [accountId] });
		const now = await transaction.rows<{
			id: number;
			studentId: number;
			accountId: number;
			fromOn: SchoolDate;
		}>(
			`SELECT id, student_id AS studentId, account_id AS accountId, from_on AS fromOn FROM responsibility
			WHERE student_id IN (?) AND (until_on IS NULL OR until_on > ?) FOR UPDATE`,
			[studentIds, from]
		);
		const before = new Map<number, number | null>(studentIds.map((id) => [id, null]));
		for (const one of now) before.set(one.studentId, one.accountId);
		const changed = studentIds.filter((id) => before.get(id) !== accountId);
		for (const { id, studentId, fromOn } of now) {
			if (!changed.includes(studentId as VisibleId)) continue;
			// Who would end on the very day of beginning was never responsible.
			if (fromOn >= from) await transaction.run('DELETE FROM responsibility WHERE id = ?', [id]);
			else await transaction.run('UPDATE responsibility SET until_on = ? WHERE id = ?', [from, id]);
		}
		if (accountId !== null)
			await transaction.insertMany(
				'INSERT INTO responsibility (student_id, account_id, from_on) VALUES ?',
				changed.map((id) => [id, accountId, from])
			);
		if (changed.length)
			await audit(transaction, staff, at, 'set who is responsible', { students: changed, account: accountId, from });
		return before;
	});
}
