import type { SchoolDate } from '../../../core/calendar';
import type { Database } from '../../database';
import type { Staff, VisibleId } from '../../request';
import { inSections } from './sections';

export interface RosterStudent {
	id: VisibleId;
	/** Of the school; null where it gives none. */
	number: string | null;
	givenName: string;
	familyName: string;
	grade: number;
	classId: number;
	className: string;
	tier: 1 | 2 | 3;
}

/** Restricts a query to classes that a class teacher is an adult of on a day; begins with AND, empty for everyone else. */
export function ownClassesOnly(staff: Staff, today: SchoolDate, column: string): { sql: string; values: unknown[] } {
	if (staff.role !== 'teacher') return { sql: '', values: [] };
	return {
		sql: `AND ${column} IN (SELECT class_id FROM class_adult
			WHERE account_id = ? AND from_on <= ? AND (until_on IS NULL OR until_on > ?))`,
		values: [staff.id, today, today]
	};
}

/**
 * Restricts a query to students who are in a class that a class teacher is an adult of on a day, a section or their own;
 * begins with AND, empty for everyone else.
 *
 * @param classId column of the student's own class
 * @param studentId column of the student
 */
export function ownStudentsOnly(
	staff: Staff,
	today: SchoolDate,
	classId: string,
	studentId: string
): { sql: string; values: unknown[] } {
	if (staff.role !== 'teacher') return { sql: '', values: [] };
	const own = ownClassesOnly(staff, today, classId);
	const taught = ownClassesOnly(staff, today, 'section.class_id');
	const sections = inSections(today, taught.sql, taught.values);
	return {
		sql: `AND (TRUE ${own.sql} OR ${studentId} IN (SELECT section.student_id ${sections.sql}))`,
		values: [...own.values, ...sections.values]
	};
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
	const own = ownStudentsOnly(staff, today, 'own.id', 'seen.student_id');
	return {
		sql: `EXISTS (SELECT 1 FROM class_membership AS seen JOIN class AS own ON own.id = seen.class_id
			WHERE seen.student_id = ${column} AND own.school_id = ?
				AND seen.from_on <= ? AND (seen.until_on IS NULL OR seen.until_on > ?) ${own.sql})`,
		values: [staff.schoolId, today, today, ...own.values]
	};
}

/** Who is looked at: those of a grade, a class, a group or a list whom the staff member may see on a day. */
export interface Roster {
	staff: Staff;
	today: SchoolDate;
	/** SQL that begins with AND, about `class` and `membership`, with its values; all of them where there is none. */
	narrowing?: { sql: string; values: unknown[] };
}

/**
 * FROM and WHERE of a roster: `class`, and the `membership` of today, from which who they are can be read without more, with what
 * is joined to them.
 */
function rosterRows(
	{ staff, today, narrowing }: Roster,
	joined: { sql: string; values: unknown[] } = { sql: '', values: [] }
): { from: string; where: string; values: unknown[] } {
	const own = ownStudentsOnly(staff, today, 'class.id', 'membership.student_id');
	return {
		from: `class
			JOIN class_membership AS membership
				ON membership.class_id = class.id
				AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?) ${joined.sql}`,
		where: `class.school_id = ? ${own.sql} ${narrowing?.sql ?? ''}`,
		values: [today, today, ...joined.values, staff.schoolId, ...own.values, ...(narrowing?.values ?? [])]
	};
}

const STUDENT = 'JOIN student ON student.id = membership.student_id';

/** A roster as a table to join with: `id` and `class_id` of each student. */
export function rosterSql(roster: Roster): { sql: string; values: unknown[] } {
	const { from, where, values } = rosterRows(roster);
	return { sql: `(SELECT membership.student_id AS id, class.id AS class_id FROM ${from} WHERE ${where})`, values };
}

/** Those of a roster who are in some classes. */
export function inClasses(roster: Roster, classIds: number[]): Roster {
	const { sql = '', values = [] } = roster.narrowing ?? {};
	return { ...roster, narrowing: { sql: `${sql} AND class.id IN (?)`, values: [...values, [0, ...classIds]] } };
}

/** Those of a roster who are in a section. */
export function inSection(roster: Roster, sectionId: number): Roster {
	const { sql = '', values = [] } = roster.narrowing ?? {};
	const members = inSections(roster.today, 'AND section.class_id = ?', [sectionId]);
	return {
		...roster,
		narrowing: {
			sql: `${sql} AND membership.student_id IN (SELECT section.student_id ${members.sql})`,
			values: [...values, ...members.values]
		}
	};
}

/** How many students a roster has. */
export async function rosterSize(database: Database, roster: Roster): Promise<number> {
	const { from, where, values } = rosterRows(roster);
	const row = await database.row<{ size: number | string }>(
		`SELECT COUNT(*) AS size FROM ${from} WHERE ${where}`,
		values
	);
	return Number(row!.size);
}

