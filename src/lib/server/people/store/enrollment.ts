import type { SchoolDate } from '../../../core/calendar';
import type { StudentRecord } from '../../../core/interchange/studentRecord';
import { audit, type Database, requireOwn, type RootDatabase } from '../../database';
import type { Staff } from '../../request';
import { inSections } from './sections';

/** A student with the class that they are in on a day, or were in last. */
export interface Enrolled extends StudentRecord {
	id: number;
	classId: number | null;
	className: string | null;
	/** The first day without a class; null while there is no end. */
	untilOn: SchoolDate | null;
	hasPin: boolean;
	/** When somebody last signed in as the student; null for never. */
	lastSignIn: Date | null;
}

const RECORD = `student.given_name AS givenName, student.family_name AS familyName,
	student.preferred_name AS preferredName, student.number, student.grade, student.birth_date AS birthDate`;

/** The newest membership that has begun by a day. */
const NEWEST = `membership.id = (
	SELECT newest.id FROM class_membership AS newest
	WHERE newest.student_id = student.id AND newest.from_on <= ?
	ORDER BY newest.from_on DESC, newest.id DESC LIMIT 1)`;

/** Students of a class on a day, by name. */
export async function enrolledIn(
	database: Database,
	staff: Staff,
	classId: number,
	today: SchoolDate
): Promise<Enrolled[]> {
	return enrolled(
		database,
		staff,
		today,
		`AND membership.class_id = ? AND (membership.until_on IS NULL OR membership.until_on > ?)
		ORDER BY student.family_name, student.given_name, student.id`,
		[classId, today]
	);
}

/** Students of a section on a day, class by class. */
export async function enrolledInSection(
	database: Database,
	staff: Staff,
	sectionId: number,
	today: SchoolDate
): Promise<Enrolled[]> {
	const members = inSections(today, 'AND section.class_id = ?', [sectionId]);
	return enrolled(
		database,
		staff,
		today,
		`AND (membership.until_on IS NULL OR membership.until_on > ?)
		AND student.id IN (SELECT section.student_id ${members.sql})
		ORDER BY class.grade, class.name, student.family_name, student.given_name, student.id`,
		[today, ...members.values]
	);
}

/** Students of a school by their ids, those who have left among them. */
export async function enrolledByIds(
	database: Database,
	staff: Staff,
	ids: number[],
	today: SchoolDate
): Promise<Enrolled[]> {
	return ids.length ? enrolled(database, staff, today, 'AND student.id IN (?) ORDER BY student.id', [ids]) : [];
}

/** Students who may be meant by a list: of these numbers, or of these family names. */
export async function enrolledLike(
	database: Database,
	staff: Staff,
	{ numbers, familyNames }: { numbers: string[]; familyNames: string[] },
	today: SchoolDate
): Promise<Enrolled[]> {
	return enrolled(
		database,
		staff,
		today,
		'AND (student.number IN (?) OR student.family_name IN (?)) ORDER BY student.id',
		[
			['', ...numbers],
			['', ...familyNames]
		]
	);
}

/** @param more SQL about `student` and `membership`, with its values */
async function enrolled(
	database: Database,
	{ schoolId }: Staff,
	today: SchoolDate,
	more: string,
	values: unknown[]
): Promise<Enrolled[]> {
	const rows = await database.rows<Omit<Enrolled, 'hasPin'> & { hasPin: number }>(
		`SELECT student.id, ${RECORD}, student.pin_hash IS NOT NULL AS hasPin, class.id AS classId,
			class.name AS className, membership.until_on AS untilOn,
			(SELECT MAX(sign_in.began_at) FROM sign_in WHERE sign_in.student_id = student.id) AS lastSignIn
		FROM student
		LEFT JOIN class_membership AS membership ON membership.student_id = student.id AND ${NEWEST}
		LEFT JOIN class ON class.id = membership.class_id
		WHERE student.school_id = ? ${more}`,
		[today, schoolId, ...values]
	);
	return rows.map((row) => ({ ...row, hasPin: Boolean(row.hasPin) }));
}

/** A student who joins a class. */
export interface Joining extends StudentRecord {
	classId: number;
}

