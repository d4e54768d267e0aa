import type { MaterialKind } from '../../../core/practice';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { keepFile } from './files';

/** What is made to be given. */
export interface NewMaterial {
	kind: MaterialKind;
	title: string;
	note: string;
	link: string | null;
	file: { name: string; type: string; content: Buffer } | null;
}

/** What nobody was given in so many days is taken out when something new is made. */
const UNUSED_DAYS = 2;

/** Keeps a material. @returns its id */
export async function insertMaterial(
	database: RootDatabase,
	staff: Staff,
	{ kind, title, note, link, file }: NewMaterial,
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await clearUnused(transaction, staff, new Date(at.getTime() - UNUSED_DAYS * 86_400_000));
		const fileId = file && (await keepFile(transaction, staff, file, at));
		const { insertId } = await transaction.run(
			`INSERT INTO material (school_id, kind, title, note, link, file_id, made_by, made_at)
			VALUES (?, ?, ?, ?, ?, ?, ?, ?)`,
			[staff.schoolId, kind, title, note, link, fileId, staff.id, at]
		);
		await audit(transaction, staff, at, 'make material', { material: insertId, kind });
		return insertId;
	});
}

/** Takes out what somebody made before a moment and then gave to nobody. */
async function clearUnused(transaction: Database, staff: Staff, before: Date): Promise<void> {
	const unused = await transaction.rows<{ id: number; fileId: number | null }>(
		`SELECT material.id, material.file_id AS fileId FROM material
		WHERE material.made_by = ? AND material.made_at < ?
			AND NOT EXISTS (SELECT 1 FROM given_material AS given WHERE given.material_id = material.id)
			AND NOT EXISTS (SELECT 1 FROM practice_set WHERE practice_set.lesson_id = material.id)
		LIMIT 50 FOR UPDATE`,
		[staff.id, before]
	);
	if (unused.length === 0) return;
	const files = unused.flatMap(({ fileId }) => fileId ?? []);
	await transaction.run('DELETE FROM material WHERE id IN (?)', [unused.map(({ id }) => id)]);
	if (files.length === 0) return;
	await transaction.run('DELETE FROM material_file_part WHERE file_id IN (?)', [files]);
	await transaction.run('DELETE FROM material_file WHERE id IN (?)', [files]);
}

/** A link or note that the school keeps with a skill, as a material of its own. @returns null for no such one */
export async function copySkillMaterial(
	database: RootDatabase,
	staff: Staff,
	id: number,
	at: Date
): Promise<number | null> {
	const row = await database.row<{ title: string; link: string | null; note: string }>(
		'SELECT title, link, note FROM skill_material WHERE id = ? AND school_id = ? AND removed_at IS NULL',
		[id, staff.schoolId]
	);
	if (!row) return null;
	return insertMaterial(database, staff, { ...row, kind: row.link === null ? 'note' : 'link', file: null }, at);
}
