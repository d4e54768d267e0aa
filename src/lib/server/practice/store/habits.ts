import type { SchoolDate } from '../../../core/calendar';
import type { Operation } from '../../../core/fluency';
import { USUAL_HABITS, type Habits } from '../../../core/practice';
import { audit, type Database, type RootDatabase } from '../../database';
import { ownClassesOnly } from '../../people';
import type { Staff, VisibleId } from '../../request';

const HABITS = `class.review_minutes AS reviewMinutes, class.free_practice AS freePractice,
	class.given_first AS givenFirst, class.fact_minutes AS factMinutes, class.fact_operations AS factOperations`;

type HabitsRow = Record<Exclude<keyof Habits, 'factOperations'>, number> & { factOperations: string | null };

const habitsFrom = ({ reviewMinutes, freePractice, givenFirst, factMinutes, factOperations }: HabitsRow): Habits => ({
	reviewMinutes,
	freePractice: Boolean(freePractice),
	givenFirst: Boolean(givenFirst),
	factMinutes,
	factOperations: factOperations === null ? null : (factOperations.split(',') as Operation[])
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
	grade: number;
}

/** The habits of the classes that a staff member sees, youngest first. */
export async function classHabits(database: Database, staff: Staff, today: SchoolDate): Promise<ClassHabits[]> {
	const own = ownClassesOnly(staff, today, 'class.id');
	const rows = await database.rows<HabitsRow & { classId: number; name: string; grade: number }>(
		`SELECT class.id AS classId, class.name, class.grade, ${HABITS} FROM class
		WHERE class.school_id = ? AND NOT class.is_section AND (class.ended_on IS NULL OR class.ended_on > ?) ${own.sql}
		ORDER BY class.grade, class.name, class.id`,
		[staff.schoolId, today, ...own.values]
	);
	return rows.map((row) => ({ classId: row.classId, name: row.name, grade: row.grade, ...habitsFrom(row) }));
}

/** How many students of a class did what of themselves. */
export interface OwnWorkCount {
	/** In the class now. */
	students: number;
	review: number;
	free: number;
	facts: number;
}

/** How many students of each class that a staff member sees did what of themselves, from a day on. */
export async function ownWorkByClass(
	database: Database,
	staff: Staff,
	today: SchoolDate,
	since: SchoolDate
): Promise<Map<number, OwnWorkCount>> {
	const own = ownClassesOnly(staff, today, 'class.id');
	const rows = await database.rows<OwnWorkCount & { classId: number }>(
		`SELECT class.id AS classId, COUNT(*) AS students,
			SUM(EXISTS (SELECT 1 FROM sitting FORCE INDEX (by_own_day) WHERE sitting.student_id = membership.student_id
				AND sitting.own_day >= ? AND sitting.kind = 'review' AND sitting.answered > 0)) AS review,
			SUM(EXISTS (SELECT 1 FROM sitting FORCE INDEX (by_own_day) WHERE sitting.student_id = membership.student_id
				AND sitting.own_day >= ? AND sitting.kind = 'free' AND sitting.answered > 0)) AS free,
			SUM(EXISTS (SELECT 1 FROM fact_run FORCE INDEX (by_day) WHERE fact_run.student_id = membership.student_id
				AND fact_run.own_day >= ? AND fact_run.ended_at IS NOT NULL)) AS facts
		FROM class
		JOIN class_membership AS membership ON membership.class_id = class.id
			AND membership.from_on <= ? AND (membership.until_on IS NULL OR membership.until_on > ?)
		WHERE class.school_id = ? AND NOT class.is_section ${own.sql}
		GROUP BY class.id`,
		[since, since, since, today, today, staff.schoolId, ...own.values]
	);
	return new Map(
		rows.map(({ classId, students, review, free, facts }) => [
			classId,
			{ students: Number(students), review: Number(review), free: Number(free), facts: Number(facts) }
		])
	);
}

/**
 * Changes habits of classes, those only that the staff member sees, and only if they see all of them.
 *
 * @returns the habits that they had, by which it is undone; fewer than were to change where nothing was changed
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
		if (before.length < changes.length) return before;
		for (const { classId, reviewMinutes, freePractice, givenFirst, factMinutes, factOperations } of changes) {
			await transaction.run(
				`UPDATE class SET review_minutes = ?, free_practice = ?, given_first = ?, fact_minutes = ?,
					fact_operations = ?
				WHERE id = ?`,
				[reviewMinutes, freePractice, givenFirst, factMinutes, factOperations && factOperations.join(','), classId]
			);
		}
		await audit(transaction, staff, at, 'change class habits', { before, after: changes });
		return before;
	});
}
