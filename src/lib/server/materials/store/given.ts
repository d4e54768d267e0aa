import { type MaterialKind, shapeOf, type ShownMaterial } from '../../../core/practice';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Roster, rosterSql } from '../../people';
import { type Staff, undoesAll, type VisibleId } from '../../request';

interface MaterialRow {
	id: number;
	kind: MaterialKind;
	title: string;
	note: string;
	link: string | null;
	fileName: string | null;
	fileType: string | null;
}

const MATERIAL = `material.id, material.kind, material.title, material.note, material.link, material_file.name AS fileName,
	material_file.type AS fileType`;

const shown = <Row extends MaterialRow>({
	fileName,
	fileType,
	...row
}: Row): Omit<Row, 'fileName' | 'fileType'> & ShownMaterial => ({
	...row,
	file: fileName !== null && fileType !== null ? { name: fileName, shape: shapeOf(fileType) } : null
});

/** Gives a material to students who do not have it, or have it no more. @returns to whom */
export async function giveMaterial(
	database: RootDatabase,
	staff: Staff,
	materialId: number,
	{ studentIds, groupId }: { studentIds: number[]; groupId: number | null },
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: studentIds, group: [groupId] });
		const material = await transaction.row('SELECT id FROM material WHERE id = ? AND school_id = ? FOR UPDATE', [
			materialId,
			staff.schoolId
		]);
		if (!material) return [];
		const there = await transaction.rows<{ id: number }>(
			'SELECT student_id AS id FROM given_material WHERE material_id = ? AND student_id IN (?) AND withdrawn_at IS NULL',
			[materialId, studentIds]
		);
		const has = new Set(there.map(({ id }) => id));
		const added = studentIds.filter((id) => !has.has(id));
		if (added.length === 0) return [];
		await transaction.insertMany(
			`INSERT INTO given_material (material_id, student_id, group_id, given_by, given_at) VALUES ?
			ON DUPLICATE KEY UPDATE withdrawn_at = NULL`,
			added.map((id) => [materialId, id, groupId, staff.id, at])
		);
		await audit(transaction, staff, at, 'give material', { material: materialId, students: added });
		return added;
	});
}

/** Takes a material back from students. @returns from whom */
export async function takeMaterial(
	database: RootDatabase,
	staff: Staff,
	materialId: number,
	studentIds: number[],
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		const ids = await lockGiven(transaction, staff, materialId, studentIds, 'given.withdrawn_at IS NULL');
		if (ids.length === 0) return [];
		await transaction.run('UPDATE given_material SET withdrawn_at = ? WHERE material_id = ? AND student_id IN (?)', [
			at,
			materialId,
			ids
		]);
		await audit(transaction, staff, at, 'take material back', { material: materialId, students: ids });
		return ids;
	});
}

/** Notes that students have done a task, or have not. @returns of whom that is otherwise than before */
export async function markTask(
	database: RootDatabase,
	staff: Staff,
	materialId: number,
	studentIds: number[],
	isDone: boolean,
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		const ids = await lockGiven(
			transaction,
			staff,
			materialId,
			studentIds,
			`given.withdrawn_at IS NULL AND material.kind = 'task' AND (given.seen_at IS NULL) = ${isDone ? 'TRUE' : 'FALSE'}`
		);
		if (ids.length === 0) return [];
		await transaction.run('UPDATE given_material SET seen_at = ? WHERE material_id = ? AND student_id IN (?)', [
			isDone ? at : null,
			materialId,
			ids
		]);
		await audit(transaction, staff, at, isDone ? 'mark task done' : 'mark task not done', {
			material: materialId,
			students: ids
		});
		return ids;
	});
}

/** Which of some students have a material of the school as is said, locked until the end; tasks are anybody's to mark, other things of who gave them. */
async function lockGiven(
	transaction: Database,
	staff: Staff,
	materialId: number,
	studentIds: number[],
	are: string
): Promise<number[]> {
	await requireOwn(transaction, staff, { student: studentIds });
	const rows = await transaction.rows<{ id: number }>(
		`SELECT given.student_id AS id FROM given_material AS given
		JOIN material ON material.id = given.material_id
		WHERE given.material_id = ? AND given.student_id IN (?) AND material.school_id = ?
			AND (material.kind = 'task' OR given.given_by = ? OR ?) AND ${are}
		ORDER BY given.student_id FOR UPDATE`,
		[materialId, studentIds, staff.schoolId, staff.id, undoesAll(staff.role)]
	);
	return rows.map(({ id }) => id);
}

/** Something that students of a roster were given. */
export interface GivenMaterial extends ShownMaterial {
	givenBy: string;
	/** Whether it is the person's own to take back. */
	isTheirs: boolean;
	givenAt: Date;
	students: number;
	/** Who has looked at it; of a task, for whom it is done. */
	seen: number;
}

