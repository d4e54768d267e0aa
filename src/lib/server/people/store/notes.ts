import type { SchoolDate } from '../../../core/calendar';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff, VisibleId } from '../../request';

/** What somebody noted of a student. */
interface StudentNote {
	id: number;
	studentId: number;
	groupId: number | null;
	on: SchoolDate;
	text: string;
	by: string;
}

const NOTE = `SELECT note.id, note.student_id AS studentId, note.group_id AS groupId, note.on_date AS \`on\`, note.text,
	account.display_name AS \`by\`
	FROM student_note AS note JOIN account ON account.id = note.written_by
	WHERE note.removed_at IS NULL`;

/** Notes on students, newest first. */
export async function notesOn(database: Database, studentIds: VisibleId[]): Promise<StudentNote[]> {
	if (studentIds.length === 0) return [];
	return database.rows<StudentNote>(
		`${NOTE} AND note.student_id IN (?) ORDER BY note.on_date DESC, note.id DESC LIMIT 500`,
		[studentIds]
	);
}

export async function writeNote(
	database: RootDatabase,
	staff: Staff,
	{ studentId, groupId, on, text }: Omit<StudentNote, 'id' | 'by'>,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: [studentId], group: [groupId] });
		const { insertId } = await transaction.run(
			`INSERT INTO student_note (student_id, group_id, on_date, text, written_by, written_at) VALUES (?, ?, ?, ?, ?, ?)`,
			[studentId, groupId, on, text, staff.id, at]
		);
		await audit(transaction, staff, at, 'write a note', { note: insertId, student: studentId });
		return insertId;
	});
}

/** Takes an own note back, or puts it there again. It stays in the database. @returns whether there was one to change */
export async function removeNote(
	database: RootDatabase,
	staff: Staff,
	id: number,
	removed: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const { affected } = await transaction.run(
			`UPDATE student_note SET removed_at = ? WHERE id = ? AND written_by = ? AND removed_at IS ${removed ? '' : 'NOT'} NULL`,
			[removed ? at : null, id, staff.id]
		);
		if (affected) await audit(transaction, staff, at, removed ? 'remove a note' : 'put a note back', { note: id });
		return affected > 0;
	});
}
