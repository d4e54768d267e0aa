import { schoolDateOf, type SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import type { Role, Staff, VisibleId } from '../../request';

export interface RosterStudent {
	id: VisibleId;
	number: string;
	givenName: string;
	familyName: string;
	grade: number;
	classId: number;
	className: string;
	tier: 1 | 2 | 3;
}

/** Who is being looked at. `key` is its text in a URL: `school`, `grade:4`, `class:12`, `group:3` or `list:1,2`. */
export interface Scope {
	key: string;
	/** As a name by itself: `Grade 5`. */
	label: string;
	/** Inside a sentence: `grade 5`, `the whole school`. */
	inWords: string;
	students: RosterStudent[];
}

export interface ScopeChoice {
	key: string;
	label: string;
	kind: 'School' | 'Grades' | 'Classes' | 'Groups';
}

/**
 * Restricts a query to students whom a staff member may see on a day: those of the school, of a class teacher's those of
 * the own classes.
 *
 * @param column of the student's id
 */
export function seenBy(staff: Staff, today: SchoolDate, column: string): { sql: string; values: unknown[] } {
	if (staff.role !== 'teacher')
		return {
			sql: `EXISTS (SELECT 1 FROM student AS seen WHERE seen.id = ${column} AND seen.school_id = ?)`,
			values: [staff.schoolId]
		};
	return {
		sql: `EXISTS (SELECT 1 FROM class_membership AS seen JOIN class AS own ON own.id = seen.class_id
			WHERE seen.student_id = ${column} AND own.teacher_id = ? AND own.school_id = ?
				AND seen.from_on <= ? AND (seen.until_on IS NULL OR seen.until_on > ?))`,
		values: [staff.id, staff.schoolId, today, today]
	};
}

/** Students a staff member may see, of the school or the own classes, on a day. */
async function visibleStudents(
	database: Database,
	staff: Staff,
	today: SchoolDate,
	narrowing: string,
	values: unknown[]
) {
	const ownOnly = staff.role === 'teacher' ? 'AND class.teacher_id = ?' : '';
	return database.rows<RosterStudent>(
		`SELECT student.id, student.number, student.given_name AS givenName, student.family_name AS familyName,
			student.grade, class.id AS classId, class.name AS className, CAST(COALESCE(tier.tier, 1) AS UNSIGNED) AS tier
		FROM student
		JOIN class_membership AS membership
			ON membership.student_id = student.id
			AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)
		JOIN class ON class.id = membership.class_id
		LEFT JOIN tier_interval AS tier
			ON tier.student_id = student.id
			AND tier.from_on <= ? AND (tier.until_on IS NULL OR tier.until_on > ?)
		WHERE student.school_id = ? ${ownOnly} ${narrowing}
		ORDER BY class.grade, class.name, student.family_name, student.given_name, student.id`,
		[today, today, today, today, staff.schoolId, ...(ownOnly ? [staff.id] : []), ...values]
	);
}

const called = (label: string, inWords = label) => ({ label, inWords });

/**
 * The students of a scope that the staff member may see.
 *
 * @returns null when there is no such scope for this person: an unknown or malformed key, or nobody visible in it
 */
export async function findScope(
	database: Database,
	staff: Staff,
	key: string,
	today: SchoolDate
): Promise<Scope | null> {
	const [, kind, value = ''] = /^(school|grade|class|group|list)(?::([\d,]{1,2000}))?$/.exec(key) ?? [];
	const ids = value.split(',').filter(Boolean).map(Number);
	if (kind === 'school' && !value) {
		const students = await visibleStudents(database, staff, today, '', []);
		const name =
			staff.role === 'teacher' ? called('My class', 'your class') : called('Whole school', 'the whole school');
		return { key, ...name, students };
	}
	if (ids.length === 0 || (kind !== 'list' && ids.length > 1)) return null;
	const of = async (
		narrowing: string,
		values: unknown[],
		name: (students: RosterStudent[]) => ReturnType<typeof called>
	) => {
		const students = await visibleStudents(database, staff, today, narrowing, values);
		return students.length ? { key, ...name(students), students } : null;
	};
	switch (kind) {
		case 'grade':
			return of('AND student.grade = ?', ids, () => called(`Grade ${ids[0]}`, `grade ${ids[0]}`));
		case 'class':
			return of('AND class.id = ?', ids, (students) => called(students[0].className));
		case 'list':
			return of('AND student.id IN (?)', [ids], ({ length }) =>
				length === 1
					? called('1 chosen student', 'the chosen student')
					: called(`${length} chosen students`, `the ${length} chosen students`)
			);
		case 'group': {
			const group = await database.row<{ name: string }>(
				'SELECT name FROM small_group WHERE id = ? AND school_id = ?',
				[ids[0], staff.schoolId]
			);
			if (!group) return null;
			return of(
				`AND student.id IN (
					SELECT student_id FROM group_membership
					WHERE group_id = ? AND from_on <= ? AND (until_on IS NULL OR until_on > ?))`,
				[ids[0], today, today],
				() => called(group.name)
			);
		}
		default:
			return null;
	}
}

/** Every scope the staff member can choose from the picker. */
export async function scopeChoices(database: Database, staff: Staff, today: SchoolDate): Promise<ScopeChoice[]> {
	const ownOnly = staff.role === 'teacher';
	const classes = await database.rows<{ id: number; name: string; grade: number }>(
		`SELECT id, name, grade FROM class
		WHERE school_id = ? ${ownOnly ? 'AND teacher_id = ?' : ''}
		ORDER BY grade, name`,
		ownOnly ? [staff.schoolId, staff.id] : [staff.schoolId]
	);
	const groups = ownOnly
		? []
		: await database.rows<{ id: number; name: string }>(
				`SELECT id, name FROM small_group
				WHERE school_id = ? AND starts_on <= ? AND ends_on >= ?
				ORDER BY name`,
				[staff.schoolId, today, today]
			);
	const grades = [...new Set(classes.map(({ grade }) => grade))];
	return [
		{ key: 'school', label: ownOnly ? 'My class' : 'Whole school', kind: 'School' },
		...(ownOnly
			? []
			: grades.map((grade) => ({ key: `grade:${grade}`, label: `Grade ${grade}`, kind: 'Grades' as const }))),
		...classes.map(({ id, name, grade }) => ({
			key: `class:${id}`,
			label: `${name} · grade ${grade}`,
			kind: 'Classes' as const
		})),
		...groups.map(({ id, name }) => ({ key: `group:${id}`, label: name, kind: 'Groups' as const }))
	];
}

/** All classes of a school, youngest first. */
export async function classList(
	database: Database,
	schoolId: number
): Promise<{ id: number; name: string; grade: number }[]> {
	return database.rows('SELECT id, name, grade FROM class WHERE school_id = ? ORDER BY grade, name', [schoolId]);
}

/** By what students find their classes, of those that a staff member may see. */
export async function classCodes(database: Database, staff: Staff): Promise<Map<number, string>> {
	const ownOnly = staff.role === 'teacher' ? 'AND teacher_id = ?' : '';
	const rows = await database.rows<{ id: number; code: string }>(
		`SELECT id, code FROM class WHERE school_id = ? ${ownOnly}`,
		[staff.schoolId, ...(ownOnly ? [staff.id] : [])]
	);
	return new Map(rows.map(({ id, code }) => [id, code]));
}

/** Those of the ids that the staff member may see, as roster rows. */
export async function visibleAmong(
	database: Database,
	staff: Staff,
	ids: number[],
	today: SchoolDate
): Promise<RosterStudent[]> {
	return ids.length ? visibleStudents(database, staff, today, 'AND student.id IN (?)', [ids]) : [];
}

/** Those of the ids that the staff member may see. */
export async function seenAmong(
	database: Database,
	staff: Staff,
	ids: number[],
	today: SchoolDate
): Promise<Set<number>> {
	if (ids.length === 0) return new Set();
	const seen = seenBy(staff, today, 'student.id');
	const rows = await database.rows<{ id: number }>(
		`SELECT student.id FROM student WHERE student.id IN (?) AND ${seen.sql}`,
		[ids, ...seen.values]
	);
	return new Set(rows.map(({ id }) => id));
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

export interface StaffAccount {
	id: number;
	schoolId: number;
	role: Role;
	displayName: string;
	passwordHash: string;
}

export async function accountByUserName(database: Database, userName: string): Promise<StaffAccount | null> {
	return database.row<StaffAccount>(
		`SELECT id, school_id AS schoolId, role, display_name AS displayName, password_hash AS passwordHash
		FROM account WHERE user_name = ?`,
		[userName]
	);
}

/** A class by the code on its door, with the names its students sign in by; null for a code nobody has. */
export async function classByCode(database: Database, code: string, at: Date) {
	const found = await database.row<{ id: number; name: string; timeZone: string }>(
		`SELECT class.id, class.name, school.time_zone AS timeZone
		FROM class JOIN school ON school.id = class.school_id
		WHERE class.code = ?`,
		[code]
	);
	if (!found) return null;
	const { timeZone, ...own } = found;
	const today = schoolDateOf(at, timeZone);
	const students = await database.rows<{ id: number; givenName: string; familyName: string }>(
		`SELECT student.id, student.given_name AS givenName, student.family_name AS familyName
		FROM class_membership AS membership
		JOIN student ON student.id = membership.student_id
		WHERE membership.class_id = ? AND membership.from_on <= ?
			AND (membership.until_on IS NULL OR membership.until_on > ?)
		ORDER BY student.given_name, student.family_name`,
		[own.id, today, today]
	);
	return { ...own, students };
}

/** By what a student signs in, and the time zone of the school; null for who is in no class today. */
export async function studentPin(
	database: Database,
	studentId: number,
	at: Date
): Promise<{ pinHash: string; timeZone: string } | null> {
	const rows = await database.rows<{ pinHash: string; timeZone: string; fromOn: string; untilOn: string | null }>(
		`SELECT student.pin_hash AS pinHash, school.time_zone AS timeZone, membership.from_on AS fromOn,
			membership.until_on AS untilOn
		FROM student
		JOIN school ON school.id = student.school_id
		JOIN class_membership AS membership ON membership.student_id = student.id
		WHERE student.id = ?`,
		[studentId]
	);
	return (
		rows.find(({ timeZone, fromOn, untilOn }) => {
			const today = schoolDateOf(at, timeZone);
			return fromOn <= today && (untilOn === null || untilOn > today);
		}) ?? null
	);
}

export async function staffList(database: Database, schoolId: number, roles: Role[]) {
	return database.rows<{ id: number; displayName: string }>(
		'SELECT id, display_name AS displayName FROM account WHERE school_id = ? AND role IN (?) ORDER BY role, display_name',
		[schoolId, roles]
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
