import type { SchoolDate } from '../../../core/calendar';
import { CHECK_ITEMS, checkSeed } from '../../../core/items';
import { itemsForSkill } from '../../../core/items/bank';
import { audit, type Database, type RootDatabase } from '../../database';
import { type Staff, undoesAll, type VisibleId } from '../../request';
import { beginFixed, withSkillIds } from '../../sitting';
import type { Skill } from '../../library';

/** Skills in one check, at most: twenty questions. */
export const MOST_CHECKED = 4;

/** A check that a student has not finished. */
interface OpenCheck {
	id: number;
	studentId: number;
	batch: number;
	skillIds: number[];
	dueOn: SchoolDate;
	answered: number;
}

/** Checks that wait, the earliest due first. */
export async function openChecks(database: Database, studentIds: VisibleId[]): Promise<OpenCheck[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Omit<OpenCheck, 'skillIds'> & { skillIds: string }>(
		`SELECT skill_check.id, skill_check.student_id AS studentId, skill_check.batch, skill_check.due_on AS dueOn,
			COALESCE(MAX(sitting.answered), 0) AS answered, GROUP_CONCAT(part.skill_id ORDER BY part.skill_id) AS skillIds
		FROM skill_check
		JOIN skill_check_skill AS part ON part.check_id = skill_check.id
		LEFT JOIN sitting ON sitting.check_id = skill_check.id
		WHERE skill_check.student_id IN (?) AND skill_check.withdrawn_at IS NULL AND sitting.finished_at IS NULL
		GROUP BY skill_check.id
		ORDER BY skill_check.due_on, skill_check.id`,
		[studentIds]
	);
	return rows.map((row) => ({ ...row, skillIds: row.skillIds.split(',').map(Number), answered: Number(row.answered) }));
}

/**
 * Assigns checks, all in one step. A skill that a student has an open check on already is not asked for twice.
 *
 * @returns the batch by which they can be taken back, with how many students and skills it has; null for nobody
 */
export async function assignChecks(
	database: RootDatabase,
	staff: Staff,
	wanted: { studentId: number; skillIds: number[] }[],
	dueOn: SchoolDate,
	at: Date
): Promise<{ batch: number; students: number; skills: number } | null> {
	return database.transaction(async (transaction) => {
		// The same request twice at once waits here.
		const own = await transaction.rows<{ id: VisibleId }>(
			'SELECT id FROM student WHERE id IN (?) AND school_id = ? ORDER BY id FOR UPDATE',
			[wanted.map(({ studentId }) => studentId), staff.schoolId]
		);
		const ids = new Set<number>(own.map(({ id }) => id));
		const open = await openChecks(
			transaction,
			own.map(({ id }) => id)
		);
		const asked = wanted
			.filter(({ studentId }) => ids.has(studentId))
			.map(({ studentId, skillIds }) => ({
				studentId,
				skillIds: skillIds
					.filter((skillId) => !open.some((one) => one.studentId === studentId && one.skillIds.includes(skillId)))
					.slice(0, MOST_CHECKED)
			}))
			.filter(({ skillIds }) => skillIds.length);
		if (asked.length === 0) return null;
		let batch = 0;
		for (const { studentId, skillIds } of asked) {
			const { insertId } = await transaction.run(
				'INSERT INTO skill_check (student_id, due_on, created_by, created_at) VALUES (?, ?, ?, ?)',
				[studentId, dueOn, staff.id, at]
			);
			batch ||= insertId;
			await transaction.run('UPDATE skill_check SET batch = ? WHERE id = ?', [batch, insertId]);
			await transaction.insertMany(
				'INSERT INTO skill_check_skill (check_id, skill_id) VALUES ?',
				skillIds.map((skillId) => [insertId, skillId])
			);
		}
		const skills = new Set(asked.flatMap(({ skillIds }) => skillIds)).size;
		await audit(transaction, staff, at, 'assign skill checks', { batch, students: asked.length, skills });
		return { batch, students: asked.length, skills };
	});
}

/**
 * Takes a batch back: checks that are not finished vanish from students' pages. Only specialists and coordinators take back those of others.
 *
 * @returns how many, and how many were begun
 */
export async function withdrawChecks(
	database: RootDatabase,
	staff: Staff,
	batch: number,
	at: Date
): Promise<{ withdrawn: number; begun: number }> {
	return database.transaction(async (transaction) => {
		const ownOnly = undoesAll(staff.role) ? '' : 'AND skill_check.created_by = ?';
		const own = await transaction.rows<{ id: number; begun: number }>(
			`SELECT skill_check.id, sitting.id IS NOT NULL AS begun
			FROM skill_check
			JOIN student ON student.id = skill_check.student_id
			LEFT JOIN sitting ON sitting.check_id = skill_check.id
			WHERE skill_check.batch = ? AND student.school_id = ? AND skill_check.withdrawn_at IS NULL
				AND sitting.finished_at IS NULL ${ownOnly}
			FOR UPDATE`,
			[batch, staff.schoolId, ...(ownOnly ? [staff.id] : [])]
		);
		if (own.length === 0) return { withdrawn: 0, begun: 0 };
		await transaction.run('UPDATE skill_check SET withdrawn_at = ? WHERE id IN (?)', [at, own.map(({ id }) => id)]);
		await audit(transaction, staff, at, 'withdraw skill checks', { batch, checks: own.length });
		return { withdrawn: own.length, begun: own.filter(({ begun }) => Number(begun)).length };
	});
}

/** Takes off the checks of a school that nobody has begun. @returns their ids */
export async function takeOffChecks(transaction: Database, staff: Staff, at: Date): Promise<number[]> {
	const free = await transaction.rows<{ id: number }>(
		`SELECT skill_check.id FROM skill_check
		JOIN student ON student.id = skill_check.student_id
		LEFT JOIN sitting ON sitting.check_id = skill_check.id
		WHERE student.school_id = ? AND skill_check.withdrawn_at IS NULL AND sitting.id IS NULL
		FOR UPDATE`,
		[staff.schoolId]
	);
	const ids = free.map(({ id }) => id);
	if (ids.length) await transaction.run('UPDATE skill_check SET withdrawn_at = ? WHERE id IN (?)', [at, ids]);
	return ids;
}

/** Gives back checks that were taken off. */
export async function giveChecksBack(transaction: Database, staff: Staff, ids: number[]): Promise<void> {
	if (ids.length === 0) return;
	await transaction.run(
		`UPDATE skill_check JOIN student ON student.id = skill_check.student_id SET skill_check.withdrawn_at = NULL
		WHERE skill_check.id IN (?) AND student.school_id = ?`,
		[ids, staff.schoolId]
	);
}

/** Begins a check, or goes on with it. @returns the sitting */
export async function beginCheck(
	database: RootDatabase,
	check: Pick<OpenCheck, 'id' | 'studentId' | 'skillIds'>,
	skills: Skill[],
	at: Date
): Promise<number> {
	const items = skills
		.filter(({ id }) => check.skillIds.includes(id))
		.flatMap(({ code }) => itemsForSkill(code, CHECK_ITEMS, checkSeed(check.id)));
	return beginFixed(
		database,
		{ studentId: check.studentId, kind: 'check', origin: { checkId: check.id }, at },
		withSkillIds(items, skills)
	);
}
