import type { SchoolDate } from '../../../../core/calendar';
import type { StudentRecord } from '../../../../core/interchange/studentRecord';
import { audit, type Database } from '../../../database';
import type { Staff } from '../../../request';
import { freshCode } from '../../store/classes';
import type { AdultFields, Before, ClassFields } from '../rosterDone';

/** A row of a roster, with what it says. */
interface Sourced<Of> {
	sourcedId: string;
	after: Of;
}

/** The columns that a roster writes, by their fields. Names are of this file only. */
const COLUMNS = {
	class: { name: 'name', grade: 'grade' },
	student: {
		givenName: 'given_name',
		familyName: 'family_name',
		preferredName: 'preferred_name',
		number: 'number',
		grade: 'grade',
		birthDate: 'birth_date'
	},
	account: { displayName: 'display_name', email: 'email' }
} as const;
type Table = keyof typeof COLUMNS;
interface Fields {
	class: ClassFields;
	student: StudentRecord;
	account: AdultFields;
}

/** Adds classes, each with a code. @returns their ids, by the ids of the source */
export async function addRosteredClasses(
	transaction: Database,
	staff: Staff,
	classes: (Sourced<ClassFields> & { isSection: boolean })[],
	at: Date
): Promise<Map<string, number>> {
	const ids = new Map<string, number>();
	for (const { sourcedId, isSection, after } of classes) {
		const { insertId } = await transaction.run(
			'INSERT INTO class (school_id, name, grade, code, sourced_id, is_section) VALUES (?, ?, ?, ?, ?, ?)',
			[staff.schoolId, after.name, after.grade, await freshCode(transaction), sourcedId, isSection]
		);
		ids.set(sourcedId, insertId);
	}
	if (ids.size)
		await audit(transaction, staff, at, 'add classes', {
			ids: [...ids.values()],
			classes: classes.map(({ after }) => after)
		});
	return ids;
}

/** Adds students to their classes, from a day on. @returns their ids, in that order */
export async function addRosteredStudents(
	transaction: Database,
	staff: Staff,
	students: (Sourced<StudentRecord> & { classId: number })[],
	{ from, at }: { from: SchoolDate; at: Date }
): Promise<number[]> {
	if (students.length === 0) return [];
	await transaction.insertMany(
		`INSERT INTO student (school_id, sourced_id, given_name, family_name, preferred_name, number, grade, birth_date)
		VALUES ?`,
		students.map(({ sourcedId, after }) => [
			staff.schoolId,
			sourcedId,
			after.givenName,
			after.familyName,
			after.preferredName,
			after.number,
			after.grade,
			after.birthDate
		])
	);
	const rows = await transaction.rows<{ id: number; sourcedId: string }>(
		'SELECT id, sourced_id AS sourcedId FROM student WHERE school_id = ? AND sourced_id IN (?)',
		[staff.schoolId, students.map(({ sourcedId }) => sourcedId)]
	);
	const idOf = new Map(rows.map(({ id, sourcedId }) => [sourcedId, id]));
	const ids = students.map(({ sourcedId }) => idOf.get(sourcedId)!);
	await transaction.insertMany(
		'INSERT INTO class_membership (class_id, student_id, from_on) VALUES ?',
		students.map(({ classId }, i) => [classId, ids[i], from])
	);
	await audit(transaction, staff, at, 'add students', { students: ids, from });
	return ids;
}

/** Adds accounts of class teachers, with which nobody can sign in yet. @returns their ids, by the ids of the source */
export async function addRosteredAdults(
	transaction: Database,
	staff: Staff,
	adults: (Sourced<AdultFields> & { userName: string })[],
	at: Date
): Promise<Map<string, number>> {
	const ids = new Map<string, number>();
	for (const { sourcedId, userName, after } of adults) {
		const { insertId } = await transaction.run(
			`INSERT INTO account (school_id, role, user_name, display_name, email, sourced_id)
			VALUES (?, 'teacher', ?, ?, ?, ?)`,
			[staff.schoolId, userName, after.displayName, after.email, sourcedId]
		);
		await audit(transaction, staff, at, 'add account', { account: insertId, userName, role: 'teacher', ...after });
		ids.set(sourcedId, insertId);
	}
	return ids;
}

const DEED = { class: 'change class', student: 'change student', account: 'change account' } as const;

/**
 * Writes what a roster says of rows that are here, and by which id the source knows them.
 *
 * @returns what they were
 */
