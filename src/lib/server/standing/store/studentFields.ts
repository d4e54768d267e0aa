import type { SchoolDate } from '../../../core/calendar';
import {
	raisePrior,
	unpackField,
	type FieldPrior,
	type KnownStudent,
	type PackedSkill,
	type SittingAnswer,
	type SkillField
} from '../../../core/mastery';
import type { Database } from '../../database';
import { schoolField, type SchoolField } from '../schoolField';
import { inputsOf, type Kept, makeFields } from '../fieldsFromLog';

/**
 * Says that what is kept of students must be made anew. Belongs into the transaction of what changes it.
 *
 * @param reachesBack whether what changes may be of more than a day ago: then earlier days are worked out anew, too
 */
export async function markStale(
	transaction: Database,
	studentIds: number[],
	{ reachesBack }: { reachesBack: boolean }
): Promise<void> {
	if (studentIds.length === 0) return;
	const ids = [...new Set(studentIds)].sort((a, b) => a - b);
	await transaction.insertMany(
		'INSERT INTO student_field (student_id, revision) VALUES ? ON DUPLICATE KEY UPDATE revision = revision + 1',
		ids.map((id) => [id, 1])
	);
	if (reachesBack) await transaction.run('DELETE FROM student_field_then WHERE student_id IN (?)', [ids]);
}

/** A student with what of the kept was asked for. */
interface StudentRow extends Partial<Kept> {
	id: number;
	grade: number;
	revision: number | null;
	isFresh: boolean;
}

type Part = keyof Kept;
const COLUMNS: Record<Part, string> = { packed: 'field.packed', cells: 'field.cells', gaps: 'field.gaps' };

/** Students of which fields are made at once: their answers are in memory meanwhile. */
const CHUNK = 40;

/** What is kept of students on every skill that their school teaches. */
export async function studentFields(database: Database, studentIds: number[]): Promise<Map<number, PackedSkill[]>> {
	const kept = await keptParts(database, await schoolsOf(database, studentIds), studentIds, 'packed');
	return new Map([...kept].map(([id, packed]) => [id, unpackField(packed)]));
}

/** Packed cells of students of a school, in the order of its skills. */
export const studentCells = (
	database: Database,
	school: SchoolField,
	studentIds: number[]
): Promise<Map<number, Uint8Array>> => keptParts(database, [school], studentIds, 'cells');

/** Of how many skills students' own answers say Gap. */
export const gapCounts = async (database: Database, studentIds: number[]): Promise<Map<number, number>> =>
	keptParts(database, await schoolsOf(database, studentIds), studentIds, 'gaps');

/**
 * A part of what is kept of students; made anew first where it is stale. Whoever else makes it anew at the same time does
 * no harm: it says which answers it was made of.
 */
async function keptParts<P extends Part>(
	database: Database,
	schools: SchoolField[],
	studentIds: number[],
	part: P
): Promise<Map<number, Kept[P]>> {
	const found = new Map<number, Kept[P]>();
	for (const school of schools) {
		const stale: number[] = [];
		for (const { id, fresh } of await freshParts(database, school, studentIds, part)) {
			if (fresh === null) stale.push(id);
			else found.set(id, fresh);
		}
		for (let from = 0; from < stale.length; from += CHUNK) {
			const some = await studentRows(database, school, stale.slice(from, from + CHUNK), []);
			const made = await makeFields(database, school, some);
			await keepFields(database, school, some, made);
			for (const [id, parts] of made) found.set(id, parts[part]);
		}
	}
	return found;
}

/** Whether what is kept is as it should be, given what it must be made by. */
const IS_FRESH = 'field.cells IS NOT NULL AND field.revision = field.made_of AND field.made_by = ?';

/** A part of what is kept of those of the students who are of a school; null where that is stale. */
async function freshParts<P extends Part>(
	database: Database,
	{ schoolId, madeBy }: SchoolField,
	studentIds: number[],
	part: P
): Promise<{ id: number; fresh: Kept[P] | null }[]> {
	if (studentIds.length === 0) return [];
	return database.rows<{ id: number; fresh: Kept[P] | null }>(
		`SELECT student.id, IF(${IS_FRESH}, ${COLUMNS[part]}, NULL) AS fresh
		FROM student
		LEFT JOIN student_field AS field ON field.student_id = student.id
		WHERE student.id IN (?) AND student.school_id = ?`,
		[madeBy, studentIds, schoolId]
	);
}

/** The schools of students, with their fields. */
async function schoolsOf(database: Database, studentIds: number[]): Promise<SchoolField[]> {
	if (studentIds.length === 0) return [];
	// For many of few students an index would be read from end to end.
	const rows = await database.rows<{ schoolId: number }>(
		'SELECT DISTINCT school_id AS schoolId FROM student FORCE INDEX (PRIMARY) WHERE id IN (?)',
		[studentIds]
	);
	return Promise.all(rows.map(({ schoolId }) => schoolField(database, schoolId)));
}

