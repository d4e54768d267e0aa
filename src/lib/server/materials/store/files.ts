import type { SchoolMoment } from '../../../core/calendar';
import type { Database } from '../../database';
import type { Staff, VisibleId } from '../../request';

/** Bytes of one part. */
export const PART_BYTES = 512_000;

/** A file as it is kept. */
export interface KeptFile {
	id: number;
	name: string;
	type: string;
	bytes: number;
}

/** Keeps a file, part by part. Belongs into a transaction. @returns its id */
export async function keepFile(
	transaction: Database,
	staff: Staff,
	{ name, type, content }: { name: string; type: string; content: Buffer },
	at: Date
): Promise<number> {
	const { insertId } = await transaction.run(
		'INSERT INTO material_file (school_id, name, type, bytes, added_by, added_at) VALUES (?, ?, ?, ?, ?, ?)',
		[staff.schoolId, name, type, content.length, staff.id, at]
	);
	for (let number = 0; number * PART_BYTES < content.length; number++)
		await transaction.run('INSERT INTO material_file_part (file_id, number, content) VALUES (?, ?, ?)', [
			insertId,
			number,
			content.subarray(number * PART_BYTES, (number + 1) * PART_BYTES)
		]);
	return insertId;
}

const FILE = `material_file.id, material_file.name, material_file.type, material_file.bytes
	FROM material JOIN material_file ON material_file.id = material.file_id`;

/** The file of a material of the school; null for none. */
export const fileForStaff = (database: Database, staff: Staff, materialId: number): Promise<KeptFile | null> =>
	database.row<KeptFile>(`SELECT ${FILE} WHERE material.id = ? AND material.school_id = ?`, [
		materialId,
		staff.schoolId
	]);

/** The file of a material that a student was given, or that a set of theirs which has opened begins with; null for none. */
export const fileForStudent = (
	database: Database,
	studentId: VisibleId,
	materialId: number,
	{ day, minute }: SchoolMoment
): Promise<KeptFile | null> =>
	database.row<KeptFile>(
		`SELECT ${FILE}
		WHERE material.id = ? AND (
			EXISTS (SELECT 1 FROM given_material AS given
				WHERE given.material_id = material.id AND given.student_id = ? AND given.withdrawn_at IS NULL)
			OR EXISTS (SELECT 1 FROM practice_set
				JOIN practice_set_student AS member ON member.set_id = practice_set.id AND member.student_id = ?
				WHERE practice_set.lesson_id = material.id AND practice_set.withdrawn_at IS NULL
					AND (practice_set.opens_on < ?
						OR practice_set.opens_on = ? AND COALESCE(practice_set.opens_minute, 0) <= ?)))`,
		[materialId, studentId, studentId, day, day, minute]
	);

/** The files of all materials of a school, with what they belong to. */
export const schoolFiles = (database: Database, schoolId: number): Promise<(KeptFile & { materialId: number })[]> =>
	database.rows(`SELECT material.id AS materialId, ${FILE} WHERE material.school_id = ? ORDER BY material.id`, [
		schoolId
	]);

/** One part of a file, from 0. */
export async function filePart(database: Database, fileId: number, number: number): Promise<Buffer> {
	const row = await database.row<{ content: Buffer }>(
		'SELECT content FROM material_file_part WHERE file_id = ? AND number = ?',
		[fileId, number]
	);
	if (!row) throw new RangeError(`file ${fileId} has no part ${number}`);
	return row.content;
}
