import type { SchoolDate } from '../../../../core/calendar';
import type {
	KnownAdult,
	KnownClass,
	RosteredStudent,
	SchoolNow
} from '../../../../core/interchange/roster/schoolRoster';
import type { Database } from '../../../database';
import type { Staff } from '../../../request';
import { sectionMembers } from '../../store/sections';

/** A school as rosters are compared with it, and by what it is known to the source of its roster. */
export interface SchoolInRoster extends SchoolNow {
	sourcedId: string | null;
	name: string;
}

/**
 * A school as it is on a day: classes and sections that have not ended, everybody who is or was a student, all accounts.
 *
 * @param userNames that a roster would bring, to be looked for in other schools
 */
export async function schoolNow(
	database: Database,
	schoolId: number,
	today: SchoolDate,
	userNames: string[] = []
): Promise<SchoolInRoster> {
	const [school, classes, adultsOf, students, members, adults, taken] = await Promise.all([
		database.row<{ sourcedId: string | null; name: string; key: string; first: number; last: number }>(
			`SELECT sourced_id AS sourcedId, name, roster_key AS \`key\`, first_grade AS first, last_grade AS last
			FROM school WHERE id = ?`,
			[schoolId]
		),
		database.rows<Omit<KnownClass, 'adults' | 'members'>>(
			`SELECT id, sourced_id AS sourcedId, name, grade, is_section AS isSection FROM class
			WHERE school_id = ? AND (ended_on IS NULL OR ended_on > ?)
			ORDER BY grade, name, id`,
			[schoolId, today]
		),
		database.rows<{ classId: number; accountId: number }>(
			`SELECT adult.class_id AS classId, adult.account_id AS accountId
			FROM class_adult AS adult JOIN class ON class.id = adult.class_id
			WHERE class.school_id = ? AND adult.from_on <= ? AND (adult.until_on IS NULL OR adult.until_on > ?)
			ORDER BY adult.from_on, adult.id`,
			[schoolId, today, today]
		),
		database.rows<RosteredStudent>(
			`SELECT student.id, student.sourced_id AS sourcedId, student.given_name AS givenName,
				student.family_name AS familyName, student.preferred_name AS preferredName, student.number, student.grade,
				student.birth_date AS birthDate, membership.class_id AS classId
			FROM student
			LEFT JOIN class_membership AS membership ON membership.student_id = student.id
				AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)
			WHERE student.school_id = ?
			ORDER BY student.family_name, student.given_name, student.id`,
			[today, today, schoolId]
		),
		sectionMembers(database, schoolId, today),
		database.rows<KnownAdult>(
			`SELECT id, sourced_id AS sourcedId, user_name AS userName, display_name AS displayName, email
			FROM account WHERE school_id = ? ORDER BY id`,
			[schoolId]
		),
		database.rows<{ name: string }>(
			'SELECT LOWER(user_name) AS name FROM account WHERE user_name IN (?) AND school_id <> ?',
			[['', ...userNames], schoolId]
		)
	]);
	const { first, last, ...rest } = school!;
	const adultsByClass = new Map<number, number[]>();
	for (const { classId, accountId } of adultsOf)
		adultsByClass.set(classId, [...(adultsByClass.get(classId) ?? []), accountId]);
	return {
		...rest,
		today,
		grades: { first, last },
		classes: classes.map((one) => ({
			...one,
			adults: adultsByClass.get(one.id) ?? [],
			members: members.get(one.id) ?? []
		})),
		students,
		adults,
		takenElsewhere: taken.map(({ name }) => name)
	};
}

/** Every school with its first coordinator who can sign in, in whose name rosters of all are brought. */
export async function schoolsWithCoordinator(
	database: Database
): Promise<{ staff: Staff; sourcedId: string | null; name: string }[]> {
	const rows = await database.rows<{
		id: number;
		schoolId: number;
		displayName: string;
		sourcedId: string | null;
		name: string;
	}>(
		`SELECT account.id, account.school_id AS schoolId, account.display_name AS displayName,
			school.sourced_id AS sourcedId, school.name
		FROM school
		JOIN account ON account.id = (
			SELECT MIN(first.id) FROM account AS first
			WHERE first.school_id = school.id AND first.role = 'coordinator' AND first.deactivated_at IS NULL)
		ORDER BY school.id`
	);
	return rows.map(({ sourcedId, name, ...of }) => ({
		staff: { ...of, kind: 'staff', role: 'coordinator' },
		sourcedId,
		name
	}));
}
