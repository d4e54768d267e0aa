import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** Gives students new PINs; those they had work no more, and who is signed in by one is signed out. */
export async function setPins(
	database: RootDatabase,
	staff: Staff,
	pins: { studentId: number; pinHash: string }[],
	at: Date
): Promise<void> {
	await database.transaction(async (transaction) => {
		const ids = pins.map(({ studentId }) => studentId);
		await requireOwn(transaction, staff, { student: ids });
		for (const { studentId, pinHash } of pins)
			await transaction.run('UPDATE student SET pin_hash = ? WHERE id = ?', [pinHash, studentId]);
		await transaction.run('DELETE FROM sign_in WHERE student_id IN (?)', [ids]);
		await transaction.run('DELETE FROM sign_in_try WHERE student_id IN (?)', [ids]);
		await audit(transaction, staff, at, 'make PINs', { students: ids });
	});
}

/** How many students of a school are in a class on a day, and how many of them cannot sign in yet. */
export async function countWithoutPin(
	database: Database,
	schoolId: number,
	today: string
): Promise<{ students: number; withoutPin: number }> {
	const row = await database.row<Record<'students' | 'withPin', string | number>>(
		`SELECT COUNT(*) AS students, COUNT(student.pin_hash) AS withPin
		FROM student
		WHERE student.school_id = ? AND EXISTS (
			SELECT 1 FROM class_membership AS membership
			WHERE membership.student_id = student.id AND membership.from_on <= ?
				AND (membership.until_on IS NULL OR membership.until_on > ?))`,
		[schoolId, today, today]
	);
	return { students: Number(row!.students), withoutPin: Number(row!.students) - Number(row!.withPin) };
}
