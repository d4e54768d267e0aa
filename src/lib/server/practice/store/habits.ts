import type { SchoolDate } from '../../../core/calendar';
import { USUAL_HABITS, type Habits } from '../../../core/practice';
import { audit, type Database, type RootDatabase } from '../../database';
import { ownClassesOnly } from '../../people';
import type { Staff, VisibleId } from '../../request';

const HABITS = `class.review_minutes AS reviewMinutes, class.free_practice AS freePractice,
	class.given_first AS givenFirst`;

type HabitsRow = Record<keyof Habits, number>;

const habitsFrom = ({ reviewMinutes, freePractice, givenFirst }: HabitsRow): Habits => ({
	reviewMinutes,
	freePractice: Boolean(freePractice),
	givenFirst: Boolean(givenFirst)
});

/** What a student does beside what they are given, by the class that they are in on a day; of no class what is usual. */
export async function habitsOf(database: Database, studentId: VisibleId, today: SchoolDate): Promise<Habits> {
	const row = await database.row<HabitsRow>(
		`SELECT ${HABITS}
		FROM class_membership AS membership
		JOIN class ON class.id = membership.class_id
		WHERE membership.student_id = ? AND membership.from_on <= ?
			AND (membership.until_on IS NULL OR membership.until_on > ?)
		ORDER BY membership.id DESC LIMIT 1`,
		[studentId, today, today]
	);
	return row ? habitsFrom(row) : USUAL_HABITS;
}

/** A class with what its students do beside what they are given. */
export interface ClassHabits extends Habits {
	classId: number;
	name: string;
}

/** The habits of the classes that a staff member sees, youngest first. */
export async function classHabits(database: Database, staff: Staff, today: SchoolDate): Promise<ClassHabits[]> {
	const own = ownClassesOnly(staff, today, 'class.id');
	const rows = await database.rows<HabitsRow & { classId: number; name: string }>(
		`SELECT class.id AS classId, class.name, ${HABITS} FROM class
		WHERE class.school_id = ? AND NOT class.is_section AND (class.ended_on IS NULL OR class.ended_on > ?) ${own.sql}
		ORDER BY class.grade, class.name, class.id`,
		[staff.schoolId, today, ...own.values]
	);
	return rows.map((row) => ({ classId: row.classId, name: row.name, ...habitsFrom(row) }));
}

/**
 * Changes habits of classes, those only that the staff member sees.
 *
 * @returns the habits that they had, by which it is undone; of classes that are not theirs none
 */
export async function changeHabits(
	database: RootDatabase,
	{ staff, today }: { staff: Staff; today: SchoolDate },
	changes: ({ classId: number } & Habits)[],
	at: Date
): Promise<ClassHabits[]> {
	return database.transaction(async (transaction) => {
		const seen = await classHabits(transaction, staff, today);
		const before = seen.filter(({ classId }) => changes.some((change) => change.classId === classId));
		for (const { classId, reviewMinutes, freePractice, givenFirst } of changes) {
			if (!before.some((one) => one.classId === classId)) continue;
			await transaction.run('UPDATE class SET review_minutes = ?, free_practice = ?, given_first = ? WHERE id = ?', [
				...[reviewMinutes, freePractice, givenFirst],
				classId
			]);
		}
		if (before.length) await audit(transaction, staff, at, 'change class habits', { before, after: changes });
		return before;
	});
}