/** Class by class. */
const ROSTER_ORDER = 'class.grade, class.name, student.family_name, student.shown_name, student.id';

/** The students of a roster, class by class. */
export async function rosterStudents(database: Database, roster: Roster): Promise<RosterStudent[]> {
	const { today } = roster;
	const { from, where, values } = rosterRows(roster, {
		sql: `${STUDENT} LEFT JOIN tier_interval AS tier
			ON tier.student_id = student.id AND tier.from_on <= ? AND (tier.until_on IS NULL OR tier.until_on > ?)`,
		values: [today, today]
	});
	const rows = await database.rows<RosterStudent>(
		`SELECT student.id, student.number, student.shown_name AS givenName, student.family_name AS familyName,
			student.grade, class.id AS classId, class.name AS className,
			CAST(COALESCE(tier.tier, 1) AS UNSIGNED) AS tier
		FROM ${from}
		WHERE ${where}
		ORDER BY ${ROSTER_ORDER}, tier.from_on DESC`,
		values
	);
	// Of tiers that overlap, the newest counts. Copied: to spread an object of the driver's takes as long as to read ten.
	return rows
		.filter(({ id }, i) => i === 0 || id !== rows[i - 1].id)
		.map(({ id, number, givenName, familyName, grade, classId, className, tier }) => ({
			...{ id, number, givenName, familyName },
			...{ grade, classId, className, tier }
		}));
}

/** Students of a roster who are in tier 2 or 3. */
export async function tieredIn(database: Database, roster: Roster): Promise<VisibleId[]> {
	const among = rosterSql(roster);
	const rows = await database.rows<{ id: VisibleId }>(
		`SELECT DISTINCT roster.id
		FROM ${among.sql} AS roster
		JOIN tier_interval AS tier ON tier.student_id = roster.id AND tier.tier > 1
			AND tier.from_on <= ? AND (tier.until_on IS NULL OR tier.until_on > ?)`,
		[...among.values, roster.today, roster.today]
	);
	return rows.map(({ id }) => id);
}

/** A student of a roster; null for anyone else. */
export async function studentIn(
	database: Database,
	{ narrowing, ...roster }: Roster,
	id: number
): Promise<RosterStudent | null> {
	const more = {
		sql: `AND membership.student_id = ? ${narrowing?.sql ?? ''}`,
		values: [id, ...(narrowing?.values ?? [])]
	};
	return (await rosterStudents(database, { ...roster, narrowing: more }))[0] ?? null;
}

/** Where a student stands in a roster, from 1, and who is before and after; its ends lead to each other. */
interface RosterPlace {
	place: number;
	size: number;
	before: number;
	after: number;
}

/** @returns null for a student who is not in the roster */
export async function placeInRoster(database: Database, roster: Roster, id: number): Promise<RosterPlace | null> {
	const { from, where, values } = rosterRows(roster);
	const row = await database.row<{ [Part in keyof RosterPlace]: number | string }>(
		`SELECT place, size, COALESCE(before_id, last_id) AS \`before\`, COALESCE(after_id, first_id) AS after
		FROM (
			SELECT student.id, ROW_NUMBER() OVER walk AS place, COUNT(*) OVER () AS size,
				LAG(student.id) OVER walk AS before_id, LEAD(student.id) OVER walk AS after_id,
				FIRST_VALUE(student.id) OVER walk AS first_id,
				LAST_VALUE(student.id) OVER (ORDER BY ${ROSTER_ORDER} ROWS BETWEEN CURRENT ROW AND UNBOUNDED FOLLOWING) AS last_id
			FROM ${from} ${STUDENT}
			WHERE ${where}
			WINDOW walk AS (ORDER BY ${ROSTER_ORDER})
		) AS walked
		WHERE id = ?`,
		[...values, id]
	);
	return (
		row && {
			place: Number(row.place),
			size: Number(row.size),
			before: Number(row.before),
			after: Number(row.after)
		}
	);
}

/** Those of a roster with a part of a name, class by class. */
export async function studentsNamed(
	database: Database,
	roster: Roster,
	part: string,
	most: number
): Promise<{ id: VisibleId; givenName: string; familyName: string; className: string }[]> {
	const { from, where, values } = rosterRows(roster);
	return database.rows(
		`SELECT student.id, student.shown_name AS givenName, student.family_name AS familyName, class.name AS className
		FROM ${from} ${STUDENT}
		WHERE ${where} AND LOCATE(?, CONCAT(student.shown_name, ' ', student.family_name)) > 0
		ORDER BY ${ROSTER_ORDER}
		LIMIT ${Number(most)}`,
		[...values, part]
	);
}

/** Those of the ids that the staff member may see, as roster rows. */
export async function visibleAmong(
	database: Database,
	staff: Staff,
	ids: number[],
	today: SchoolDate
): Promise<RosterStudent[]> {
	return ids.length
		? rosterStudents(database, { staff, today, narrowing: { sql: 'AND membership.student_id IN (?)', values: [ids] } })
		: [];
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
