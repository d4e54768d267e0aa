import { bitsOf, daysOf } from '../../../core/timetable';
import { audit, type Database, type RootDatabase } from '../../database';
import type { Staff } from '../../request';

/** What a school says of itself. */
export interface SchoolProfile {
	name: string;
	timeZone: string;
	/** ISO weekdays, 1 Monday … 5 Friday. */
	schoolDays: number[];
	/** Grades taught; 0 is kindergarten. */
	firstGrade: number;
	lastGrade: number;
	/** Digits of a PIN that is made from now on. */
	pinLength: number;
}

/** What a school is called before anybody has said. */
export const UNNAMED_SCHOOL = 'Our school';

export async function schoolProfile(database: Database, schoolId: number): Promise<SchoolProfile> {
	const row = await database.row<Omit<SchoolProfile, 'schoolDays'> & { schoolDays: number }>(
		`SELECT name, time_zone AS timeZone, school_days AS schoolDays, first_grade AS firstGrade,
			last_grade AS lastGrade, pin_length AS pinLength
		FROM school WHERE id = ?`,
		[schoolId]
	);
	return { ...row!, schoolDays: daysOf(row!.schoolDays) };
}

/** Changes what a school says of itself. @returns what it said before */
export async function changeProfile(
	database: RootDatabase,
	staff: Staff,
	profile: SchoolProfile,
	at: Date
): Promise<SchoolProfile> {
	return database.transaction(async (transaction) => {
		const before = await schoolProfile(transaction, staff.schoolId);
		await transaction.run(
			`UPDATE school SET name = ?, time_zone = ?, school_days = ?, first_grade = ?, last_grade = ?, pin_length = ?
			WHERE id = ?`,
			[
				profile.name,
				profile.timeZone,
				bitsOf(profile.schoolDays),
				profile.firstGrade,
				profile.lastGrade,
				profile.pinLength,
				staff.schoolId
			]
		);
		await audit(transaction, staff, at, 'change school', { before, after: profile });
		return before;
	});
}