export async function renewRows<T extends Table>(
	transaction: Database,
	staff: Staff,
	table: T,
	rows: (Sourced<Fields[T]> & { id: number; before: Fields[T] })[],
	at: Date
): Promise<Before<Fields[T]>[]> {
	if (rows.length === 0) return [];
	const known = await transaction.rows<{ id: number; sourcedId: string | null }>(
		`SELECT id, sourced_id AS sourcedId FROM ${table} WHERE school_id = ? AND id IN (?) FOR UPDATE`,
		[staff.schoolId, rows.map(({ id }) => id)]
	);
	const sourcedIds = new Map(known.map(({ id, sourcedId }) => [id, sourcedId]));
	const own = rows.filter(({ id }) => sourcedIds.has(id));
	for (const { id, sourcedId, before, after } of own) {
		await writeRow(transaction, staff, table, id, { ...after }, sourcedId);
		if (JSON.stringify(before) !== JSON.stringify(after))
			await audit(transaction, staff, at, DEED[table], { [table]: id, before, after });
	}
	return own.map(({ id, before, after }) => ({ id, sourcedId: sourcedIds.get(id)!, before, after }));
}

async function writeRow<T extends Table>(
	transaction: Database,
	{ schoolId }: Staff,
	table: T,
	id: number,
	fields: Partial<Fields[T]>,
	sourcedId: string | null
): Promise<void> {
	const named = Object.entries(COLUMNS[table]).filter(([field]) => field in fields);
	await transaction.run(
		`UPDATE ${table} SET ${named.map(([, column]) => `${column} = ?, `).join('')} sourced_id = ?
		WHERE id = ? AND school_id = ?`,
		[...named.map(([field]) => fields[field as keyof Fields[T]]), sourcedId, id, schoolId]
	);
}

/** Puts rows back to what they were, field by field: what somebody has changed since stays. */
export async function putBackRows<T extends Table>(
	transaction: Database,
	staff: Staff,
	table: T,
	rows: Before<Fields[T]>[],
	at: Date
): Promise<void> {
	const columns = Object.entries(COLUMNS[table]) as [keyof Fields[T] & string, string][];
	for (const { id, sourcedId, before, after } of rows) {
		const now = await transaction.row<Fields[T]>(
			`SELECT ${columns.map(([field, column]) => `${column} AS ${field}`).join(', ')} FROM ${table}
			WHERE id = ? AND school_id = ? FOR UPDATE`,
			[id, staff.schoolId]
		);
		if (!now) continue;
		const back = columns.filter(([field]) => now[field] === after[field] && now[field] !== before[field]);
		const fields = Object.fromEntries(back.map(([field]) => [field, before[field]])) as Partial<Fields[T]>;
		await writeRow(transaction, staff, table, id, fields, sourcedId);
		if (back.length)
			await audit(transaction, staff, at, DEED[table], { [table]: id, before: now, after: { ...now, ...fields } });
	}
}

/** Takes accounts away that a roster brought and that nobody has signed in with. */
export async function removeUnusedAdults(transaction: Database, staff: Staff, ids: number[], at: Date): Promise<void> {
	if (ids.length === 0) return;
	const unused = await transaction.rows<{ id: number }>(
		`SELECT id FROM account
		WHERE id IN (?) AND school_id = ? AND password_hash IS NULL
			AND NOT EXISTS (SELECT 1 FROM responsibility WHERE account_id = account.id)
			AND NOT EXISTS (SELECT 1 FROM slot WHERE staff_id = account.id)
		FOR UPDATE`,
		[ids, staff.schoolId]
	);
	const gone = unused.map(({ id }) => id);
	if (gone.length === 0) return;
	await transaction.run('DELETE FROM class_adult WHERE account_id IN (?)', [gone]);
	await transaction.run('DELETE FROM invitation WHERE account_id IN (?)', [gone]);
	await transaction.run('DELETE FROM account WHERE id IN (?)', [gone]);
	await audit(transaction, staff, at, 'take back accounts', { accounts: gone });
}

/** Takes classes away that were just added and in which nobody ever was. @returns ids of those that are gone */
export async function removeUnusedClasses(
	transaction: Database,
	staff: Staff,
	ids: number[],
	at: Date
): Promise<number[]> {
	if (ids.length === 0) return [];
	const unused = await transaction.rows<{ id: number }>(
		`SELECT id FROM class
		WHERE id IN (?) AND school_id = ?
			AND NOT EXISTS (SELECT 1 FROM class_membership WHERE class_id = class.id)
			AND NOT EXISTS (SELECT 1 FROM section_membership WHERE class_id = class.id)
			AND NOT EXISTS (SELECT 1 FROM window_class WHERE class_id = class.id)
			AND NOT EXISTS (SELECT 1 FROM class_block WHERE class_id = class.id)
		FOR UPDATE`,
		[ids, staff.schoolId]
	);
	const gone = unused.map(({ id }) => id);
	if (gone.length === 0) return [];
	await transaction.run('DELETE FROM class_adult WHERE class_id IN (?)', [gone]);
	await transaction.run('DELETE FROM known_browser WHERE class_id IN (?)', [gone]);
	await transaction.run('DELETE FROM class WHERE id IN (?)', [gone]);
	await audit(transaction, staff, at, 'take back classes', { classes: gone });
	return gone;
}