/** Those of the students who are of a school, with parts of what is kept of them, and whether that is as it should be. */
async function studentRows(
	database: Database,
	{ schoolId, madeBy }: SchoolField,
	studentIds: number[],
	parts: Part[]
): Promise<StudentRow[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<Omit<StudentRow, 'isFresh'> & { isFresh: number | null }>(
		`SELECT student.id, student.grade, field.revision,
			${IS_FRESH} AS isFresh
			${parts.map((part) => `, ${COLUMNS[part]}`).join('')}
		FROM student
		LEFT JOIN student_field AS field ON field.student_id = student.id
		WHERE student.id IN (?) AND student.school_id = ?`,
		[madeBy, studentIds, schoolId]
	);
	return rows.map((row) => ({ ...row, isFresh: row.isFresh === 1 }));
}

/** What the field of one student follows from. */
export async function fieldInputs(
	database: Database,
	studentId: number
): Promise<{ field: SkillField; answers: SittingAnswer[]; prior: FieldPrior }> {
	const [school] = await schoolsOf(database, [studentId]);
	const rows = await studentRows(database, school, [studentId], []);
	const { answers, prior } = (await inputsOf(database, school, rows)).get(studentId)!;
	return { field: school.field, answers, prior: raisePrior(prior, school.field.constants.above) };
}

/** What is known of students, but for the constants of their school. */
export async function knownStudents(database: Database, studentIds: number[]): Promise<KnownStudent[]> {
	const known: KnownStudent[] = [];
	for (const school of await schoolsOf(database, studentIds)) {
		const rows = await studentRows(database, school, studentIds, []);
		known.push(...(await inputsOf(database, school, rows)).values());
	}
	return known;
}

async function keepFields(
	database: Database,
	{ madeBy }: SchoolField,
	students: Pick<StudentRow, 'id' | 'revision'>[],
	made: Map<number, Kept>
): Promise<void> {
	// Of who has nothing that it could follow from, nothing need be marked before.
	await database.insertMany(
		`INSERT INTO student_field (student_id, revision, made_of, made_by, packed, cells, gaps) VALUES ?
		ON DUPLICATE KEY UPDATE made_of = VALUES(made_of), made_by = VALUES(made_by), packed = VALUES(packed),
			cells = VALUES(cells), gaps = VALUES(gaps)`,
		students.map(({ id, revision }) => {
			const { packed, cells, gaps } = made.get(id)!;
			return [id, revision ?? 0, revision ?? 0, madeBy, packed, cells, gaps];
		})
	);
}

/** Some students of a school of whom what is kept is stale, or nothing is kept. */
export async function staleStudents(
	database: Database,
	schoolId: number,
	madeBy: Buffer,
	most: number
): Promise<number[]> {
	const rows = await database.rows<{ id: number }>(
		`SELECT student.id FROM student
		LEFT JOIN student_field AS field ON field.student_id = student.id
		WHERE student.school_id = ?
			AND (field.cells IS NULL OR field.revision <> field.made_of OR field.made_by <> ?)
		ORDER BY student.id LIMIT ${Number(most)}`,
		[schoolId, madeBy]
	);
	return rows.map(({ id }) => id);
}

/** Makes what is kept of students anew, stale or not. @returns of how many it was different, though it seemed fresh */
export async function remakeFields(database: Database, studentIds: number[]): Promise<number> {
	let different = 0;
	for (const school of await schoolsOf(database, studentIds)) {
		const rows = await studentRows(database, school, studentIds, ['packed', 'cells']);
		for (let from = 0; from < rows.length; from += CHUNK) {
			const some = rows.slice(from, from + CHUNK);
			const made = await makeFields(database, school, some);
			await keepFields(database, school, some, made);
			different += some.filter(({ id, isFresh, packed, cells }) => {
				const now = made.get(id)!;
				return isFresh && !(now.packed.equals(packed!) && now.cells.equals(cells!));
			}).length;
		}
	}
	return different;
}

/** What would have been kept of students at the end of an earlier day, from the log, and at which revision that was found. */
export async function fieldsOn(
	database: Database,
	studentIds: number[],
	day: SchoolDate
): Promise<Map<number, { revision: number; packed: Buffer; cells: Buffer }>> {
	const found = new Map<number, { revision: number; packed: Buffer; cells: Buffer }>();
	for (const school of await schoolsOf(database, studentIds)) {
		const rows = await studentRows(database, school, studentIds, []);
		for (let from = 0; from < rows.length; from += CHUNK) {
			const some = rows.slice(from, from + CHUNK);
			const made = await makeFields(database, school, some, day);
			for (const { id, revision } of some) found.set(id, { revision: revision ?? 0, ...made.get(id)! });
		}
	}
	return found;
}
