import { foldCode } from '../../../core/interchange/framework';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import { type Staff, undoesAll } from '../../request';

/** A standard of a framework that a school brought in, with our skills that it asks for. */
export interface Standard {
	id: number;
	framework: string;
	code: string;
	statement: string;
	grade: number | null;
	skillIds: number[];
}

type StandardRow = Omit<Standard, 'skillIds'> & { skillIds: string | null };
const STANDARD = `SELECT standard.id, standard.framework, standard.code, standard.statement, standard.grade,
	(SELECT GROUP_CONCAT(skill_id ORDER BY skill_id) FROM standard_skill WHERE standard_id = standard.id) AS skillIds
	FROM standard`;
const toStandard = ({ skillIds, ...row }: StandardRow): Standard => ({
	...row,
	skillIds: skillIds ? skillIds.split(',').map(Number) : []
});

/** What a school has to find beside the skills: its standards. */
export async function standardList(database: Database, schoolId: number): Promise<Standard[]> {
	const rows = await database.rows<StandardRow>(`${STANDARD} WHERE school_id = ? ORDER BY framework, code`, [schoolId]);
	return rows.map(toStandard);
}

/** Standards that ask for a skill. */
export async function standardsOfSkill(database: Database, schoolId: number, skillId: number): Promise<Standard[]> {
	const rows = await database.rows<StandardRow>(
		`${STANDARD} WHERE school_id = ? AND id IN (SELECT standard_id FROM standard_skill WHERE skill_id = ?)
		ORDER BY framework, code`,
		[schoolId, skillId]
	);
	return rows.map(toStandard);
}

/** Counts up with every change of what can be found; 0 before the first. */
export async function libraryRevision(database: Database, schoolId: number): Promise<number> {
	const row = await database.row<{ revision: number }>('SELECT revision FROM library_revision WHERE school_id = ?', [
		schoolId
	]);
	return row?.revision ?? 0;
}

/** Says that what a school can find has changed. */
export async function bumpRevision(transaction: Database, schoolId: number): Promise<void> {
	await transaction.run(
		'INSERT INTO library_revision (school_id, revision) VALUES (?, 1) ON DUPLICATE KEY UPDATE revision = revision + 1',
		[schoolId]
	);
}

/** A standard as it is brought in, with codes of our skills that it asks for. */
interface IncomingStandard {
	code: string;
	statement: string;
	grade: number | null;
	skillIds: number[];
}

/** Brings a framework's standards in; a code that is there already takes the new text and crosswalk. */
export async function importStandards(
	database: RootDatabase,
	staff: Staff,
	framework: string,
	standards: IncomingStandard[],
	at: Date
): Promise<void> {
	if (standards.length === 0) return;
	await database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { skill: standards.flatMap(({ skillIds }) => skillIds) });
		await transaction.insertMany(
			`INSERT INTO standard (school_id, framework, code, statement, grade) VALUES ?
			ON DUPLICATE KEY UPDATE statement = VALUES(statement), grade = VALUES(grade)`,
			standards.map(({ code, statement, grade }) => [staff.schoolId, framework, code, statement, grade])
		);
		const stored = await transaction.rows<{ id: number; code: string }>(
			'SELECT id, code FROM standard WHERE school_id = ? AND framework = ?',
			[staff.schoolId, framework]
		);
		const idOf = new Map(stored.map(({ id, code }) => [foldCode(code), id]));
		const ids = standards.map(({ code }) => idOf.get(foldCode(code))!);
		await transaction.run('DELETE FROM standard_skill WHERE standard_id IN (?)', [ids]);
		await transaction.insertMany(
			'INSERT INTO standard_skill (standard_id, skill_id) VALUES ?',
			standards.flatMap(({ code, skillIds }) =>
				[...new Set(skillIds)].map((skillId) => [idOf.get(foldCode(code))!, skillId])
			)
		);
		await bumpRevision(transaction, staff.schoolId);
		await audit(transaction, staff, at, 'import standards', { framework, standards: standards.length });
	});
}