/** What students of a roster were given, the newest first; a part of the list, and how long it is. */
export async function givenMaterials(
	database: Database,
	roster: Roster,
	{ from, most }: { from: number; most: number }
): Promise<{ materials: GivenMaterial[]; total: number }> {
	const among = rosterSql(roster);
	const { staff } = roster;
	const rows = await database.rows<
		MaterialRow & Omit<GivenMaterial, keyof ShownMaterial | 'isTheirs'> & { total: number; by: number }
	>(
		`SELECT ${MATERIAL}, account.display_name AS givenBy, MIN(given.given_by) AS \`by\`, MIN(given.given_at) AS givenAt,
			COUNT(*) AS students, COUNT(given.seen_at) AS seen, COUNT(*) OVER () AS total
		FROM ${among.sql} AS roster
		STRAIGHT_JOIN given_material AS given ON given.student_id = roster.id
		JOIN material ON material.id = given.material_id
		LEFT JOIN material_file ON material_file.id = material.file_id
		JOIN account ON account.id = given.given_by
		WHERE given.withdrawn_at IS NULL AND material.school_id = ?
		GROUP BY material.id
		ORDER BY givenAt DESC, material.id DESC LIMIT ${Number(most)} OFFSET ${Number(from)}`,
		[...among.values, staff.schoolId]
	);
	// A part behind the end of the list says how many there are, too.
	if (rows.length === 0 && from > 0)
		return { materials: [], total: (await givenMaterials(database, roster, { from: 0, most: 1 })).total };
	return {
		total: Number(rows[0]?.total ?? 0),
		materials: rows.map(({ total: _, by, students, seen, ...row }) => ({
			...shown(row),
			students: Number(students),
			seen: Number(seen),
			isTheirs: undoesAll(staff.role) || Number(by) === staff.id
		}))
	};
}

/** A material of the school with whom of a roster it was given to; null where it is neither theirs nor the person's own. */
export async function whoHas(
	database: Database,
	roster: Roster,
	materialId: number
): Promise<(ShownMaterial & { students: { id: VisibleId; seenAt: Date | null; givenBy: number }[] }) | null> {
	const [material] = await shownMaterials(database, roster.staff.schoolId, [materialId]);
	if (!material) return null;
	const among = rosterSql(roster);
	const students = await database.rows<{ id: VisibleId; seenAt: Date | null; givenBy: number }>(
		`SELECT given.student_id AS id, given.seen_at AS seenAt, given.given_by AS givenBy
		FROM given_material AS given JOIN ${among.sql} AS roster ON roster.id = given.student_id
		WHERE given.material_id = ? AND given.withdrawn_at IS NULL`,
		[...among.values, materialId]
	);
	if (students.length) return { ...material, students };
	const own = await database.row<{ id: number }>('SELECT id FROM material WHERE id = ? AND (made_by = ? OR ?)', [
		materialId,
		roster.staff.id,
		undoesAll(roster.staff.role)
	]);
	return own && { ...material, students };
}

/** Some materials of a school, in their order. */
export async function shownMaterials(database: Database, schoolId: number, ids: number[]): Promise<ShownMaterial[]> {
	if (ids.length === 0) return [];
	const rows = await database.rows<MaterialRow>(
		`SELECT ${MATERIAL} FROM material LEFT JOIN material_file ON material_file.id = material.file_id
		WHERE material.id IN (?) AND material.school_id = ? ORDER BY material.id`,
		[ids, schoolId]
	);
	return rows.map(shown);
}

/** What a student was given and has not looked at, and what they have since a moment; the newest first. */
export async function givenToStudent(
	database: Database,
	studentId: VisibleId,
	since: Date
): Promise<(ShownMaterial & { by: string; seenAt: Date | null })[]> {
	const rows = await database.rows<MaterialRow & { by: string; seenAt: Date | null }>(
		`SELECT ${MATERIAL}, account.display_name AS \`by\`, given.seen_at AS seenAt
		FROM given_material AS given
		JOIN material ON material.id = given.material_id
		LEFT JOIN material_file ON material_file.id = material.file_id
		JOIN account ON account.id = given.given_by
		WHERE given.student_id = ? AND given.withdrawn_at IS NULL AND (given.seen_at IS NULL OR given.seen_at >= ?)
		ORDER BY given.given_at DESC, material.id DESC`,
		[studentId, since]
	);
	return rows.map(shown);
}

/** Notes that a student has looked at something they were given. @returns whether there was such a thing */
export async function seeMaterial(
	database: Database,
	studentId: VisibleId,
	materialId: number,
	at: Date
): Promise<boolean> {
	const { affected } = await database.run(
		`UPDATE given_material JOIN material ON material.id = given_material.material_id
		SET given_material.seen_at = ?
		WHERE given_material.material_id = ? AND given_material.student_id = ? AND given_material.withdrawn_at IS NULL
			AND given_material.seen_at IS NULL AND material.kind <> 'task'`,
		[at, materialId, studentId]
	);
	return affected > 0;
}
