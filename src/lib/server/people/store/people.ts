import { type SchoolHours, schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import type { Role, Staff, VisibleId } from '../../request';
import type { ClassKind } from './classes';
import { ownClassesOnly } from './roster';
import { inSections } from './sections';

/** The classes of a kind that a school has and that have not ended, youngest first. */
export async function classList(
	database: Database,
	schoolId: number,
	kind: ClassKind = 'own'
): Promise<{ id: number; name: string; grade: number }[]> {
	return database.rows(
		'SELECT id, name, grade FROM class WHERE school_id = ? AND is_section = ? AND ended_on IS NULL ORDER BY grade, name',
		[schoolId, kind === 'section']
	);
}

/** By what students find their classes, of those that a staff member may see. */
export async function classCodes(database: Database, staff: Staff, today: SchoolDate): Promise<Map<number, string>> {
	const own = ownClassesOnly(staff, today, 'id');
	const rows = await database.rows<{ id: number; code: string }>(
		`SELECT id, code FROM class WHERE school_id = ? ${own.sql}`,
		[staff.schoolId, ...own.values]
	);
	return new Map(rows.map(({ id, code }) => [id, code]));
}

/** Students of the school by their school number, for matching imported rows. */
export async function studentsByNumber(
	database: Database,
	schoolId: number,
	numbers: string[]
): Promise<Map<string, number>> {
	if (numbers.length === 0) return new Map();
	const found = await database.rows<{ id: number; number: string }>(
		'SELECT id, number FROM student WHERE school_id = ? AND number IN (?)',
		[schoolId, numbers]
	);
	return new Map(found.map(({ id, number }) => [number, id]));
}

interface StaffAccount {
	id: number;
	schoolId: number;
	role: Role;
	displayName: string;
	/** Null until the person has chosen a password, and for who signs in with the identity provider instead. */
	passwordHash: string | null;
	/** Whether a code is asked for after the password. */
	hasSecondFactor: boolean;
}

/**
 * SQL about `school`: whom a roster knows signs in with the identity provider instead of a password or PIN. Coordinators
 * keep theirs, for the day on which the provider is away.
 */
const ONLY_SINGLE = {
	account: `school.single_sign_on = 'instead' AND account.sourced_id IS NOT NULL AND account.role <> 'coordinator'`,
	student: `school.single_sign_on = 'instead' AND student.sourced_id IS NOT NULL`
} as const;

export async function accountByUserName(database: Database, userName: string): Promise<StaffAccount | null> {
	const row = await database.row<StaffAccount>(
		`SELECT account.id, account.school_id AS schoolId, account.role, account.display_name AS displayName,
			IF(${ONLY_SINGLE.account}, NULL, account.password_hash) AS passwordHash,
			account.totp_secret IS NOT NULL AS hasSecondFactor
		FROM account JOIN school ON school.id = account.school_id
		WHERE account.user_name = ? AND account.deactivated_at IS NULL`,
		[userName]
	);
	return row && { ...row, hasSecondFactor: Boolean(row.hasSecondFactor) };
}

/** A class by the code on its door, with the names its students sign in by; null for a code nobody has. */
export async function classByCode(database: Database, code: string, at: Date) {
	const found = await database.row<{ id: number; name: string; isSection: boolean; timeZone: string }>(
		`SELECT class.id, class.name, class.is_section AS isSection, school.time_zone AS timeZone
		FROM class JOIN school ON school.id = class.school_id
		WHERE class.code = ?`,
		[code]
	);
	if (!found) return null;
	const { timeZone, isSection, ...own } = found;
	const today = schoolDateOf(at, timeZone);
	const section = inSections(today, 'AND section.class_id = ?', [own.id]);
	const among = isSection
		? { sql: `membership.student_id IN (SELECT section.student_id ${section.sql})`, values: section.values }
		: { sql: 'membership.class_id = ?', values: [own.id] };
	const students = await database.rows<{ id: number; givenName: string; familyName: string }>(
		`SELECT student.id, student.shown_name AS givenName, student.family_name AS familyName
		FROM class_membership AS membership
		JOIN student ON student.id = membership.student_id
		WHERE ${among.sql} AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)
		ORDER BY student.shown_name, student.family_name`,
		[...among.values, today, today]
	);
	return { ...own, students };
}

/** By what a student signs in, of which school, and in which hours; null for who is in no class today. */
interface StudentPin {
	/** Null for who has none, and for who signs in with the identity provider instead. */
	pinHash: string | null;
	schoolId: number;
	timeZone: string;
	/** Of the class; null for at any time. */
	hours: SchoolHours | null;
}

export async function studentPin(database: Database, studentId: number, at: Date): Promise<StudentPin | null> {
	const rows = await database.rows<
		Omit<StudentPin, 'hours'> & { fromOn: string; untilOn: string | null; opens: string | null; closes: string | null }
	>(
		`SELECT IF(${ONLY_SINGLE.student}, NULL, student.pin_hash) AS pinHash, student.school_id AS schoolId, school.time_zone AS timeZone,
			membership.from_on AS fromOn, membership.until_on AS untilOn,
			TIME_FORMAT(class.sign_in_from, '%H:%i') AS opens, TIME_FORMAT(class.sign_in_until, '%H:%i') AS closes
		FROM student
		JOIN school ON school.id = student.school_id
		JOIN class_membership AS membership ON membership.student_id = student.id
		JOIN class ON class.id = membership.class_id
		WHERE student.id = ?`,
		[studentId]
	);
	const own = rows.find(({ timeZone, fromOn, untilOn }) => {
		const today = schoolDateOf(at, timeZone);
		return fromOn <= today && (untilOn === null || untilOn > today);
	});
	if (!own) return null;
	const { pinHash, schoolId, timeZone, opens, closes } = own;
	return { pinHash, schoolId, timeZone, hours: opens && closes ? { from: opens, until: closes } : null };
}

export async function staffList(database: Database, schoolId: number, roles: Role[]) {
	return database.rows<{ id: number; displayName: string }>(
		`SELECT id, display_name AS displayName FROM account
		WHERE school_id = ? AND role IN (?) AND deactivated_at IS NULL
		ORDER BY role, display_name`,
		[schoolId, roles]
	);
}

/** Accounts of adults who may see a student on a day: a class teacher only those of the own classes and sections. */
export async function adultsWhoSee(
	database: Database,
	{ schoolId }: { schoolId: number },
	studentId: VisibleId,
	today: SchoolDate
): Promise<{ id: number; displayName: string }[]> {
	const taught = (membership: string) => `SELECT adult.account_id FROM ${membership} AS membership
		JOIN class_adult AS adult ON adult.class_id = membership.class_id
			AND adult.from_on <= ? AND (adult.until_on IS NULL OR adult.until_on > ?)
		WHERE membership.student_id = ? AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)`;
	const values = [today, today, studentId, today, today];
	return database.rows<{ id: number; displayName: string }>(
		`SELECT id, display_name AS displayName FROM account
		WHERE school_id = ? AND deactivated_at IS NULL
			AND (role <> 'teacher' OR id IN (${taught('class_membership')}) OR id IN (${taught('section_membership')}))
		ORDER BY role, display_name`,
		[schoolId, ...values, ...values]
	);
}

export async function schoolTimeZones(database: Database): Promise<{ schoolId: number; timeZone: string }[]> {
	return database.rows('SELECT id AS schoolId, time_zone AS timeZone FROM school ORDER BY id');
}

/** Holds students until the transaction ends: whoever stores their answers waits, and what they answered is there. */
export async function lockStudents(transaction: Database, ids: number[]): Promise<void> {
	await transaction.rows('SELECT id FROM student WHERE id IN (?) ORDER BY id FOR UPDATE', [ids]);
}

export async function allStudentIds(database: Database, schoolId: number): Promise<number[]> {
	const rows = await database.rows<{ id: number }>('SELECT id FROM student WHERE school_id = ? ORDER BY id', [
		schoolId
	]);
	return rows.map(({ id }) => id);
}