/** A school's own material for a skill. */
export interface Material {
	id: number;
	title: string;
	/** An address in the web, or null for a note alone. */
	link: string | null;
	note: string;
	addedBy: string;
	addedAt: Date;
}

export async function materialsFor(database: Database, schoolId: number, skillId: number): Promise<Material[]> {
	return database.rows<Material>(
		`SELECT material.id, material.title, material.link, material.note, account.display_name AS addedBy,
			material.added_at AS addedAt
		FROM skill_material AS material
		JOIN account ON account.id = material.added_by
		WHERE material.school_id = ? AND material.skill_id = ? AND material.removed_at IS NULL
		ORDER BY material.added_at DESC, material.id DESC`,
		[schoolId, skillId]
	);
}

export async function addMaterial(
	database: RootDatabase,
	staff: Staff,
	skillId: number,
	material: { title: string; link: string | null; note: string },
	at: Date
): Promise<number> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { skill: [skillId] });
		const { insertId } = await transaction.run(
			`INSERT INTO skill_material (school_id, skill_id, title, link, note, added_by, added_at) VALUES (?, ?, ?, ?, ?, ?, ?)`,
			[staff.schoolId, skillId, material.title, material.link, material.note, staff.id, at]
		);
		await audit(transaction, staff, at, 'add material', { material: insertId, skill: skillId });
		return insertId;
	});
}

/**
 * Hides a material, or shows it again: one's own, or for coordinators and specialists anyone's at the school.
 *
 * @returns whether there was one to hide or show
 */
export async function hideMaterial(
	database: RootDatabase,
	staff: Staff,
	id: number,
	hidden: boolean,
	at: Date
): Promise<boolean> {
	return database.transaction(async (transaction) => {
		const anyones = undoesAll(staff.role);
		const { affected } = await transaction.run(
			`UPDATE skill_material SET removed_at = ?
			WHERE id = ? AND school_id = ? AND removed_at IS ${hidden ? '' : 'NOT'} NULL ${anyones ? '' : 'AND added_by = ?'}`,
			[hidden ? at : null, id, staff.schoolId, ...(anyones ? [] : [staff.id])]
		);
		if (affected === 0) return false;
		await audit(transaction, staff, at, hidden ? 'remove material' : 'restore material', { material: id });
		return true;
	});
}

/** A skill that someone put aside for later. */
interface Shelved {
	skillId: number;
	shared: boolean;
	/** Whose shelf it stands on; the name for those of colleagues. */
	own: boolean;
	owner: string;
}

/** One's own shelf and what colleagues at the school share, the newest first. */
export async function shelfOf(database: Database, staff: Staff): Promise<Shelved[]> {
	return database.rows<Shelved>(
		`SELECT shelved.skill_id AS skillId, shelved.shared, shelved.account_id = ? AS own, account.display_name AS owner
		FROM shelved_skill AS shelved
		JOIN account ON account.id = shelved.account_id
		WHERE account.school_id = ? AND (shelved.account_id = ? OR shelved.shared)
		ORDER BY own DESC, shelved.shelved_at DESC, shelved.skill_id`,
		[staff.id, staff.schoolId, staff.id]
	);
}

/** Puts a skill on one's own shelf, shared or not; with null takes it off. */
export async function shelve(
	database: Database,
	staff: Staff,
	skillId: number,
	shared: boolean | null,
	at: Date
): Promise<void> {
	if (shared === null) {
		await database.run('DELETE FROM shelved_skill WHERE account_id = ? AND skill_id = ?', [staff.id, skillId]);
		return;
	}
	await requireOwn(database, staff, { skill: [skillId] });
	await database.run(
		`INSERT INTO shelved_skill (account_id, skill_id, shared, shelved_at) VALUES (?, ?, ?, ?)
		ON DUPLICATE KEY UPDATE shared = VALUES(shared)`,
		[staff.id, skillId, shared, at]
	);
}