/** Adds students to their classes, from a day on. @returns their ids, in that order */
export async function addStudents(
	database: RootDatabase,
	staff: Staff,
	students: Joining[],
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { class: students.map(({ classId }) => classId) });
		const ids: number[] = [];
		for (const { givenName, familyName, preferredName, number, grade, birthDate } of students) {
			const { insertId } = await transaction.run(
				`INSERT INTO student (school_id, given_name, family_name, preferred_name, number, grade, birth_date)
				VALUES (?, ?, ?, ?, ?, ?, ?)`,
				[staff.schoolId, givenName, familyName, preferredName, number, grade, birthDate]
			);
			ids.push(insertId);
		}
		await transaction.insertMany(
			'INSERT INTO class_membership (class_id, student_id, from_on) VALUES ?',
			students.map(({ classId }, i) => [classId, ids[i], from])
		);
		if (ids.length) await audit(transaction, staff, at, 'add students', { students: ids, from });
		return ids;
	});
}

/**
 * Takes students away who were added by mistake, as long as nothing has come of them.
 *
 * @returns ids of those who are gone; who has worked, or of whom something was noted, stays
 */
export async function takeBackStudents(
	database: RootDatabase,
	staff: Staff,
	ids: number[],
	at: Date
): Promise<number[]> {
	return database.transaction(async (transaction) => {
		await requireOwn(transaction, staff, { student: ids });
		await transaction.rows('SELECT id FROM student WHERE id IN (?) ORDER BY id FOR UPDATE', [ids]);
		const used = new Set<number>();
		for (const table of TRACES) {
			const rows = await transaction.rows<{ id: number }>(
				`SELECT DISTINCT student_id AS id FROM ${table} WHERE student_id IN (?)`,
				[ids]
			);
			for (const { id } of rows) used.add(id);
		}
		const gone = ids.filter((id) => !used.has(id));
		if (gone.length === 0) return [];
		for (const table of DERIVED) await transaction.run(`DELETE FROM ${table} WHERE student_id IN (?)`, [gone]);
		await transaction.run('DELETE FROM student WHERE id IN (?)', [gone]);
		await audit(transaction, staff, at, 'take back students', { students: gone });
		return gone;
	});
}

/** Where it stands that something has come of a student. */
const TRACES = [
	'sitting',
	'fact_run',
	'score',
	'given_measure',
	'group_membership',
	'practice_set_student',
	'given_material',
	'probe_plan',
	'skill_check',
	'student_note',
	'window_student',
	'review',
	'tier_interval',
	'past_intervention',
	'sheet_words',
	'family_letter',
	'tier_word',
	'outcome',
	'accommodation'
] as const;
/** What a student has who is new. */
const DERIVED = [
	'audit_subject',
	'responsibility',
	'former_grade',
	'student_field',
	'student_field_then',
	'student_summary',
	'window_place',
	'student_attribute',
	'sign_in',
	'sign_in_try',
	'section_membership',
	'class_membership'
] as const;

/** Changes what is written down of a student. @returns what it was before, who has the number already, or null for no such student */
export async function changeStudent(
	database: RootDatabase,
	staff: Staff,
	id: number,
	record: StudentRecord,
	at: Date
): Promise<StudentRecord | { takenBy: string } | null> {
	return database.transaction(async (transaction) => {
		const other = await transaction.row<{ name: string }>(
			`SELECT CONCAT(shown_name, ' ', family_name) AS name FROM student
			WHERE school_id = ? AND number = ? AND id <> ?`,
			[staff.schoolId, record.number, id]
		);
		if (other) return { takenBy: other.name };
		const before = await transaction.row<StudentRecord>(
			`SELECT ${RECORD} FROM student WHERE id = ? AND school_id = ? FOR UPDATE`,
			[id, staff.schoolId]
		);
		if (!before) return null;
		const { givenName, familyName, preferredName, number, grade, birthDate } = record;
		await transaction.run(
			`UPDATE student SET given_name = ?, family_name = ?, preferred_name = ?, number = ?, grade = ?, birth_date = ?
			WHERE id = ?`,
			[givenName, familyName, preferredName, number, grade, birthDate, id]
		);
		await audit(transaction, staff, at, 'change student', { student: id, before, after: record });
		return before;
	});
}
