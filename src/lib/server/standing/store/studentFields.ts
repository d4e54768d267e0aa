import { setImmediate as nextTurn } from 'node:timers/promises';
import { beginningOf, addDays, type SchoolDate } from '../../../core/calendar';
import {
	cellOf,
	isOwn,
	keepField,
	masteredIn,
	packCells,
	packField,
	raisePrior,
	readyNext,
	standingOf,
	unpackField,
	type Cell,
	type SkillGraph,
	type FieldPrior,
	type KnownStudent,
	type PackedSkill,
	type SittingAnswer,
	type SkillField
} from '../../../core/mastery';
import { expectedTheta, termOfYear, yearOf } from '../../../core/measurement';
import type { Database } from '../../database';
import { schoolField, type SchoolField } from '../schoolField';
import { answersOf, outsideScores } from './evidence';

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

/** What is kept of a student: all that standings follow from, the cells of the needle map, and how many of them are gaps. */
interface Kept {
	packed: Buffer;
	cells: Buffer;
	gaps: number;
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
		const stale: StudentRow[] = [];
		for (const row of await studentRows(database, school, studentIds, [part])) {
			if (row.isFresh) found.set(row.id, row[part] as Kept[P]);
			else stale.push(row);
		}
		for (let from = 0; from < stale.length; from += CHUNK) {
			const some = stale.slice(from, from + CHUNK);
			const made = await makeFields(database, school, some);
			await keepFields(database, school, some, made);
			for (const [id, parts] of made) found.set(id, parts[part]);
		}
	}
	return found;
}

/** The schools of students, with their fields. */
async function schoolsOf(database: Database, studentIds: number[]): Promise<SchoolField[]> {
	if (studentIds.length === 0) return [];
	const rows = await database.rows<{ schoolId: number }>(
		'SELECT DISTINCT school_id AS schoolId FROM student WHERE id IN (?)',
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
			field.cells IS NOT NULL AND field.revision = field.made_of AND field.made_by = ? AS isFresh
			${parts.map((part) => `, ${COLUMNS[part]}`).join('')}
		FROM student
		LEFT JOIN student_field AS field ON field.student_id = student.id
		WHERE student.id IN (?) AND student.school_id = ?`,
		[madeBy, studentIds, schoolId]
	);
	return rows.map((row) => ({ ...row, isFresh: row.isFresh === 1 }));
}

type Asked = Pick<StudentRow, 'id' | 'grade'>;

/** What the fields of students follow from, but for the constants of their school. @param until only what is of a day and before */
async function inputsOf(
	database: Database,
	school: SchoolField,
	students: Asked[],
	until?: SchoolDate
): Promise<Map<number, KnownStudent>> {
	const { timeZone, years } = school;
	const ids = students.map(({ id }) => id);
	const end = until === undefined ? undefined : beginningOf(addDays(until, 1), timeZone);
	const answers = await answersOf(database, school, ids, end);
	const scores = await outsideScores(database, students, years, until);
	return new Map(
		students.map(({ id, grade }) => {
			const own = answers.get(id)!;
			const known = scores.get(id) ?? [];
			const last =
				own.at(-1)?.on ??
				known
					.map(({ takenOn }) => takenOn)
					.sort()
					.at(-1);
			const term = last ? termOfYear(last, yearOf(last, years)) : MIDDLE_TERM;
			return [id, { answers: own, prior: { mean: expectedTheta({ grade, term }), scores: known } }];
		})
	);
}

/** The term that stands for all of a year, of students of whom nothing is known. */
const MIDDLE_TERM = 2;

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

/** What is believed of students by their answers and scores. @param until by those of a day and before */
async function makeFields(
	database: Database,
	school: SchoolField,
	students: Asked[],
	until?: SchoolDate
): Promise<Map<number, Kept>> {
	const inputs = await inputsOf(database, school, students, until);
	const made = new Map<number, Kept>();
	for (const [id, { answers, prior }] of inputs) {
		const kept = keepField(school.field, answers, raisePrior(prior, school.field.constants.above));
		const skills = school.field.skills.map(({ code, difficulty }, k) => ({
			...kept[k],
			skillId: Number(code),
			difficulty
		}));
		const packed = packField(skills);
		// From what is read again later, so that both say the same.
		const cells = cellsOf(school.graph, unpackField(packed));
		const gaps = cells.filter((cell) => isOwn(cell) && cell.standing === 'gap').length;
		made.set(id, { packed: Buffer.from(packed), cells: Buffer.from(packCells(cells)), gaps });
		// So that others are heard in between.
		await nextTurn();
	}
	return made;
}

function cellsOf(graph: SkillGraph, skills: PackedSkill[]): Cell[] {
	const standings = new Map(skills.map((skill) => [skill.skillId, standingOf(skill, skill.difficulty)]));
	const ready = new Set(readyNext(graph, masteredIn(standings)));
	return skills.map(({ skillId }) => cellOf(standings.get(skillId)!, ready.has(skillId)));
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
